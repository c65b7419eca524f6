import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { Failed } from '../../shared/Notice';
import { deletedStudiesQuery } from './queries';
import { dayWords } from '../../shared/format';

/** What was deleted and can still be taken back; nothing where there is none. */
export function DeletedStudies() {
  const client = useQueryClient();
  const list = useQuery(deletedStudiesQuery());
  const restore = useMutation({
    mutationFn: (slug: string) => told(api.POST('/deleted-studies/{slug}/restore', { params: { path: { slug } } })),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: keys.deletedStudies });
      await client.invalidateQueries({ queryKey: keys.studies });
    },
  });
  if (list.data === undefined || list.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Deleted studies" sx={{ px: 2, pt: 4, pb: 2 }}>
      <Typography variant="h3">Deleted</Typography>
      {restore.error !== null && <Failed error={restore.error} />}
      {list.data.map((study) => (
        <Box key={study.slug} sx={{ display: 'flex', alignItems: 'center', gap: 2, borderTop: 1, borderColor: 'divider', py: 0.5 }}>
          <Box sx={{ flex: 1, color: 'text.secondary' }}>
            {study.name} ({study.slug}), on {dayWords(study.deleted_at)}
            {study.deleted_by !== null && ` by ${study.deleted_by}`}; deleted for good on {dayWords(study.gone_at)}
          </Box>
          <Button
            onClick={() => restore.mutate(study.slug)}
            loading={restore.isPending && restore.variables === study.slug}
            aria-label={`Restore ${study.name}`}
          >
            Restore
          </Button>
        </Box>
      ))}
    </Box>
  );
}
