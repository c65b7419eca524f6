import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Roadmap } from '../../api/schema';
import { KeptText } from '../../shared/KeptText';
import { fields } from '../../theme/measures';
import { ownerWords } from './owners.logic';

interface Props {
  slug: string;
  owners: Roadmap['owners'];
  mayEdit: boolean;
}

/** Who does how much of the roadmap, and who has too much; nothing where no item has an owner. */
export function Owners({ slug, owners, mayEdit }: Props) {
  const client = useQueryClient();
  const set = useMutation({
    mutationFn: (body: { owner: string; days: number | null }) =>
      told(api.PUT('/studies/{slug}/plan/owners', { params: { path: { slug } }, body })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.part(slug, 'plan') }),
  });
  const isAssigned = owners.some(({ owner }) => owner !== '');
  return !isAssigned ? null : (
    <Box component="section" aria-label="People" sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, px: 2, py: 0.5, alignItems: 'center' }}>
      {owners.map((one) => {
        const { words, isOver } = ownerWords(one);
        return (
          <Box key={one.owner} sx={{ display: 'flex', alignItems: 'center', gap: 0.75, typography: 'dense' }}>
            <strong>{one.owner === '' ? 'No owner' : one.owner}</strong>
            {one.owner !== '' && mayEdit && (
              <KeptText
                label="Days a month"
                value={one.days === null ? '' : String(one.days)}
                canKeep={(text) => text === '' || (Number(text) >= 0 && Number(text) <= 31)}
                onKeep={(text) => set.mutate({ owner: one.owner, days: text === '' ? null : Number(text) })}
                slotProps={{
                  inputLabel: { shrink: true },
                  htmlInput: { inputMode: 'decimal', 'aria-label': `Days a month of ${one.owner}` },
                }}
                sx={{ width: fields.s }}
              />
            )}
            <Box component="span" sx={{ color: isOver ? 'warning.main' : 'text.secondary', fontWeight: isOver ? 600 : 400 }}>
              {words}
            </Box>
          </Box>
        );
      })}
      {set.isError && <Alert severity="warning">{set.error.message}</Alert>}
    </Box>
  );
}
