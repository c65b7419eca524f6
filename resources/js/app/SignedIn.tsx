import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { Navigate, Outlet, useLocation, useMatch } from 'react-router';
import { sessionQuery } from '../features/session/queries';
import Typography from '@mui/material/Typography';
import { Suspense, lazy } from 'react';
import { Failed, Waiting } from '../shared/Notice';
import { parts } from '../theme/measures';
import { commonWording } from '../shared/wording';

const GlobalKeys = lazy(async () => ({ default: (await import('./useGlobalKeys')).GlobalKeys }));
const SecondFactor = lazy(async () => ({ default: (await import('../features/session/SecondFactor')).SecondFactor }));

/** Lets nobody further who is not signed in. */
export function SignedIn() {
  const session = useQuery(sessionQuery());
  const { pathname, search } = useLocation();
  const isInStudy = useMatch('/studies/:slug/*') !== null;
  if (session.isPending) {
    return <Waiting what={commonWording.openingGreaterReach} />;
  }
  if (session.isError) {
    return <Failed error={session.error} onRetry={() => void session.refetch()} />;
  }
  if (session.data.person === null) {
    return <Navigate to="/sign-in" replace state={{ from: pathname + search }} />;
  }
  if (session.data.person.lacks_second_factor) {
    return (
      <Box component="main" sx={{ maxWidth: parts.xl, mx: 'auto', p: 4 }}>
        <Typography variant="h1">Set up a second factor</Typography>
        <p>Administrators need a second factor to sign in.</p>
        <Suspense fallback={<Waiting what="Opening" />}>
          <SecondFactor isThere={session.data.person.has_second_factor} />
        </Suspense>
      </Box>
    );
  }
  return (
    <Box className="on-paper" sx={{ height: { xs: 'auto', md: '100dvh' }, minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Outlet />
      {!isInStudy && (
        <Suspense fallback={null}>
          <GlobalKeys />
        </Suspense>
      )}
    </Box>
  );
}
