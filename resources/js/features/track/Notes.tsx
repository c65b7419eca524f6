import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Study } from '../../api/schema';
import { useAnnotationChanges, useAnnotations } from '../study/annotations';
import { dayWords } from '../../shared/format';
import { fields } from '../../theme/measures';

/** Dated notes, drawn on every line over time: what happened that the figures do not know. */
export function Notes({ study }: { study: Study }) {
  const notes = useAnnotations(study.slug);
  const { add, remove, error } = useAnnotationChanges(study.slug);
  const [draft, setDraft] = useState({ day: '', text: '' });
  return (
    <Box component="section" aria-label="Notes" sx={{ my: 1 }}>
      {notes.map((note) => (
        <Box key={note.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, typography: 'dense' }}>
          <Box component="time" dateTime={note.day} sx={{ fontVariantNumeric: 'tabular-nums' }}>
            {dayWords(note.day)}
          </Box>
          <span>{note.text}</span>
          {study.may_edit && (
            <IconButton size="small" aria-label={`Remove the note “${note.text}”`} onClick={() => remove.mutate(note.id)}>
              ×
            </IconButton>
          )}
        </Box>
      ))}
      {study.may_edit && (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            add.mutate(draft, { onSuccess: () => setDraft({ day: '', text: '' }) });
          }}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 0.5 }}
        >
          <TextField
            type="date"
            label="Day"
            required
            value={draft.day}
            onChange={(event) => setDraft({ ...draft, day: event.target.value })}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <TextField
            label="Note, such as a relaunch"
            required
            value={draft.text}
            onChange={(event) => setDraft({ ...draft, text: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 200 } }}
            sx={{ width: fields.xl }}
          />
          <Button type="submit" loading={add.isPending}>
            Add note
          </Button>
        </Box>
      )}
      {error !== null && <Alert severity="warning">{error.message}</Alert>}
    </Box>
  );
}
