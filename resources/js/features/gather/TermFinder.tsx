import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import type { Study } from '../../api/schema';
import { ChoiceList } from './ChoiceList';

interface Props {
  study: Study;
  source: string | null;
  isPending: boolean;
  onKeep: (words: string[], origin: string) => void;
}

const limits = [
  { name: 'from_words', label: 'Words from', start: 2 },
  { name: 'to_words', label: 'to', start: 4 },
  { name: 'letters', label: 'Letters per word', start: 3 },
  { name: 'occurrences', label: 'Occurrences', start: 2 },
  { name: 'top', label: 'Top', start: 50 },
] as const;

/** Candidate terms: the phrases that a pasted text, or a page as the source has it, repeats. */
export function TermFinder({ study, source, isPending, onKeep }: Props) {
  const [text, setText] = useState('');
  const [options, setOptions] = useState<Record<string, number>>(Object.fromEntries(limits.map((limit) => [limit.name, limit.start])));
  const isPage = /^https?:\/\/\S+$/.test(text.trim());
  const find = useMutation({
    mutationFn: () =>
      told(
        api.POST('/studies/{slug}/terms', {
          params: { path: { slug: study.slug } },
          body: isPage ? { url: text.trim(), source, ...options } : { text, ...options },
        }),
      ),
  });
  const origin = isPage ? `terms from ${text.trim()}` : 'terms from a text';
  return (
    <Box sx={{ pt: 1 }}>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          find.mutate();
        }}
        sx={{ display: 'grid', gap: 1 }}
      >
        <TextField
          multiline
          minRows={4}
          maxRows={12}
          label="Text, or the URL of a page"
          value={text}
          onChange={(event) => setText(event.target.value)}
          helperText={
            source === null ? 'Reading a page needs a connected source.' : `Pages come from ${source}. This server fetches nothing itself.`
          }
        />
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: 1 }}>
          {limits.map((limit) => (
            <TextField
              key={limit.name}
              type="number"
              label={limit.label}
              value={options[limit.name]}
              onChange={(event) => setOptions((before) => ({ ...before, [limit.name]: Number(event.target.value) }))}
            />
          ))}
        </Box>
        <Button type="submit" variant="outlined" disabled={text.trim() === ''} loading={find.isPending}>
          Find terms
        </Button>
      </Box>
      {find.isError && <Alert severity="warning">{find.error.message}</Alert>}
      {find.data?.length === 0 && <p>No phrase occurs that often. Try fewer occurrences or fewer words.</p>}
      {find.data !== undefined && find.data.length > 0 && (
        <ChoiceList
          choices={find.data.map((term) => ({
            word: term.term,
            note: `${term.occurrences} times${term.is_known ? ', in the list already' : ''}`,
          }))}
          isPending={isPending}
          onKeep={(words) => onKeep(words, origin)}
        />
      )}
    </Box>
  );
}
