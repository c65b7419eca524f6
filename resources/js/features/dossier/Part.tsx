import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** One part of the dossier under its heading. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ px: 2, pt: 2 }}>
      <Typography variant="h3" component="h3" sx={{ borderBottom: 1, borderColor: 'divider', mb: 0.75 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
