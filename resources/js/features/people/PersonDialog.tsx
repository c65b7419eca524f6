import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import type { Account } from '../../api/schema';
import { Failed } from '../../shared/Notice';
import { OneTimeLink } from './OneTimeLink';
import { peopleQuery } from './queries';
import { StudyRoles, type Role } from './StudyRoles';
import { wording } from './wording';

interface Changes {
  is_administrator?: boolean;
  may_make_studies?: boolean;
  is_disabled?: boolean;
  roles?: Record<string, Role | null>;
}

interface Props {
  person: Account;
  onClose: () => void;
}

/** One account: what the person may, in which studies, and what helps when a password or a device is lost. */
export function PersonDialog({ person, onClose }: Props) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: peopleQuery().queryKey });
  const params = { path: { person: person.id } };
  const change = useMutation({ mutationFn: (body: Changes) => told(api.PATCH('/people/{person}', { params, body })), onSettled: refresh });
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="person-title">
      <DialogTitle id="person-title">
        {person.name}, {person.email}
      </DialogTitle>
      <DialogContent>
        {change.error !== null && <Failed error={change.error} />}
        <Box sx={{ display: 'flex', flexDirection: 'column' }}>
          <Flag
            label={wording.administratorFullAccessToAllStudiesAndAccounts}
            isSet={person.is_administrator}
            onChange={(is) => change.mutate({ is_administrator: is })}
          />
          <Flag
            label={wording.canCreateStudies}
            isSet={person.may_make_studies}
            onChange={(may) => change.mutate({ may_make_studies: may })}
          />
          <Flag
            label="Disabled: can’t sign in; sessions and tokens end"
            isSet={person.is_disabled}
            onChange={(is) => change.mutate({ is_disabled: is })}
          />
        </Box>
        {!person.is_administrator && <StudyRoles person={person} onChange={(slug, role) => change.mutate({ roles: { [slug]: role } })} />}
        <LostThings person={person} onSettled={refresh} />
      </DialogContent>
      <DialogActions>
        <Removal person={person} onSettled={refresh} />
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function Flag({ label, isSet, onChange }: { label: string; isSet: boolean; onChange: (isSet: boolean) => void }) {
  return <FormControlLabel control={<Checkbox checked={isSet} onChange={(event) => onChange(event.target.checked)} />} label={label} />;
}

function LostThings({ person, onSettled }: { person: Account; onSettled: () => Promise<void> }) {
  const params = { path: { person: person.id } };
  const reset = useMutation({ mutationFn: () => told(api.POST('/people/{person}/link', { params })), onSettled });
  const signOut = useMutation({ mutationFn: () => told(api.DELETE('/people/{person}/sessions', { params })), onSettled });
  const factor = useMutation({ mutationFn: () => told(api.DELETE('/people/{person}/second-factor', { params })), onSettled });
  const error = reset.error ?? signOut.error ?? factor.error;
  return (
    <Box component="section" sx={{ mt: 2 }}>
      <Typography variant="h3">Account recovery</Typography>
      {error !== null && <Failed error={error} />}
      {reset.data !== undefined && <OneTimeLink link={reset.data} name={person.name} />}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
        <Button variant="outlined" disabled={person.is_disabled} loading={reset.isPending} onClick={() => reset.mutate()}>
          Create password link
        </Button>
        <Button
          variant="outlined"
          disabled={person.sessions + person.tokens === 0}
          loading={signOut.isPending}
          onClick={() => signOut.mutate()}
        >
          {person.tokens === 0 ? 'Sign out everywhere' : `Sign out everywhere and revoke ${person.tokens} tokens`}
        </Button>
        <Button variant="outlined" disabled={!person.has_second_factor} loading={factor.isPending} onClick={() => factor.mutate()}>
          Remove the second factor
        </Button>
      </Box>
    </Box>
  );
}

/** Asked twice, as it cannot be taken back. */
function Removal({ person, onSettled }: { person: Account; onSettled: () => Promise<void> }) {
  const [isAsked, setAsked] = useState(false);
  const remove = useMutation({
    mutationFn: () => told(api.DELETE('/people/{person}', { params: { path: { person: person.id } } })),
    onSettled,
  });
  return (
    <>
      <Button
        color="warning"
        variant={isAsked ? 'contained' : 'text'}
        loading={remove.isPending}
        onClick={() => (isAsked ? remove.mutate() : setAsked(true))}
      >
        {isAsked ? 'Yes, delete it for good' : 'Delete account'}
      </Button>
      {remove.error !== null && <Failed error={remove.error} />}
    </>
  );
}
