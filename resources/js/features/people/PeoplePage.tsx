import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Account } from '../../api/schema';
import { about, sources } from '../../shared/abouts';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { useSortedRows } from '../../shared/useSorting';
import { PageHead } from '../session';
import { InviteDialog } from './InviteDialog';
import { PersonDialog } from './PersonDialog';
import { mayWords, stateWords } from './people.logic';
import { peopleQuery } from './queries';
import { commonWording } from '../../shared/wording';
import { wording } from './wording';

const asked = 'browser requests';

const headings = [
  { name: 'Name', sort: 'name', startsAscending: true, about: about('Name of the person.', '', sources.people) },
  { name: 'Email', sort: 'email', startsAscending: true, about: about('Email address for signing in.', '', sources.people) },
  { name: 'May', sort: 'may', startsAscending: true, about: about('Rights beyond the studies listed.', '', sources.people) },
  {
    name: 'Studies',
    sort: 'studies',
    about: about('Studies the person can see or change. Administrators see all.', 'studies', sources.people),
  },
  {
    name: commonWording.secondFactor,
    sort: 'factor',
    about: about('Whether sign-in needs a code besides the password.', '', 'set up by each person'),
  },
  { name: 'Last active', sort: 'last', about: about('Last request of an active session.', 'UTC', asked) },
  { name: 'State', sort: 'state', startsAscending: true, about: about('Whether the person can sign in.', '', sources.people) },
  '',
] as const;

const values = {
  name: (one: Account) => one.name,
  email: (one: Account) => one.email,
  may: mayWords,
  studies: (one: Account) => one.roles.length,
  factor: (one: Account) => (one.has_second_factor ? 1 : 0),
  last: (one: Account) => one.last_seen,
  state: stateWords,
};

/** Everybody with an account: what each may, who was invited, and who is shut out. Administrators alone see it. */
export function PeoplePage() {
  const list = useQuery(peopleQuery());
  const [isInviting, setInviting] = useState(false);
  const [open, setOpen] = useState<number | null>(null);
  const [wanted, setWanted] = useState('');
  const found = (list.data ?? []).filter((one) => `${one.name} ${one.email}`.toLowerCase().includes(wanted.toLowerCase()));
  const [people, sorting] = useSortedRows(found, values);
  const shown = list.data?.find((one) => one.id === open);
  return (
    <>
      <PageHead title="People" />
      <Box component="main" sx={{ flex: 1, overflowY: 'auto', px: 2, pb: 3 }}>
        <Box sx={{ display: 'flex', gap: 1, py: 1.5 }}>
          <TextField label="Find a person" value={wanted} onChange={(event) => setWanted(event.target.value)} />
          <Box sx={{ flex: 1 }} />
          {list.isSuccess && (
            <Button variant="contained" onClick={() => setInviting(true)}>
              {wording.inviteAPerson}
            </Button>
          )}
        </Box>
        {list.isPending && <Waiting what="Loading the accounts" />}
        {list.isError && <Failed error={list.error} onRetry={() => void list.refetch()} />}
        {list.isSuccess && people.length === 0 && <Empty title="No matching person">{commonWording.tryPartOfTheName}</Empty>}
        {people.length > 0 && (
          <PlainTable label="People" headings={headings} sorting={sorting} numbers={[3]}>
            {people.map((one) => (
              <Line key={one.id} person={one} onOpen={() => setOpen(one.id)} />
            ))}
          </PlainTable>
        )}
      </Box>
      {isInviting && <InviteDialog onClose={() => setInviting(false)} />}
      {shown !== undefined && <PersonDialog person={shown} onClose={() => setOpen(null)} />}
    </>
  );
}

function Line({ person, onOpen }: { person: Account; onOpen: () => void }) {
  return (
    <tr>
      <td>{person.name}</td>
      <td>{person.email}</td>
      <td>{mayWords(person)}</td>
      <td>{person.is_administrator ? 'all' : person.roles.length}</td>
      <td>{person.has_second_factor ? 'yes' : 'no'}</td>
      <td>{person.last_seen?.slice(0, 16).replace('T', ' ') ?? '·'}</td>
      <Box component="td" sx={{ color: person.is_disabled ? 'warning.main' : 'text.primary' }}>
        {stateWords(person)}
      </Box>
      <td>
        <Button onClick={onOpen} aria-label={`Change ${person.name}`} sx={{ py: 0 }}>
          Change
        </Button>
      </td>
    </tr>
  );
}
