import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import type { BriefLink } from '../../api/schema';
import { Failed } from '../../shared/Notice';
import { briefLinksQuery } from './queries';
import { dayWords } from '../../shared/format';

function linkWords({ expires_at, used_at }: BriefLink): string {
  return `Link until ${dayWords(expires_at)}, ${used_at === null ? 'not opened yet' : `opened ${dayWords(used_at)}`}`;
}

/** Links by which a writer without an account sees this brief, and tells how far the page is. */
export function ShareBrief({ slug, item }: { slug: string; item: number }) {
  const client = useQueryClient();
  const query = briefLinksQuery(slug, item);
  const links = useQuery(query);
  const settle = { onSettled: () => client.invalidateQueries({ queryKey: query.queryKey }) };
  const path = { slug, item };
  const make = useMutation({
    mutationFn: () => told(api.POST('/studies/{slug}/plan/items/{item}/links', { params: { path }, body: {} })),
    ...settle,
  });
  const revoke = useMutation({
    mutationFn: (link: number) =>
      told(api.DELETE('/studies/{slug}/plan/items/{item}/links/{link}', { params: { path: { ...path, link } } })),
    ...settle,
  });
  const error = links.error ?? make.error ?? revoke.error;
  return (
    <Box className="no-print">
      <Typography variant="h3" sx={{ mt: 1.5 }}>
        For a writer without an account
      </Typography>
      {error !== null && <Failed error={error} />}
      {(links.data?.links ?? []).map((link) => (
        <Box key={link.id} sx={{ display: 'flex', gap: 0.5, alignItems: 'center', mt: 0.5 }}>
          <TextField
            label={linkWords(link)}
            value={link.url}
            slotProps={{ htmlInput: { readOnly: true } }}
            onFocus={(event) => event.target.select()}
            sx={{ flex: 1 }}
          />
          <Button color="warning" loading={revoke.isPending && revoke.variables === link.id} onClick={() => revoke.mutate(link.id)}>
            Revoke link
          </Button>
        </Box>
      ))}
      <Button loading={make.isPending} onClick={() => make.mutate()}>
        Create a link for two weeks
      </Button>
    </Box>
  );
}
