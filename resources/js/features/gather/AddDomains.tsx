import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { sourcesQuery } from '../study/queries';
import type { Study } from '../../api/schema';
import { parts } from '../../theme/measures';

/** Many domains pasted at once become candidates, with their figures where a source is connected. */
export function AddDomains({ study }: { study: Study }) {
  const client = useQueryClient();
  const sources = useQuery(sourcesQuery());
  const [text, setText] = useState<string | null>(null);
  const add = useMutation({
    mutationFn: (domains: string) =>
      told(
        api.POST('/studies/{slug}/domains', {
          params: { path: { slug: study.slug } },
          body: { domains, source: sources.data?.[0] ?? null },
        }),
      ),
    onSuccess: () => {
      setText(null);
      return client.invalidateQueries({ queryKey: keys.study(study.slug) });
    },
  });
  if (text === null) {
    return (
      <Button onClick={() => setText('')} sx={{ mt: 0.5 }}>
        Add domains
      </Button>
    );
  }
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(text);
      }}
      sx={{ display: 'flex', gap: 1, pt: 1, alignItems: 'start' }}
    >
      <TextField
        autoFocus
        multiline
        minRows={2}
        maxRows={8}
        label="Domains, one per line"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={add.isError}
        helperText={add.error?.message}
        sx={{ width: parts.m }}
      />
      <Button type="submit" variant="contained" loading={add.isPending}>
        Keep as candidates
      </Button>
      <Button onClick={() => setText(null)}>Cancel</Button>
    </Box>
  );
}
