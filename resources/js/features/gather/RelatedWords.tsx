import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { relatedQuery } from './queries';
import type { Study } from '../../api/schema';
import { decimal, whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { ChoiceList } from './ChoiceList';

interface Props {
  study: Study;
  source: string | null;
  isPending: boolean;
  onKeep: (words: string[], origin: string) => void;
}

/** Related keywords and questions, as the source knows them. */
export function RelatedWords({ study, source, isPending, onKeep }: Props) {
  const [typed, setTyped] = useState('');
  const [keyword, setKeyword] = useState('');
  const related = useQuery(relatedQuery(study.slug, keyword, source ?? ''));
  if (source === null) {
    return <p>Related keywords need a connected source. None is connected on this server.</p>;
  }
  return (
    <Box sx={{ pt: 1 }}>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          setKeyword(typed.trim());
        }}
        sx={{ display: 'flex', gap: 1 }}
      >
        <TextField fullWidth label="Keyword" value={typed} onChange={(event) => setTyped(event.target.value)} />
        <Button type="submit" variant="outlined" disabled={typed.trim() === ''}>
          Look
        </Button>
      </Box>
      {related.isFetching && <Waiting what="Asking the source" />}
      {related.isError && <Failed error={related.error} onRetry={() => void related.refetch()} />}
      {related.data?.length === 0 && <p>The source has no keywords related to “{keyword}”.</p>}
      {related.data !== undefined && related.data.length > 0 && (
        <ChoiceList
          choices={related.data.map((row) => ({
            word: row.keyword,
            note: `${row.is_question ? 'question, ' : ''}volume ${whole(row.volume)}, difficulty ${decimal(row.difficulty)}`,
          }))}
          isPending={isPending}
          onKeep={(words) => onKeep(words, `related to ${keyword}`)}
        />
      )}
    </Box>
  );
}
