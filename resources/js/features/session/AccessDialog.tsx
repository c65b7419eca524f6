import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { about } from '../../shared/abouts';
import { Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { browserName } from './browser.logic';
import { SecondFactor } from './SecondFactor';
import { ownSessionsQuery, sessionQuery } from './queries';
import { wording } from './wording';
import { commonWording } from '../../shared/wording';

const asked = 'your browsers’ requests';

const headings = [
  { name: 'Last active', about: about('Time of its last request.', 'UTC', asked) },
  { name: 'From', about: about('IP address.', '', asked) },
  { name: 'With', about: about('Name the browser sends.', '', asked) },
];

/** How a person gets in: the second factor, and where the person is signed in. */
export function AccessDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const person = useQuery(sessionQuery()).data?.person;
  const sessions = useQuery(ownSessionsQuery());
  const end = useMutation({
    mutationFn: () => told(api.DELETE('/sessions')),
    onSuccess: () => client.invalidateQueries({ queryKey: ownSessionsQuery().queryKey }),
  });
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="access-title">
      <DialogTitle id="access-title">{wording.signinAndSecurity}</DialogTitle>
      <DialogContent>
        <Typography variant="h3">{commonWording.secondFactor}</Typography>
        <SecondFactor isThere={person?.has_second_factor === true} />
        <Typography variant="h3" sx={{ mt: 3 }}>
          {wording.yourSessions}
        </Typography>
        {sessions.isPending && <Waiting what="Loading your sessions" />}
        {sessions.isError && <Failed error={sessions.error} onRetry={() => void sessions.refetch()} />}
        {end.error !== null && <Failed error={end.error} />}
        {sessions.data !== undefined && (
          <PlainTable label={wording.yourSessions} headings={headings} numbers={[]}>
            {sessions.data.map((session, index) => (
              <tr key={index}>
                <td>{session.at.slice(0, 16).replace('T', ' ')}</td>
                <td>{session.from ?? ''}</td>
                <td title={session.with}>
                  {browserName(session.with)}
                  {session.is_this && <strong>, this one</strong>}
                </td>
              </tr>
            ))}
          </PlainTable>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button color="warning" disabled={(sessions.data?.length ?? 0) < 2} loading={end.isPending} onClick={() => end.mutate()}>
          Sign out other sessions
        </Button>
      </DialogActions>
    </Dialog>
  );
}
