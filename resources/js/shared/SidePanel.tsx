import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { besideList } from './layout';
import { texts } from '../theme/measures';

interface Props {
  title: string;
  onClose: () => void;
  width?: string;
  children: ReactNode;
}

/** What stands to the right of a stage's list, closable and scrolling by itself. */
export function SidePanel({ title, onClose, width = texts.line, children }: Props) {
  return (
    <Box component="aside" aria-label={title} sx={{ ...besideList, width: { xs: '100%', md: width }, maxWidth: '100%', px: 2, pb: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'start', pt: 1.5, pb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
          {title}
        </Typography>
        <IconButton size="small" aria-label={`Close ${title}`} onClick={onClose}>
          <CloseIcon fontSize="small" />
        </IconButton>
      </Box>
      {children}
    </Box>
  );
}
