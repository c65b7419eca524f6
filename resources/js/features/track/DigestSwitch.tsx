import Alert from '@mui/material/Alert';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';

const digestQuery = (slug: string) =>
  queryOptions({
    queryKey: keys.part(slug, 'digest'),
    queryFn: ({ signal }) => told(api.GET('/studies/{slug}/digest', { params: { path: { slug } }, signal })),
  });

/** Turns the mail on and off that tells when a month is in; where the server sends none, there is nothing to turn. */
export function DigestSwitch({ slug }: { slug: string }) {
  const client = useQueryClient();
  const digest = useQuery(digestQuery(slug)).data;
  const turn = useMutation({
    mutationFn: (isOn: boolean) =>
      told(
        isOn
          ? api.PUT('/studies/{slug}/digest', { params: { path: { slug } } })
          : api.DELETE('/studies/{slug}/digest', { params: { path: { slug } } }),
      ),
    onSuccess: (state) => client.setQueryData(digestQuery(slug).queryKey, state),
  });
  return digest?.is_available !== true ? null : (
    <>
      <FormControlLabel
        control={<Switch size="small" checked={digest.is_on} onChange={(_, isOn) => turn.mutate(isOn)} disabled={turn.isPending} />}
        label="Mail me when a month is in"
      />
      {turn.isError && <Alert severity="warning">{turn.error.message}</Alert>}
    </>
  );
}
