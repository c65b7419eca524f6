import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { ViewSwitch } from './ViewSwitch';

interface Props {
  views: Record<string, string>;
  view: string;
  onChange: (view: string) => void;
  /** Actions on what the view shows. */
  children?: ReactNode;
}

/** The line above a view: which view is shown, and at the right what can be done with it. */
export function ViewBar({ views, view, onChange, children }: Props) {
  return (
    <Box
      className="no-print"
      sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, columnGap: 2, px: 1.25, pt: 0.5, alignItems: 'center' }}
    >
      <ViewSwitch views={views} view={view} onChange={onChange} />
      <Box sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, ml: { md: 'auto' } }}>{children}</Box>
    </Box>
  );
}

/** Saves a file that the server makes. */
export function DownloadButton({ href, children }: { href: string; children: ReactNode }) {
  return (
    <Button component="a" href={href} download sx={{ whiteSpace: 'nowrap' }}>
      {children}
    </Button>
  );
}
