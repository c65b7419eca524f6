import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { dayWords } from '../../shared/format';
import type { Study } from '../../api/schema';

const lastDay = 28;

/** A day of the month on which the study pulls by itself. */
export function PullSchedule({ study, source }: { study: Study; source: string }) {
  const client = useQueryClient();
  const schedule = study.pull_schedule;
  const [day, setDay] = useState(schedule?.day ?? 2);
  const settled = { onSuccess: () => client.invalidateQueries({ queryKey: keys.part(study.slug, 'itself') }) };
  const params = { path: { slug: study.slug } };
  const start = useMutation({
    mutationFn: () => told(api.PUT('/studies/{slug}/pull-schedule', { params, body: { source, day } })),
    ...settled,
  });
  const end = useMutation({ mutationFn: () => told(api.DELETE('/studies/{slug}/pull-schedule', { params })), ...settled });
  const error = start.error ?? end.error;
  return (
    <Box component="section" aria-label="Every month" sx={{ display: 'grid', gap: 1.5, mt: 3 }}>
      <Typography variant="h3">Every month</Typography>
      <Typography>
        {schedule === null
          ? 'The study pulls only when someone presses Pull.'
          : `Pulls from ${schedule.source} on day ${schedule.day} of each month. Next: ${dayWords(schedule.next)}.`}
      </Typography>
      <TextField select label="Day of the month" value={day} onChange={(event) => setDay(Number(event.target.value))}>
        {Array.from({ length: lastDay }, (_, index) => (
          <MenuItem key={index} value={index + 1}>
            {index + 1}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="outlined" loading={start.isPending} onClick={() => start.mutate()}>
          {schedule === null ? 'Pull every month' : 'Change the day'}
        </Button>
        {schedule !== null && (
          <Button loading={end.isPending} onClick={() => end.mutate()}>
            Stop monthly pulls
          </Button>
        )}
      </Box>
      {error !== null && <Alert severity="warning">{error.message}</Alert>}
    </Box>
  );
}
