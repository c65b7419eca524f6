import Box from '@mui/material/Box';
import { measures } from '../../theme/measures';
import { amountScale } from './scales';

interface Props {
  amount: number;
  /** The amount whose bar fills the room. */
  most: number;
  /** An ink of the theme. */
  ink?: string;
  height?: string;
}

/** A bar beside the figure of a row, which says the same: as long as its amount is a part of the most. */
export function RowBar({ amount, most, ink = 'primary.main', height = measures.bar }: Props) {
  const length = amountScale(most, [0, 100]).clamp(true)(amount);
  return (
    <Box
      aria-hidden="true"
      sx={{ height, bgcolor: ink, minWidth: amount > 0 ? measures.split : 0, printColorAdjust: 'exact' }}
      style={{ width: `${length}%` }}
    />
  );
}
