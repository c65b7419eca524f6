import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Buttons at the end of the bar above a list: in a row of their own on a narrow screen, at the right on a wide one. */
export function BarActions({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        justifyContent: { xs: 'flex-start', md: 'flex-end' },
        maxWidth: { md: 400, xl: 560 },
        flexShrink: { md: 0 },
      }}
    >
      {children}
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
