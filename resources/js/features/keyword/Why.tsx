import Box from '@mui/material/Box';
import type { Explanation } from '../../api/schema';
import { told } from '../../shared/format';

/** Why a figure is what it is: its rule, its own numbers, where they came from, and what was assumed. */
export function Why({ explanation }: { explanation: Explanation }) {
  return (
    <Box sx={{ gridColumn: '1 / -1', borderLeft: 2, borderColor: 'primary.main', pl: 1.5, my: 0.5, typography: 'note' }}>
      <Box>{explanation.rule}</Box>
      <Box component="ul" sx={{ m: 0, pl: 2 }}>
        {explanation.inputs.map((input) => (
          <li key={input.name}>
            {input.name}: <strong>{told(input.value)}</strong> {input.unit}
            {input.source !== '' && <Box component="span" sx={{ color: 'text.secondary' }}>{` — ${input.source}`}</Box>}
          </li>
        ))}
      </Box>
      {explanation.steps.map((step) => (
        <Box key={step} sx={{ fontVariantNumeric: 'tabular-nums' }}>
          {step}
        </Box>
      ))}
      {explanation.assumptions.map((assumption) => (
        <Box key={assumption} sx={{ color: 'warning.main' }}>
          {assumption}
        </Box>
      ))}
    </Box>
  );
}
