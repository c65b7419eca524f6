import Box from '@mui/material/Box';
import type { Standing } from '../../api/schema';
import { whole } from '../../shared/format';
import { PictureButtons } from '../../shared/chart';
import { valuesOf, type Clause } from '../sentence/sentence.logic';
import { standingOrder, StandingPicture } from './pictures';
import { fields, focusRing, measures } from '../../theme/measures';

interface Props {
  standings: Partial<Record<Standing, number>>;
  chosen: Clause[];
  onToggle: (standing: Standing) => void;
}

/** Where we stand, in proportion; a click narrows the list to a standing, another opens it again. */
export function StandingBar({ standings, chosen, onToggle }: Props) {
  const values = valuesOf(chosen, 'standing');
  const all = standingOrder.reduce((sum, standing) => sum + (standings[standing] ?? 0), 0);
  return (
    <Box role="group" aria-label="Standing" sx={{ display: 'flex', gap: measures.split, px: 1, pt: 1, pb: 0.5, alignItems: 'flex-start' }}>
      {standingOrder.map((standing) => {
        const count = standings[standing] ?? 0;
        const isOn = values.length === 0 || values.includes(standing);
        return (
          <Box
            key={standing}
            component="button"
            type="button"
            aria-pressed={values.includes(standing)}
            onClick={() => onToggle(standing)}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              minWidth: fields.xs,
              opacity: isOn ? 1 : 0.45,
              '&:focus-visible': focusRing,
            }}
            style={{ flexGrow: all === 0 ? 1 : count / all }}
          >
            <Box sx={{ height: measures.bar, bgcolor: `ink.standing.${standing}` }} />
            <Box sx={{ typography: 'note', whiteSpace: 'nowrap', pt: 0.25, fontWeight: values.includes(standing) ? 700 : 400 }}>
              {standing}{' '}
              <Box component="span" sx={{ color: 'text.secondary', fontVariantNumeric: 'tabular-nums' }}>
                {whole(count)}
              </Box>
            </Box>
          </Box>
        );
      })}
      <PictureButtons name="standing" drawing={<StandingPicture standings={standings} />} />
    </Box>
  );
}
