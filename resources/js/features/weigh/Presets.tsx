import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { weightPresetsQuery } from './queries';
import type { Study } from '../../api/schema';
import { spellWeights, type Weights } from './weights.logic';

interface Props {
  study: Study;
  weights: Weights;
  ready: Record<string, Weights>;
  onChoose: (weights: Weights) => void;
}

/** Ready-made weights, and those that people of this study keep under a name. */
export function Presets({ study, weights, ready, onChoose }: Props) {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const presets = weightPresetsQuery(study.slug);
  const own = useQuery(presets).data ?? [];
  const refresh = { onSettled: () => client.invalidateQueries({ queryKey: presets.queryKey }) };
  const keep = useMutation({
    mutationFn: () =>
      told(
        api.POST('/studies/{slug}/weight-presets', {
          params: { path: { slug: study.slug } },
          body: { name, weights: spellWeights(weights) },
        }),
      ),
    onSuccess: () => setName(''),
    ...refresh,
  });
  const forget = useMutation({
    mutationFn: (id: number) =>
      told(api.DELETE('/studies/{slug}/weight-presets/{preset}', { params: { path: { slug: study.slug, preset: id } } })),
    ...refresh,
  });
  const pressed = (other: Weights) => spellWeights(other) === spellWeights(weights);
  const button = { py: 0.1, px: 0.75, minWidth: 0 };
  return (
    <Box sx={{ mt: 1 }}>
      <Typography variant="caption" color="text.secondary">
        Presets
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.25 }}>
        {Object.entries(ready).map(([preset, kept]) => (
          <Button
            key={preset}
            aria-pressed={pressed(kept)}
            variant={pressed(kept) ? 'outlined' : 'text'}
            onClick={() => onChoose(kept)}
            sx={button}
          >
            {preset}
          </Button>
        ))}
        {own.map((kept) => (
          <Box key={kept.id} component="span" sx={{ whiteSpace: 'nowrap' }}>
            <Button
              aria-pressed={pressed(kept.weights)}
              variant={pressed(kept.weights) ? 'outlined' : 'text'}
              onClick={() => onChoose(kept.weights)}
              sx={button}
            >
              {kept.name}
            </Button>
            {study.may_edit && (
              <Button aria-label={`Delete ${kept.name}`} onClick={() => forget.mutate(kept.id)} sx={{ ...button, px: 0.25 }}>
                ×
              </Button>
            )}
          </Box>
        ))}
      </Box>
      {study.may_edit && (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate();
          }}
          sx={{ display: 'flex', gap: 0.5, mt: 0.5 }}
        >
          <TextField
            value={name}
            onChange={(event) => setName(event.target.value)}
            placeholder="Save these as"
            error={keep.isError}
            helperText={keep.error?.message}
            slotProps={{ htmlInput: { 'aria-label': 'Name for these weights', maxLength: 24 } }}
          />
          <Button type="submit" disabled={name.trim() === '' || keep.isPending} sx={{ minWidth: 0 }}>
            Keep
          </Button>
        </Box>
      )}
    </Box>
  );
}
