import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { rulebookHistoryQuery } from './queries';
import type { Setting, Study } from '../../api/schema';
import { Failed, Waiting } from '../../shared/Notice';
import { PreviewPart } from './PreviewPart';
import { others } from './rulebook.logic';
import { parts } from '../../theme/measures';

/** This rulebook beside another on the same data: the order of both, and who moves. Nothing is saved by looking. */
export function SideBySide({ study, settings }: { study: Study; settings: Setting[] }) {
  const history = useQuery(rulebookHistoryQuery(study.slug));
  const [chosen, setChosen] = useState('');
  const compare = useMutation({
    mutationFn: (other: Record<string, string>) =>
      told(api.POST('/studies/{slug}/rulebook/preview', { params: { path: { slug: study.slug } }, body: { settings: other } })),
  });
  const choices = others(settings, history.data ?? []);
  if (study.comparison === null || choices.length === 0) {
    return null;
  }
  return (
    <Box component="section" sx={{ mt: 3 }}>
      <Typography variant="h2">Side by side</Typography>
      <Typography color="text.secondary">Compare this rulebook with another one on the same data. Nothing is saved.</Typography>
      <TextField
        select
        label="Compare with"
        value={chosen}
        onChange={(event) => {
          setChosen(event.target.value);
          compare.mutate(choices.find((other) => other.title === event.target.value)?.settings ?? {});
        }}
        sx={{ minWidth: parts.l, mt: 1.5, maxWidth: '100%' }}
      >
        {choices.map((other) => (
          <MenuItem key={other.title} value={other.title}>
            {other.title}
          </MenuItem>
        ))}
      </TextField>
      {compare.isPending && <Waiting what="Calculating with the other rulebook" />}
      {compare.isError && <Failed error={compare.error} />}
      {compare.data !== undefined && <PreviewPart preview={compare.data} />}
    </Box>
  );
}
