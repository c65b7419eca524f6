import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Popover from '@mui/material/Popover';
import { useState, type ReactNode } from 'react';
import type { Explanation } from '../../api/schema';
import { Why } from './Why';
import { measures, parts } from '../../theme/measures';

interface Props {
  /** What the figure is, told beside its number. */
  name: string;
  explanation: Explanation | null | undefined;
  children: ReactNode;
}

/** A figure that says why it is what it is when it is clicked. */
export function WhyFigure({ name, explanation, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (explanation === null || explanation === undefined) {
    return children;
  }
  return (
    <>
      <Link
        component="button"
        type="button"
        color="inherit"
        underline="hover"
        title={`Why ${name}?`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minHeight: measures.target, minWidth: measures.target, font: 'inherit', verticalAlign: 'baseline' }}
      >
        {children}
      </Link>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box sx={{ p: 1.5, maxWidth: parts.l }}>
          <Why explanation={explanation} />
        </Box>
      </Popover>
    </>
  );
}
