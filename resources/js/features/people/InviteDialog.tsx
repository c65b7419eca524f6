import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { Failed } from '../../shared/Notice';
import { OneTimeLink } from './OneTimeLink';
import { peopleQuery } from './queries';
import { wording } from './wording';

/** A new account, and the link by which its person comes in. */
export function InviteDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [mayMake, setMayMake] = useState(true);
  const [isAdministrator, setAdministrator] = useState(false);
  const invite = useMutation({
    mutationFn: () =>
      told(api.POST('/people', { body: { name, email, may_make_studies: mayMake, is_administrator: isAdministrator, roles: {} } })),
    onSuccess: () => client.invalidateQueries({ queryKey: peopleQuery().queryKey }),
  });
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="invite-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate();
        }}
      >
        <DialogTitle id="invite-title">{wording.inviteAPerson}</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
          {invite.data !== undefined ? (
            <OneTimeLink link={invite.data} name={name} />
          ) : (
            <>
              {invite.error !== null && <Failed error={invite.error} />}
              <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} required autoFocus sx={{ mt: 1 }} />
              <TextField label="Email" type="email" value={email} onChange={(event) => setEmail(event.target.value)} required />
              <FormControlLabel
                control={<Checkbox checked={mayMake} onChange={(event) => setMayMake(event.target.checked)} />}
                label={wording.canCreateStudies}
              />
              <FormControlLabel
                control={<Checkbox checked={isAdministrator} onChange={(event) => setAdministrator(event.target.checked)} />}
                label={wording.administratorFullAccessToAllStudiesAndAccounts}
              />
            </>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Close</Button>
          {invite.data === undefined && (
            <Button type="submit" variant="contained" loading={invite.isPending} disabled={name === '' || email === ''}>
              Create link
            </Button>
          )}
        </DialogActions>
      </form>
    </Dialog>
  );
}
