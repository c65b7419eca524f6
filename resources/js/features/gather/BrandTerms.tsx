import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { LedgerRow, Study } from '../../api/schema';
import { measures } from '../../theme/measures';

/** The words by which people search for a domain by name, beside the name itself. */
export function BrandTerms({ study, row }: { study: Study; row: LedgerRow }) {
  const client = useQueryClient();
  const [text, setText] = useState<string | null>(null);
  const save = useMutation({
    mutationFn: (terms: string) =>
      told(
        api.PATCH('/studies/{slug}/domains/{domain}', {
          params: { path: { slug: study.slug, domain: row.id } },
          body: { brand_terms: terms.split(';').map((term) => term.trim()) },
        }),
      ),
    onSuccess: () => {
      setText(null);
      return client.invalidateQueries({ queryKey: keys.study(study.slug) });
    },
  });
  if (text === null) {
    return (
      <Link
        component="button"
        type="button"
        title={`Change the brand terms of ${row.entry}`}
        onClick={() => setText(row.brand_terms.join('; '))}
        sx={{ fontSize: 'inherit', minHeight: measures.target, verticalAlign: 'baseline', color: 'inherit', textAlign: 'left' }}
      >
        brand terms: {row.brand_terms.length === 0 ? 'its name' : `its name, ${row.brand_terms.join(', ')}`}
      </Link>
    );
  }
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(text);
      }}
      sx={{ display: 'flex', gap: 1, pt: 0.5 }}
    >
      <TextField
        autoFocus
        label="Brand terms, separated by semicolons"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={save.isError}
        helperText={save.error?.message}
      />
      <Button type="submit" loading={save.isPending}>
        Save
      </Button>
      <Button onClick={() => setText(null)}>Cancel</Button>
    </Box>
  );
}
