import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { vocabularyQuery } from '../study/queries';
import type { Study } from '../../api/schema';
import { beforeList } from '../../shared/layout';
import { criterionFill } from './PriorityBar';
import { Presets } from './Presets';
import type { Weights } from './weights.logic';
import { marks } from '../../theme/measures';

interface Props {
  study: Study;
  weights: Weights;
  presets: Record<string, Weights>;
  onChange: (weights: Weights) => void;
}

const most = 5;

/** How much each criterion counts; the list re-orders when a handle is let go. */
export function Balance({ study, weights, presets, onChange }: Props) {
  const [draft, setDraft] = useState<Weights | null>(null);
  const shown = draft ?? weights;
  const sum = Object.values(shown).reduce((total, weight) => total + weight, 0);
  const meanings = new Map<string, string>(
    useQuery(vocabularyQuery()).data?.criteria.map((criterion) => [criterion.name, criterion.meaning]),
  );
  const settle = () => {
    if (draft !== null && sum > 0) {
      onChange(draft);
    }
    setDraft(null);
  };
  return (
    <Box component="aside" aria-label="Weights" sx={{ ...beforeList(232), px: 2, py: 1, overflowY: 'auto' }}>
      <Typography variant="h3" component="h2">
        Weights
      </Typography>
      {Object.entries(shown).map(([name, weight], place) => (
        <Box key={name} sx={{ mt: 1 }}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, typography: 'dense' }}>
            <Box sx={{ width: marks.swatch, height: marks.swatch }} style={{ background: criterionFill(place) }} />
            <Box component="span" sx={{ flex: 1, fontWeight: 600 }}>
              {name}
            </Box>
            <span>{sum === 0 ? '' : `${Math.round((100 * weight) / sum)}%`}</span>
          </Box>
          <Typography variant="caption" color="text.secondary">
            {meanings.get(name)}
          </Typography>
          <Slider
            size="small"
            aria-label={`Weight of ${name}`}
            min={0}
            max={most}
            step={0.5}
            value={weight}
            onChange={(_, value) => setDraft({ ...shown, [name]: value })}
            onChangeCommitted={settle}
            sx={{ py: 0.5 }}
          />
        </Box>
      ))}
      {sum === 0 && (
        <Typography variant="caption" color="warning.main">
          At least one weight needs to be above 0.
        </Typography>
      )}
      <Presets study={study} weights={weights} ready={presets} onChoose={onChange} />
    </Box>
  );
}
