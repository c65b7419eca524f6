import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Study, StudyDraft } from '../../api/schema';
import { slugOf } from './naming.logic';
import { DeleteDialog } from './DeleteDialog';
import { useSaveStudy } from './useSaveStudy';

interface Props {
  /** Null makes a new study. */
  study: Study | null;
  onClose: () => void;
}

function text(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value.trim() : '';
}

function draftOf(form: FormData): StudyDraft {
  return {
    name: text(form, 'name'),
    domain: text(form, 'domain'),
    competitors: text(form, 'competitors')
      .split(/[\s,;]+/)
      .filter((line) => line !== ''),
    country: text(form, 'country'),
    language: text(form, 'language'),
    device: text(form, 'device') === 'mobile' ? 'mobile' : 'desktop',
  };
}

/** Makes a study or changes one: swap, add, drop or reorder a competitor, and everything is compared anew. */
export function StudyDialog({ study, onClose }: Props) {
  const [notes, setNotes] = useState<string[]>([]);
  const [isDeleting, setDeleting] = useState(false);
  const save = useSaveStudy(study, (saved) => (saved.notes.length === 0 ? onClose() : setNotes(saved.notes)));
  if (isDeleting && study !== null) {
    return <DeleteDialog study={study} onClose={onClose} />;
  }
  return notes.length === 0 ? (
    <StudyForm study={study} onClose={onClose} onDelete={() => setDeleting(true)} save={save} />
  ) : (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="notes-title">
      <DialogTitle id="notes-title">Saved</DialogTitle>
      <DialogContent>
        {notes.map((note) => (
          <Typography key={note} gutterBottom>
            {note}
          </Typography>
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} variant="contained" autoFocus>
          Continue
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface FormProps extends Props {
  onDelete: () => void;
  save: ReturnType<typeof useSaveStudy>;
}

function StudyForm({ study, onClose, onDelete, save }: FormProps) {
  const [slug, setSlug] = useState('');
  const [isOwnSlug, setOwnSlug] = useState(false);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="study-title">
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          const form = new FormData(event.currentTarget);
          save.mutate({ ...draftOf(form), ...(study === null ? { slug: text(form, 'slug') } : { as_of: text(form, 'as_of') }) });
        }}
      >
        <DialogTitle id="study-title">{study === null ? 'New study' : 'The study'}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 2 }}>
          {save.isError && (
            <Alert severity="error" sx={{ gridColumn: '1 / -1' }}>
              {save.error.message}
            </Alert>
          )}
          <TextField
            name="name"
            label="Name"
            required
            defaultValue={study?.name ?? ''}
            onChange={(event) => {
              if (!isOwnSlug) {
                setSlug(slugOf(event.target.value));
              }
            }}
            sx={{ gridColumn: '1 / -1', mt: 1 }}
            autoFocus
          />
          {study === null && (
            <TextField
              name="slug"
              label="Short name for addresses and commands"
              required
              value={slug}
              onChange={(event) => {
                setSlug(event.target.value);
                setOwnSlug(event.target.value !== '');
              }}
              sx={{ gridColumn: '1 / -1' }}
              slotProps={{ htmlInput: { pattern: '[a-z0-9][a-z0-9\\-]{0,62}' } }}
              helperText="Lower-case letters, digits and hyphens"
            />
          )}
          <TextField
            name="domain"
            label="Our domain"
            required
            defaultValue={study?.domain ?? ''}
            sx={{ gridColumn: '1 / -1' }}
            helperText="A domain covers all its hosts, a host only itself, a URL everything below it"
          />
          <TextField
            name="competitors"
            label="Competitors, one per line, at most ten"
            multiline
            minRows={4}
            defaultValue={study?.competitors.join('\n') ?? ''}
            sx={{ gridColumn: '1 / -1' }}
          />
          <TextField name="country" label="Country" defaultValue={study?.country ?? 'GB'} slotProps={{ htmlInput: { maxLength: 2 } }} />
          <TextField name="language" label="Language" defaultValue={study?.language ?? 'en'} slotProps={{ htmlInput: { maxLength: 2 } }} />
          <TextField name="device" label="Device" select defaultValue={study?.device ?? 'desktop'}>
            <MenuItem value="desktop">desktop</MenuItem>
            <MenuItem value="mobile">mobile</MenuItem>
          </TextField>
          {study !== null && (
            <TextField
              name="as_of"
              label="As of"
              type="date"
              defaultValue={study.as_of ?? ''}
              slotProps={{ inputLabel: { shrink: true } }}
              helperText="Leave empty for the newest"
            />
          )}
        </DialogContent>
        <DialogActions>
          {study !== null && (
            <Button color="warning" onClick={onDelete} sx={{ mr: 'auto' }}>
              Delete this study
            </Button>
          )}
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" loading={save.isPending}>
            Save
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
