import Box from '@mui/material/Box';
import { whole } from '../../shared/format';

interface Props {
  /** Domain → items planned from its side. */
  items: Record<string, number>;
  domain: string | null;
}

/** Says where the roadmap is when the study is seen from another side than the one it was planned from. */
export function OtherSides({ items, domain }: Props) {
  const sides = Object.entries(items);
  if (sides.length === 0) {
    return null;
  }
  return (
    <Box role="note" sx={{ px: 2, py: 0.5, borderBottom: 1, borderColor: 'divider', typography: 'dense' }}>
      From the side of {domain ?? 'another domain'}.{' '}
      {sides
        .map(([side, count]) => `${whole(count)} ${count === 1 ? 'item was' : 'items were'} planned from the side of ${side}`)
        .join('; ')}
      . Compare from its side again to see them.
    </Box>
  );
}
