import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Sorting } from './Heading';
import { HeadingRow, type Headings } from './HeadingRow';

interface Props {
  label: string;
  headings: Headings;
  sorting?: Sorting;
  /** Columns that hold numbers. */
  numbers: number[];
  children: ReactNode;
}

/** A table of some hundred rows at most, with hairlines between them. */
export function PlainTable({ label, headings, sorting, numbers, children }: Props) {
  const right = numbers.map((number) => `& tr > :nth-child(${number + 1})`).join(', ');
  return (
    <Box
      component="table"
      aria-label={label}
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        typography: 'dense',
        '& th, & thead td': {
          textAlign: 'left',
          color: 'text.secondary',
          typography: 'note',
          position: 'sticky',
          top: 0,
          bgcolor: 'background.default',
        },
        '& th, & td': {
          borderBottom: 1,
          borderColor: 'divider',
          px: { xs: 0.25, sm: 0.5, lg: 0.75 },
          py: 0.4,
          verticalAlign: 'top',
        },
        '& td': { overflowWrap: { xs: 'anywhere', lg: 'normal' } },
        '& th': { overflowWrap: { xs: 'anywhere', md: 'normal' } },
        ...(right === '' ? {} : { [right]: { textAlign: 'right', fontVariantNumeric: 'tabular-nums', whiteSpace: { md: 'nowrap' } } }),
      }}
    >
      <HeadingRow headings={headings} sorting={sorting} />
      <tbody>{children}</tbody>
    </Box>
  );
}
