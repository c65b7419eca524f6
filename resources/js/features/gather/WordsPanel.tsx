import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { sourcesQuery } from '../study/queries';
import type { Study } from '../../api/schema';
import { whole } from '../../shared/format';
import { SidePanel } from '../../shared/SidePanel';
import { RelatedWords } from './RelatedWords';
import { TermFinder } from './TermFinder';

interface Props {
  study: Study;
  title: string;
  onClose: () => void;
}

const ways = ['A list', 'From a text or page', 'Related'];

/** Words we bring ourselves; all of them land in the study's keyword list with where they come from. */
export function WordsPanel({ study, title, onClose }: Props) {
  const client = useQueryClient();
  const sources = useQuery(sourcesQuery());
  const source = sources.data?.[0] ?? null;
  const [way, setWay] = useState(0);
  const add = useMutation({
    mutationFn: (order: { keywords: string[]; origin: string }) =>
      told(
        api.POST('/studies/{slug}/keywords', {
          params: { path: { slug: study.slug } },
          body: { keywords: order.keywords.join('\n'), origin: order.origin, source },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  const keep = (keywords: string[], origin: string) => add.mutate({ keywords, origin });
  return (
    <SidePanel title={title} onClose={onClose}>
      <Tabs value={way} onChange={(_, next: number) => setWay(next)} aria-label="Source of the keywords" sx={{ mb: 1.5 }}>
        {ways.map((name) => (
          <Tab key={name} label={name} />
        ))}
      </Tabs>
      {add.isError && <Alert severity="warning">{add.error.message}</Alert>}
      {add.isSuccess && (
        <Alert severity="success">
          {whole(add.data.kept)} keywords added{source === null ? '' : `, with metrics from ${source}`}. You’ll see them in Compare after
          the next comparison.
        </Alert>
      )}
      {way === 0 && <PastedList isPending={add.isPending} onKeep={(keywords) => keep(keywords, 'pasted list')} />}
      {way === 1 && <TermFinder study={study} source={source} isPending={add.isPending} onKeep={keep} />}
      {way === 2 && <RelatedWords study={study} source={source} isPending={add.isPending} onKeep={keep} />}
    </SidePanel>
  );
}

function PastedList({ isPending, onKeep }: { isPending: boolean; onKeep: (keywords: string[]) => void }) {
  const [text, setText] = useState('');
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(text.split('\n'));
      }}
      sx={{ display: 'grid', gap: 1, pt: 1 }}
    >
      <TextField
        multiline
        minRows={8}
        maxRows={18}
        label="Keywords, one per line"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" variant="contained" disabled={lines.length === 0} loading={isPending}>
        Put {whole(lines.length)} to the list
      </Button>
    </Box>
  );
}
