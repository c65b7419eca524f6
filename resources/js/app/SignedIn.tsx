import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { Navigate, Outlet, useLocation } from 'react-router';
import { sessionQuery } from '../features/session/queries';
import { Failed, Waiting } from '../shared/Notice';

/** Lets nobody further who is not signed in. */
export function SignedIn() {
  const session = useQuery(sessionQuery());
  const { pathname, search } = useLocation();
  if (session.isPending) {
    return <Waiting what="Opening Greater Reach" />;
  }
  if (session.isError) {
    return <Failed error={session.error} onRetry={() => void session.refetch()} />;
  }
  if (session.data.person === null) {
    return <Navigate to="/sign-in" replace state={{ from: pathname + search }} />;
  }
  return (
    <Box className="on-paper" sx={{ height: { xs: 'auto', md: '100dvh' }, minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Outlet />
    </Box>
  );
}
