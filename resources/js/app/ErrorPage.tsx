import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { Empty } from '../shared/Notice';

export function ErrorPage() {
  const error = useRouteError();
  const isMissing = isRouteErrorResponse(error) && error.status === 404;
  return (
    <Box component="main">
      <Empty title={isMissing ? 'Page not found' : 'This page failed to load'}>
        {isMissing ? 'The study may have been renamed. ' : 'Reload it. If it fails again, check the web server’s log. '}
        <Link href="/">Go to the list of studies</Link>
      </Empty>
    </Box>
  );
}
