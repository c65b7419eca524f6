import Box from '@mui/material/Box';
import Anchor from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { PersonMenu } from './PersonMenu';

/** The head of a page that belongs to no study. */
export function PageHead({ title }: { title: string }) {
  return (
    <Box component="header" sx={{ display: 'flex', alignItems: 'center', gap: 3, px: 2, py: 1.5, borderBottom: 1, borderColor: 'divider' }}>
      <Typography variant="h1" sx={{ flex: 1 }}>
        {title}
      </Typography>
      <Anchor component={Link} to="/">
        all studies
      </Anchor>
      <PersonMenu />
    </Box>
  );
}
