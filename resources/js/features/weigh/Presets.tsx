import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useStored } from '../../shared/useStored';
import { criteria, spellWeights, type Weights } from './weights.logic';

interface Own {
  name: string;
  weights: Weights;
}

const isOwn = (value: unknown): value is Own[] => Array.isArray(value) && value.every((item: unknown) => typeof item === 'object' && item !== null && 'name' in item && typeof item.name === 'string' && 'weights' in item);

interface Props {
  weights: Weights;
  ready: Record<string, Weights>;
  onChoose: (weights: Weights) => void;
}

/** Ready-made weights, and those a person keeps under a name in this browser. */
export function Presets({ weights, ready, onChoose }: Props) {
  const [own, setOwn] = useStored<Own[]>('reach-weights', [], isOwn);
  const [name, setName] = useState('');
  const pressed = (other: Weights) => spellWeights(other) === spellWeights(weights);
  const button = { py: 0.1, px: 0.75, minWidth: 0 };
  return (
    <Box sx={{ mt: 1 }}>
      <Typography variant="caption" color="text.secondary">
        Presets
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.25 }}>
        {Object.entries(ready).map(([preset, kept]) => (
          <Button key={preset} aria-pressed={pressed(kept)} variant={pressed(kept) ? 'outlined' : 'text'} onClick={() => onChoose(kept)} sx={button}>
            {preset}
          </Button>
        ))}
        {own.map((kept) => (
          <Box key={kept.name} component="span" sx={{ whiteSpace: 'nowrap' }}>
            <Button aria-pressed={pressed(kept.weights)} variant={pressed(kept.weights) ? 'outlined' : 'text'} onClick={() => onChoose(kept.weights)} sx={button}>
              {kept.name}
            </Button>
            <Button aria-label={`Forget ${kept.name}`} onClick={() => setOwn(own.filter((other) => other !== kept))} sx={{ ...button, px: 0.25 }}>
              ×
            </Button>
          </Box>
        ))}
      </Box>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') {
            setOwn([...own.filter((other) => other.name !== name.trim()), { name: name.trim(), weights: Object.fromEntries(criteria.map((criterion) => [criterion, weights[criterion]])) as Weights }]);
            setName('');
          }
        }}
        sx={{ display: 'flex', gap: 0.5, mt: 0.5 }}
      >
        <TextField value={name} onChange={(event) => setName(event.target.value)} placeholder="Keep these as" slotProps={{ htmlInput: { 'aria-label': 'Name for these weights', maxLength: 24 } }} />
        <Button type="submit" disabled={name.trim() === ''} sx={{ minWidth: 0 }}>
          Keep
        </Button>
      </Box>
    </Box>
  );
}
