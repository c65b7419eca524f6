import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { curveQuery, rulebookQuery, studyKey } from '../../api/queries';
import type { Setting, Study } from '../../api/types';
import { CurveChart } from '../../shared/CurveChart';
import { Failed, Waiting } from '../../shared/Notice';
import { useStudy } from '../studies';
import { groups, spelt } from './rulebook.logic';

/** Every number behind the figures, readable from top to bottom, changeable in place. */
export function RulebookPage() {
  const study = useStudy();
  const rulebook = useQuery(rulebookQuery(study.slug));
  const curve = useQuery(curveQuery(study.slug));
  if (rulebook.isPending) {
    return <Waiting what="Reading the rulebook" />;
  }
  if (rulebook.isError) {
    return <Failed error={rulebook.error} onRetry={() => void rulebook.refetch()} />;
  }
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', px: 3, pb: 5 }}>
      <Typography variant="h1" sx={{ pt: 2 }}>
        Rulebook
      </Typography>
      <Typography color="text.secondary" sx={{ maxWidth: 720 }}>
        Every number behind the figures of this study. A change makes the comparison anew; until it is there, the list from before stays on show.
      </Typography>
      {curve.data !== undefined && (
        <Box sx={{ maxWidth: 560, mt: 1 }}>
          <CurveChart curve={curve.data} />
        </Box>
      )}
      {groups(rulebook.data).map((group) => (
        <Box component="section" key={group.title} sx={{ mt: 2 }}>
          <Typography variant="h2">{group.title}</Typography>
          {group.settings.map((setting) => (
            <Line key={`${setting.key} ${spelt(setting.value)}`} study={study} setting={setting} />
          ))}
        </Box>
      ))}
    </Box>
  );
}

function Line({ study, setting }: { study: Study; setting: Setting }) {
  const client = useQueryClient();
  const [text, setText] = useState(spelt(setting.value));
  const isOwn = spelt(setting.value) !== spelt(setting.default);
  const save = useMutation({
    mutationFn: (value: string) => api.patch<Setting[]>(`studies/${study.slug}/rulebook`, { settings: { [setting.key]: value } }),
    onSuccess: () => client.invalidateQueries({ queryKey: studyKey(study.slug) }),
  });
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(text);
      }}
      sx={{ display: 'grid', gridTemplateColumns: '210px minmax(200px, 380px) 1fr', gap: 2, alignItems: 'start', py: 0.75, borderBottom: 1, borderColor: 'divider' }}
    >
      <Box>
        <Box sx={{ fontWeight: 600, fontSize: '0.9rem' }}>{setting.key.replaceAll('_', ' ')}</Box>
        <Box sx={{ fontSize: '0.76rem', color: 'text.secondary' }}>{setting.bounds}</Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField fullWidth disabled={!study.may_edit} value={text} onChange={(event) => setText(event.target.value)} error={save.isError} slotProps={{ htmlInput: { 'aria-label': setting.key.replaceAll('_', ' ') } }} />
        {text !== spelt(setting.value) && (
          <Button type="submit" variant="contained" loading={save.isPending}>
            Save
          </Button>
        )}
        {isOwn && study.may_edit && text === spelt(setting.value) && <Button onClick={() => save.mutate(spelt(setting.default))}>Default</Button>}
      </Box>
      <Box sx={{ fontSize: '0.86rem' }}>
        {setting.meaning} {isOwn && <strong>Default: {spelt(setting.default) === '' ? 'none' : spelt(setting.default)}.</strong>}
        {save.isError && <Alert severity="warning">{save.error.message}</Alert>}
      </Box>
    </Box>
  );
}
