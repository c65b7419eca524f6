import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** States that a list can be in besides having rows: each says what to do next. */

export function Waiting({ what }: { what: string }) {
  return (
    <Box role="status" sx={{ p: 4, display: 'flex', gap: 2, alignItems: 'center', color: 'text.secondary' }}>
      <CircularProgress size={18} thickness={5} aria-hidden="true" />
      <Typography variant="body2">{what}</Typography>
    </Box>
  );
}

export function Failed({ error, onRetry, children }: { error: Error; onRetry?: () => void; children?: ReactNode }) {
  return (
    <Box role="alert" sx={{ p: 3, borderLeft: 3, borderColor: 'warning.main', m: 2 }}>
      <Typography>{error.message}</Typography>
      {onRetry !== undefined && (
        <Button onClick={onRetry} sx={{ mt: 1 }}>
          Try again
        </Button>
      )}
      {children}
    </Box>
  );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Box sx={{ p: 5, maxWidth: 620 }}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      <Typography component="div" color="text.secondary">
        {children}
      </Typography>
    </Box>
  );
}

/** What was done; nothing where nothing was. */
export function Done({ words }: { words: string }) {
  return words === '' ? null : (
    <Box role="status" sx={{ px: 2, py: 0.5, typography: 'dense', bgcolor: 'ink.wash' }}>
      {words}
    </Box>
  );
}
