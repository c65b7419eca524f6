import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Link from '@mui/material/Link';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { lensesQuery } from './queries';
import type { Study } from '../../api/schema';
import { measures, parts, presses } from '../../theme/measures';

/** Sentences worth coming back to: those that come with the study, and our own under names of our own. */
export function LensMenu({ study, show, onChoose }: { study: Study; show: string; onChoose: (show: string) => void }) {
  const client = useQueryClient();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [name, setName] = useState('');
  const lenses = useQuery({ ...lensesQuery(study.slug), enabled: anchor !== null });
  const refresh = { onSettled: () => client.invalidateQueries({ queryKey: keys.part(study.slug, 'lenses') }) };
  const save = useMutation({
    mutationFn: () => told(api.POST('/studies/{slug}/lenses', { params: { path: { slug: study.slug } }, body: { name, show } })),
    onSuccess: () => setName(''),
    ...refresh,
  });
  const forget = useMutation({
    mutationFn: (id: number) => told(api.DELETE('/studies/{slug}/lenses/{lens}', { params: { path: { slug: study.slug, lens: id } } })),
    ...refresh,
  });
  const choose = (next: string) => {
    setAnchor(null);
    onChoose(next);
  };
  return (
    <>
      <Button id="lens-menu" aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
        Lenses
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box role="dialog" aria-label="Lenses" sx={{ p: 2, width: parts.m, display: 'grid', gap: 0.25 }}>
          {(lenses.data?.ready ?? []).map((lens) => (
            <LensLine key={lens.name} name={lens.name} onChoose={() => choose(lens.show)} />
          ))}
          {lenses.data !== undefined && lenses.data.own.length > 0 && (
            <>
              <Divider sx={{ my: 1 }} />
              <Typography variant="h3">Ours</Typography>
            </>
          )}
          {(lenses.data?.own ?? []).map((lens) => (
            <Box key={lens.id} sx={{ display: 'flex' }}>
              <LensLine name={lens.name} onChoose={() => choose(lens.show)} />
              {study.may_edit && (
                <Button aria-label={`Delete ${lens.name}`} onClick={() => forget.mutate(lens.id)} sx={{ minWidth: presses.s }}>
                  ✕
                </Button>
              )}
            </Box>
          ))}
          {study.may_edit && (
            <Box
              component="form"
              onSubmit={(event) => {
                event.preventDefault();
                save.mutate();
              }}
              sx={{ display: 'flex', gap: 1, mt: 1 }}
            >
              <TextField
                fullWidth
                label="Save this sentence as"
                value={name}
                onChange={(event) => setName(event.target.value)}
                error={save.isError}
                helperText={save.error?.message}
              />
              <Button type="submit" disabled={name.trim() === ''}>
                Keep
              </Button>
            </Box>
          )}
        </Box>
      </Popover>
    </>
  );
}

function LensLine({ name, onChoose }: { name: string; onChoose: () => void }) {
  return (
    <Link
      component="button"
      type="button"
      onClick={onChoose}
      sx={{ flex: 1, textAlign: 'left', minHeight: measures.heading, typography: 'plain' }}
    >
      {name}
    </Link>
  );
}
