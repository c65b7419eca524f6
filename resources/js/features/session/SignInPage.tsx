import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Navigate, useLocation } from 'react-router';
import { useState } from 'react';
import { ApiError, api, told } from '../../api/client';
import { sessionQuery } from './queries';
import { texts } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

function cameFrom(state: unknown): string {
  const from = typeof state === 'object' && state !== null && 'from' in state ? state.from : null;
  return typeof from === 'string' && from.startsWith('/') && !from.startsWith('//') ? from : '/';
}

function text(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value : '';
}

export function SignInPage() {
  const client = useQueryClient();
  const location = useLocation();
  const session = useQuery(sessionQuery());
  const signIn = useMutation({
    mutationFn: async (form: FormData) => {
      // A late answer that nobody is signed in would undo what follows: in what is kept here, and in the cookie.
      await client.query(sessionQuery()).catch(() => undefined);
      return told(
        api.POST('/session', { body: { email: text(form, 'email'), password: text(form, 'password'), code: text(form, 'code') } }),
      );
    },
    onSuccess: (answer) => client.setQueryData(sessionQuery().queryKey, answer),
  });
  const wrong = signIn.error instanceof ApiError ? signIn.error.fields : {};
  const [asksForCode, setAsksForCode] = useState(false);
  if (wrong['code'] !== undefined && !asksForCode) {
    setAsksForCode(true);
  }
  if (session.data?.person) {
    return <Navigate to={cameFrom(location.state)} replace />;
  }
  return (
    <Box component="main" sx={{ minHeight: '100dvh', display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1.1fr 1fr' } }}>
      <Box
        sx={{
          p: { xs: 4, md: 8 },
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'center',
          borderRight: 1,
          borderColor: 'divider',
        }}
      >
        <Typography variant="h1" sx={{ typography: 'huge', mb: 2 }}>
          {commonWording.greaterReach}
        </Typography>
        <Typography sx={{ typography: 'large', maxWidth: texts.line }} color="text.secondary">
          See where competitors rank and you don’t, what you can win, and what to write next.
        </Typography>
        <Lane />
      </Box>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate(new FormData(event.currentTarget));
        }}
        sx={{ p: { xs: 4, md: 8 }, display: 'flex', flexDirection: 'column', justifyContent: 'center', gap: 2, maxWidth: texts.line }}
      >
        <Typography variant="h2" component="h2">
          Sign in
        </Typography>
        {signIn.isError && (
          <Alert severity={wrong['code'] === undefined ? 'error' : 'info'}>
            {wrong['code']?.[0] ?? wrong['email']?.[0] ?? signIn.error.message}
          </Alert>
        )}
        <TextField name="email" label="Email" autoComplete="username" required autoFocus />
        <TextField name="password" label="Password" type="password" autoComplete="current-password" required />
        {asksForCode && <TextField name="code" label="Code from your authenticator app" autoComplete="one-time-code" required autoFocus />}
        <Button type="submit" variant="contained" size="medium" loading={signIn.isPending}>
          Sign in
        </Button>
      </Box>
    </Box>
  );
}

function Lane() {
  return (
    <Box component="svg" viewBox="0 0 420 60" aria-hidden="true" sx={{ mt: 6, width: '100%', maxWidth: texts.line, color: 'primary.main' }}>
      <line x1="0" x2="420" y1="40" y2="40" stroke="currentColor" opacity=".35" />
      <line x1="210" x2="210" y1="10" y2="48" stroke="currentColor" opacity=".35" />
      <line x1="273" x2="273" y1="10" y2="48" stroke="currentColor" strokeDasharray="3 3" opacity=".35" />
      <path d="M250 40 H80" stroke="currentColor" strokeWidth="2" opacity=".6" />
      <path d="M80 30 L90 40 L80 50 L70 40 Z" fill="currentColor" />
      <circle cx="130" cy="20" r="6" fill="currentColor" opacity=".6" />
      <rect x="170" y="14" width="11" height="11" fill="currentColor" opacity=".6" />
      <path d="M300 13 L308 27 L292 27 Z" fill="currentColor" opacity=".6" />
    </Box>
  );
}
