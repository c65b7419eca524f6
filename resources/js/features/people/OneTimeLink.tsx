import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { EntryLink } from '../../api/schema';
import { dayWords } from '../../shared/format';

/** A link that is told this once; whoever has it chooses the password. */
export function OneTimeLink({ link, name }: { link: EntryLink; name: string }) {
  return (
    <Alert
      severity="success"
      action={<Button onClick={() => void navigator.clipboard.writeText(link.address)}>Copy</Button>}
      sx={{ overflowWrap: 'anywhere', my: 1 }}
    >
      Give this link to {name} only. It works once, until {dayWords(link.ends_at)}, {link.ends_at.slice(11, 16)} UTC. You won’t see it
      again: <code>{link.address}</code>
    </Alert>
  );
}
