import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useColorScheme } from '@mui/material/styles';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, lazy, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, told } from '../../api/client';
import { sessionQuery } from './queries';
import { PasswordDialog } from './PasswordDialog';
import { TokensDialog } from './TokensDialog';
import { wording } from './wording';

// Draws a picture with a library that is not needed before.
const AccessDialog = lazy(async () => ({ default: (await import('./AccessDialog')).AccessDialog }));

interface Props {
  onKeys?: () => void;
}

export function PersonMenu({ onKeys }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [dialog, setDialog] = useState<'access' | 'tokens' | 'password' | null>(null);
  const { mode, setMode } = useColorScheme();
  const session = useQuery(sessionQuery());
  const client = useQueryClient();
  const navigate = useNavigate();
  const signOut = async () => {
    await told(api.DELETE('/session'));
    client.clear();
    await navigate('/sign-in');
  };
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', pr: 1 }}>
      <Button onClick={(event) => setAnchor(event.currentTarget)} aria-haspopup="menu" sx={{ whiteSpace: 'nowrap' }}>
        {session.data?.person?.name ?? ''}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {onKeys !== undefined && (
          <MenuItem
            onClick={() => {
              setAnchor(null);
              onKeys();
            }}
          >
            Keys
          </MenuItem>
        )}
        {(['light', 'dark', 'system'] as const).map((scheme) => (
          <MenuItem key={scheme} selected={mode === scheme} onClick={() => setMode(scheme)}>
            {scheme === 'system' ? 'Use system theme' : scheme === 'dark' ? 'Dark' : 'Light'}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setDialog('access');
          }}
        >
          {wording.signinAndSecurity}
        </MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setDialog('tokens');
          }}
        >
          {wording.tokensForScripts}
        </MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setDialog('password');
          }}
        >
          {wording.changePassword}
        </MenuItem>
        {session.data?.person?.is_administrator === true && <MenuItem onClick={() => void navigate('/people')}>People</MenuItem>}
        {session.data?.person?.is_administrator === true && <MenuItem onClick={() => void navigate('/audit')}>Audit log</MenuItem>}
        <MenuItem onClick={() => void signOut()}>Sign out</MenuItem>
      </Menu>
      {dialog === 'access' && (
        <Suspense>
          <AccessDialog onClose={() => setDialog(null)} />
        </Suspense>
      )}
      {dialog === 'tokens' && <TokensDialog onClose={() => setDialog(null)} />}
      {dialog === 'password' && <PasswordDialog onClose={() => setDialog(null)} />}
    </Box>
  );
}
