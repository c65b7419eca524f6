import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Roadmap } from '../../api/schema';
import { fields } from '../../theme/measures';

interface Props {
  plan: Roadmap;
  mayEdit: boolean;
  onChange: (frame: { start: string; months: number; capacity: number }) => void;
}

/** From when, for how long, and how many days of work a month can take. */
export function PlanFrame({ plan, mayEdit, onChange }: Props) {
  const [draft, setDraft] = useState({ start: plan.start, months: String(plan.months), capacity: String(plan.capacity) });
  const isChanged = draft.start !== plan.start || Number(draft.months) !== plan.months || Number(draft.capacity) !== plan.capacity;
  const set = (field: keyof typeof draft) => (event: { target: { value: string } }) =>
    setDraft((before) => ({ ...before, [field]: event.target.value }));
  return (
    <Box
      component="form"
      sx={{ display: 'flex', gap: 1, alignItems: 'center' }}
      onSubmit={(event) => {
        event.preventDefault();
        onChange({ start: draft.start, months: Number(draft.months), capacity: Number(draft.capacity) });
      }}
    >
      <TextField
        type="month"
        label="From"
        disabled={!mayEdit}
        value={draft.start}
        onChange={set('start')}
        slotProps={{ inputLabel: { shrink: true } }}
        sx={{ width: fields.l }}
      />
      <TextField
        type="number"
        label="Months"
        disabled={!mayEdit}
        value={draft.months}
        onChange={set('months')}
        slotProps={{ htmlInput: { min: 1, max: 60 } }}
        sx={{ width: fields.xs }}
      />
      <TextField
        type="number"
        label="Days a month"
        disabled={!mayEdit}
        value={draft.capacity}
        onChange={set('capacity')}
        slotProps={{ htmlInput: { min: 0, step: 0.5 } }}
        sx={{ width: fields.s }}
      />
      {isChanged && <Button type="submit">Set</Button>}
    </Box>
  );
}
