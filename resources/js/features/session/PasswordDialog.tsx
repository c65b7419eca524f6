import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError, api, told } from '../../api/client';
import { wording } from './wording';

const shortest = 12;

/** A new password for who knows the old one. */
export function PasswordDialog({ onClose }: { onClose: () => void }) {
  const [password, setPassword] = useState('');
  const [fresh, setFresh] = useState('');
  const [endsTokens, setEndsTokens] = useState(false);
  const change = useMutation({
    mutationFn: () => told(api.PATCH('/session', { body: { password, new_password: fresh, end_tokens: endsTokens } })),
  });
  const wrong = change.error instanceof ApiError ? change.error.fields : {};
  const isField = wrong['password'] !== undefined || wrong['new_password'] !== undefined;
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="password-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        <DialogTitle id="password-title">Change your password</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
          {change.isSuccess ? (
            <Alert severity="success">Password changed. All your other sessions were signed out.</Alert>
          ) : (
            <>
              {change.error !== null && !isField && <Alert severity="error">{change.error.message}</Alert>}
              <TextField
                type="password"
                label="Current password"
                autoComplete="current-password"
                value={password}
                onChange={(event) => setPassword(event.target.value)}
                error={wrong['password'] !== undefined}
                helperText={wrong['password']?.[0]}
                sx={{ mt: 1 }}
                autoFocus
              />
              <TextField
                type="password"
                label="New password"
                autoComplete="new-password"
                value={fresh}
                onChange={(event) => setFresh(event.target.value)}
                error={wrong['new_password'] !== undefined}
                helperText={wrong['new_password']?.[0] ?? `At least ${shortest} characters`}
              />
              <FormControlLabel
                control={<Checkbox checked={endsTokens} onChange={(event) => setEndsTokens(event.target.checked)} />}
                label="Revoke my tokens too: scripts will need new ones"
              />
            </>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Close</Button>
          {!change.isSuccess && (
            <Button type="submit" variant="contained" disabled={password === '' || fresh.length < shortest} loading={change.isPending}>
              {wording.changePassword}
            </Button>
          )}
        </DialogActions>
      </form>
    </Dialog>
  );
}
