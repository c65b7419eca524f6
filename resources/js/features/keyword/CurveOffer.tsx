import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Study } from '../../api/schema';
import { estimate, whole } from '../../shared/format';
import { curveQuery, fittedQuery } from './queries';

/** Impressions from which our own clicks say anything about a curve of our own. */
const enough = 1000;

/** Our own clicks were measured, and the default curve is still in use: what the fitted one would change, and one press to take it. */
export function CurveOffer({ study }: { study: Study }) {
  const client = useQueryClient();
  const curve = useQuery(curveQuery(study.slug));
  const impressions = curve.data?.bins.reduce((sum, bin) => sum + bin.impressions, 0) ?? 0;
  const isOffered = curve.data?.in_use === 'default' && impressions >= enough && study.comparison !== null;
  const preview = useQuery({ ...fittedQuery(study.slug, study.comparison?.id ?? 0), enabled: isOffered });
  const take = useMutation({
    mutationFn: () =>
      told(api.PATCH('/studies/{slug}/rulebook', { params: { path: { slug: study.slug } }, body: { settings: { curve: 'fitted' } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  if (!isOffered || preview.data === undefined) {
    return null;
  }
  const moved = preview.data.horizons.reduce((sum, change) => sum + change.keywords, 0);
  return (
    <Box
      role="note"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2,
        py: 0.5,
        bgcolor: 'ink.wash',
        borderBottom: 1,
        borderColor: 'divider',
        typography: 'dense',
      }}
    >
      <Box sx={{ flex: 1 }}>
        {take.isError
          ? take.error.message
          : `${whole(impressions)} impressions of your own are available, but gains use the default CTR curve. ` +
            `Your own curve would put the ` +
            `total gain at ${estimate(preview.data.gain.after)} visits a month instead of ${estimate(preview.data.gain.before)}. ` +
            `${whole(moved)} of ${whole(preview.data.keywords)} keywords would change their horizon.`}
      </Box>
      {study.may_edit && (
        <Button loading={take.isPending} onClick={() => take.mutate()} sx={{ whiteSpace: 'nowrap' }}>
          Use our own curve
        </Button>
      )}
    </Box>
  );
}
