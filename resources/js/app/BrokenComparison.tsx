import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../api/client';
import { comparisonQuery } from '../features/study/queries';

/** Says why the lists were not compared, and tries it again when a person wants it. */
export function BrokenComparison({ slug, problem }: { slug: string; problem: string }) {
  const client = useQueryClient();
  const retry = useMutation({
    mutationFn: () => told(api.POST('/studies/{slug}/comparison', { params: { path: { slug } } })),
    onSuccess: (state) => client.setQueryData(comparisonQuery(slug).queryKey, state),
  });
  return (
    <Alert
      severity="warning"
      action={
        <Button onClick={() => retry.mutate()} loading={retry.isPending} sx={{ whiteSpace: 'nowrap' }}>
          Compare again
        </Button>
      }
      sx={{ borderRadius: 0, py: 0 }}
    >
      The lists have changed, but the new comparison failed. You see the previous one. {retry.error?.message ?? problem}
    </Alert>
  );
}
