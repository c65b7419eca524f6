import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Anchor from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { ApiError, api, told } from '../../api/client';
import { Failed, Waiting } from '../../shared/Notice';
import { invitedQuery } from './queries';
import { texts } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

/** For who comes by a link: chooses a password, once. What stands behind the # of an address is sent to no server on the way. */
export function WelcomePage() {
  const [link] = useState(() => window.location.hash.slice(1));
  const [password, setPassword] = useState('');
  const invited = useQuery(invitedQuery(link));
  const take = useMutation({ mutationFn: () => told(api.POST('/welcome', { body: { link, new_password: password } })) });
  const wrong = take.error instanceof ApiError ? take.error.fields['new_password']?.[0] : undefined;
  return (
    <Box component="main" sx={{ maxWidth: texts.line, mx: 'auto', p: 4, mt: { md: 12 } }}>
      <Typography variant="h1" sx={{ mb: 3 }}>
        {commonWording.greaterReach}
      </Typography>
      {invited.isPending && <Waiting what="Checking the link" />}
      {invited.isError && <Failed error={invited.error} />}
      {take.isSuccess && (
        <>
          <Alert severity="success">Your password is set.</Alert>
          <p>
            <Anchor component={Link} to="/sign-in">
              Sign in
            </Anchor>{' '}
            as {take.data.email}.
          </p>
        </>
      )}
      {invited.data !== undefined && !take.isSuccess && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            take.mutate();
          }}
        >
          <p>
            Welcome, {invited.data.name}. Choose a password for {invited.data.email}.
          </p>
          {take.error !== null && wrong === undefined && <Failed error={take.error} />}
          <TextField
            type="password"
            label="Password"
            autoComplete="new-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            error={wrong !== undefined}
            helperText={wrong ?? 'At least 12 characters'}
            fullWidth
            autoFocus
          />
          <Button type="submit" variant="contained" disabled={password.length < 12} loading={take.isPending} sx={{ mt: 2 }}>
            Set password
          </Button>
        </form>
      )}
    </Box>
  );
}
