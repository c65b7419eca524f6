import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { Empty } from '../shared/Notice';

export function ErrorPage() {
  const error = useRouteError();
  const isMissing = isRouteErrorResponse(error) && error.status === 404;
  return (
    <Box component="main">
      <Empty title={isMissing ? 'There is nothing at this address' : 'This page could not be drawn'}>
        {isMissing ? 'The study may have been renamed. ' : 'Reload it; if it happens again, the log of the web server says why. '}
        <Link href="/">Go to the list of studies</Link>
      </Empty>
    </Box>
  );
}
