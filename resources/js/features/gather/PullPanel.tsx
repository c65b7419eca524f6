import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ledgerQuery, sourcesQuery } from '../study/queries';
import type { Study } from '../../api/schema';
import { SidePanel } from '../../shared/SidePanel';
import { PullSchedule } from './PullSchedule';
import { usePull } from './usePull';

interface Props {
  study: Study;
  title: string;
  onClose: () => void;
}

/** Fills the study from a connected source: rankings, figures, page one, our own clicks. */
export function PullPanel({ study, title, onClose }: Props) {
  const sources = useQuery(sourcesQuery());
  const ledger = useQuery(ledgerQuery(study.slug));
  const [source, setSource] = useState('');
  const [domain, setDomain] = useState('');
  const [date, setDate] = useState('');
  const [snapshots, setSnapshots] = useState(1);
  const chosen = source === '' ? (sources.data?.[0] ?? '') : source;
  const pull = usePull(study.slug);
  if (sources.data?.length === 0) {
    return (
      <SidePanel title={title} onClose={onClose}>
        <Typography>No source is connected on this server. Import files instead, or have an administrator set one up.</Typography>
      </SidePanel>
    );
  }
  return (
    <SidePanel title={title} onClose={onClose}>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          pull.mutate({ source: chosen, domain: domain === '' ? null : Number(domain), date: date === '' ? null : date, snapshots });
        }}
        sx={{ display: 'grid', gap: 1.5, pt: 0.5 }}
      >
        <TextField select label="Source" value={chosen} onChange={(event) => setSource(event.target.value)}>
          {(sources.data ?? []).map((name) => (
            <MenuItem key={name} value={name}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="What"
          value={domain}
          onChange={(event) => setDomain(event.target.value)}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">the whole study</MenuItem>
          {(ledger.data ?? []).map((row) => (
            <MenuItem key={row.id} value={String(row.id)}>
              {row.entry}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          type="date"
          label="Newest rankings on or before"
          value={date}
          onChange={(event) => setDate(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
          helperText="Leave empty for the newest."
        />
        <TextField
          type="number"
          label="Snapshots back"
          value={snapshots}
          onChange={(event) => setSnapshots(Math.max(1, Math.min(60, Number(event.target.value))))}
          slotProps={{ htmlInput: { min: 1, max: 60 } }}
        />
        <Button type="submit" variant="contained" loading={pull.isPending}>
          Pull
        </Button>
        {pull.isError && <Alert severity="warning">{pull.error.message}</Alert>}
        {pull.isSuccess && <Alert severity="success">The pull runs in the background. You can leave this page.</Alert>}
      </Box>
      <PullSchedule study={study} source={chosen} />
    </SidePanel>
  );
}
