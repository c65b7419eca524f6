import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study } from '../../api/schema';
import { vocabularyQuery } from '../study/queries';
import { Failed } from '../../shared/Notice';

const within = (days: number | undefined) => (days === undefined ? 'For a while' : days === 1 ? 'For a day' : `For ${days} days`);

/** Puts a study away; its name is typed, so that nobody does it to another one. */
export function DeleteDialog({ study, onClose }: { study: Study; onClose: () => void }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const days = useQuery(vocabularyQuery()).data?.deleted_days;
  const remove = useMutation({
    mutationFn: () => told(api.DELETE('/studies/{slug}', { params: { path: { slug: study.slug } }, body: { name } })),
    onSuccess: async () => {
      await navigate('/');
      client.removeQueries({ queryKey: keys.study(study.slug) });
      await client.invalidateQueries({ queryKey: keys.studies });
      await client.invalidateQueries({ queryKey: keys.deletedStudies });
    },
  });
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="delete-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          remove.mutate();
        }}
      >
        <DialogTitle id="delete-title">Delete {study.name}</DialogTitle>
        <DialogContent>
          <p>
            No one can see it any more. {within(days)} you can restore it from the list of studies. After that, its lists, decisions and
            roadmap are deleted for good.
          </p>
          {remove.error !== null && <Failed error={remove.error} />}
          <TextField
            label={`Type its name: ${study.name}`}
            value={name}
            onChange={(event) => setName(event.target.value)}
            fullWidth
            autoFocus
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" color="warning" variant="contained" disabled={name.trim() !== study.name} loading={remove.isPending}>
            Delete study
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
