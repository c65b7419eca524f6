import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { Failed } from '../../shared/Notice';
import { sessionQuery } from './queries';
import { fields } from '../../theme/measures';

interface Props {
  isThere: boolean;
  /** Called once what is told only now has been read. */
  onDone?: () => void;
}

/** A code beside the password: set up by a picture or by typing, confirmed by one code, taken away by the password. */
export function SecondFactor({ isThere, onDone }: Props) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: sessionQuery().queryKey });
  const begin = useMutation({ mutationFn: () => told(api.POST('/second-factor')) });
  const confirm = useMutation({ mutationFn: (code: string) => told(api.PUT('/second-factor', { body: { code } })) });
  if (confirm.data !== undefined) {
    const done = () => {
      void refresh();
      confirm.reset();
      begin.reset();
      onDone?.();
    };
    return <RecoveryCodes codes={confirm.data.recovery_codes} onKept={done} />;
  }
  if (isThere) {
    return <Removal onRemoved={refresh} />;
  }
  if (begin.data === undefined) {
    return (
      <Box>
        <p>Someone with your password still needs the code from your authenticator app.</p>
        {begin.error !== null && <Failed error={begin.error} />}
        <Button variant="contained" onClick={() => begin.mutate()} loading={begin.isPending}>
          Set up an authenticator
        </Button>
      </Box>
    );
  }
  return (
    <Box>
      <p>Scan this code with your authenticator app, or type the secret. Then enter the code it shows.</p>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ p: 1, bgcolor: 'common.white', lineHeight: 0 }}>
          <QRCodeSVG value={begin.data.address} size={148} title="QR code of the secret" />
        </Box>
        <Box component="code" sx={{ maxWidth: fields.xl, overflowWrap: 'anywhere' }}>
          {begin.data.secret.match(/.{4}/g)?.join(' ')}
        </Box>
      </Box>
      {confirm.error !== null && <Failed error={confirm.error} />}
      <CodeForm isPending={confirm.isPending} onCode={(code) => confirm.mutate(code)} />
    </Box>
  );
}

function CodeForm({ isPending, onCode }: { isPending: boolean; onCode: (code: string) => void }) {
  const [code, setCode] = useState('');
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onCode(code);
      }}
      sx={{ display: 'flex', gap: 1, mt: 2 }}
    >
      <TextField
        label="Code"
        value={code}
        onChange={(event) => setCode(event.target.value)}
        slotProps={{ htmlInput: { inputMode: 'numeric', autoComplete: 'one-time-code', maxLength: 7 } }}
        autoFocus
      />
      <Button type="submit" variant="contained" loading={isPending} disabled={code.length < 6}>
        Code from the app
      </Button>
    </Box>
  );
}

function RecoveryCodes({ codes, onKept }: { codes: string[]; onKept: () => void }) {
  return (
    <Box>
      <Alert severity="success">From now on you need a code to sign in.</Alert>
      <p>Keep these away from your authenticator. Each lets you sign in once if you lose it. You won’t see them again.</p>
      <Box component="ul" sx={{ columns: 2, listStyle: 'none', p: 0, fontFamily: 'monospace' }} aria-label="Recovery codes">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </Box>
      <Button onClick={() => void navigator.clipboard.writeText(codes.join('\n'))}>Copy codes</Button>
      <Button variant="contained" onClick={onKept}>
        I saved them
      </Button>
    </Box>
  );
}

function Removal({ onRemoved }: { onRemoved: () => Promise<void> }) {
  const [password, setPassword] = useState('');
  const remove = useMutation({
    mutationFn: () => told(api.DELETE('/second-factor', { body: { password } })),
    onSuccess: onRemoved,
  });
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        remove.mutate();
      }}
    >
      <p>You need a code to sign in. To turn this off, enter your password.</p>
      {remove.error !== null && <Failed error={remove.error} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          type="password"
          label="Password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
        <Button type="submit" color="warning" loading={remove.isPending} disabled={password === ''}>
          Turn it off
        </Button>
      </Box>
    </Box>
  );
}
