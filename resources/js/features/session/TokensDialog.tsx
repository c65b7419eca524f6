import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { tokensQuery } from './queries';
import { Failed } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { fields } from '../../theme/measures';
import { wording } from './wording';

const abilities = { 'read only': ['read'], 'read and write': ['read', 'write'] } as const;

/** Tokens by which a person's scripts use the API; a token itself is seen once, when it is made. */
export function TokensDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const tokens = useQuery(tokensQuery());
  const [draft, setDraft] = useState<{ name: string; may: keyof typeof abilities; days: string }>({
    name: '',
    may: 'read only',
    days: '90',
  });
  const settle = { onSettled: () => client.invalidateQueries({ queryKey: tokensQuery().queryKey }) };
  const make = useMutation({
    mutationFn: () =>
      told(api.POST('/tokens', { body: { name: draft.name, abilities: [...abilities[draft.may]], days: Number(draft.days) } })),
    onSuccess: () => setDraft({ ...draft, name: '' }),
    ...settle,
  });
  const end = useMutation({
    mutationFn: (id: number) => told(api.DELETE('/tokens/{token}', { params: { path: { token: id } } })),
    ...settle,
  });
  const error = make.error ?? end.error;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="tokens-title">
      <DialogTitle id="tokens-title">{wording.tokensForScripts}</DialogTitle>
      <DialogContent>
        <p>Scripts send a token as “Authorization: Bearer …” and use the API in your name. They can never do more than you can.</p>
        {make.data !== undefined && (
          <Alert severity="success" sx={{ overflowWrap: 'anywhere' }}>
            Copy it now. You won’t see it again: <code>{make.data.token}</code>
          </Alert>
        )}
        {error !== null && <Failed error={error} />}
        {tokens.data !== undefined && tokens.data.length > 0 && (
          <PlainTable label="Tokens" headings={headings} numbers={[]}>
            {tokens.data.map((token) => (
              <tr key={token.id}>
                <td>{token.name}</td>
                <td>{token.abilities.join(' and ')}</td>
                <td>{token.last_used_at?.slice(0, 10) ?? 'never'}</td>
                <td>{token.expires_at?.slice(0, 10) ?? 'never'}</td>
                <td>
                  <Button color="warning" aria-label={`Revoke the token ${token.name}`} onClick={() => end.mutate(token.id)} sx={{ py: 0 }}>
                    Revoke
                  </Button>
                </td>
              </tr>
            ))}
          </PlainTable>
        )}
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            make.mutate();
          }}
          sx={{ display: 'flex', gap: 1, mt: 2, alignItems: 'center' }}
        >
          <TextField
            label="Purpose"
            value={draft.name}
            onChange={(event) => setDraft({ ...draft, name: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 80 } }}
            sx={{ flex: 1 }}
          />
          <TextField
            select
            label="May"
            value={draft.may}
            onChange={(event) => setDraft({ ...draft, may: event.target.value === 'read only' ? 'read only' : 'read and write' })}
            sx={{ width: fields.l }}
          >
            {Object.keys(abilities).map((may) => (
              <MenuItem key={may} value={may}>
                {may}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            type="number"
            label="Days until it expires"
            value={draft.days}
            onChange={(event) => setDraft({ ...draft, days: event.target.value })}
            slotProps={{ htmlInput: { min: 1, max: 366 } }}
            sx={{ width: fields.m }}
          />
          <Button
            type="submit"
            variant="contained"
            disabled={draft.name.trim() === ''}
            loading={make.isPending}
            sx={{ whiteSpace: 'nowrap' }}
          >
            Create token
          </Button>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

const headings = [
  { name: 'Name', about: about('Name given when it was created.', '', sources.people) },
  { name: 'May', about: about('Read only, or read and write.', '', sources.people) },
  { name: 'Last used', about: about('Day of the last request with it.', 'day, UTC', 'script requests') },
  { name: 'Ends', about: about('Day it expires.', 'day, UTC', sources.people) },
  '',
] as const;
