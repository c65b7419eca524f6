import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { Empty } from '../shared/Notice';
import { commonWording } from '../shared/wording';

export function ErrorPage() {
  const error = useRouteError();
  const isMissing = isRouteErrorResponse(error) && error.status === 404;
  return (
    <Box component="main">
      <Empty title={isMissing ? 'Page not found' : 'This page failed to load'}>
        {isMissing ? 'The study may have been renamed. ' : 'Reload it. If it fails again, check the web server’s log. '}
        <Link href="/">{commonWording.goToTheListOfStudies}</Link>
      </Empty>
    </Box>
  );
}
