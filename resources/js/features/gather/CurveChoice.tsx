import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Curve, Study } from '../../api/schema';
import { fields } from '../../theme/measures';

const names: Record<string, string> = {
  default: 'the default curve',
  '2006': 'the 2006 query log',
  fitted: 'fitted to our own clicks',
  own: 'entered by hand',
};

/** Which curve all visits are computed with. */
export function CurveChoice({ study, curve }: { study: Study; curve: Curve }) {
  const client = useQueryClient();
  const change = useMutation({
    mutationFn: (name: string) =>
      told(api.PATCH('/studies/{slug}/rulebook', { params: { path: { slug: study.slug } }, body: { settings: { curve: name } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  return (
    <Box sx={{ my: 1.5 }}>
      <TextField
        select
        label="Visits use"
        value={curve.in_use}
        disabled={!study.may_edit || change.isPending}
        onChange={(event) => change.mutate(event.target.value)}
        error={change.isError}
        helperText={change.error?.message ?? 'A change starts a new comparison.'}
        sx={{ minWidth: fields.xl }}
      >
        {Object.keys(names)
          .filter((name) => name !== 'own' || curve.curves.own !== undefined)
          .map((name) => (
            <MenuItem key={name} value={name}>
              {names[name]}
            </MenuItem>
          ))}
      </TextField>
    </Box>
  );
}
