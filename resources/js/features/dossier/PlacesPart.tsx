import Box from '@mui/material/Box';
import type { KeywordDossier } from '../../api/schema';
import { percent } from '../../shared/format';
import { DomainShape } from '../keyword/DomainShape';
import { Part } from './Part';

const tallest = 64;

/** Where we could stand, wherever we stand now: the chance of every class of places as a bar, ours marked. */
export function PlacesPart({ dossier }: { dossier: KeywordDossier }) {
  const { places } = dossier;
  if (places === null) {
    return null;
  }
  const most = Math.max(...places.classes.map((one) => one.chance));
  return (
    <Part title="Where we could stand">
      <Box role="list" aria-label="Chance of every class of places" sx={{ display: 'flex', alignItems: 'flex-end', gap: 0.5, mt: 0.5 }}>
        {places.classes.map((one) => (
          <Box
            key={one.name}
            role="listitem"
            aria-label={`${one.name}: ${percent(one.chance)}${one.holds_us ? ', where we are' : ''}`}
            sx={{ flex: 1, textAlign: 'center', fontSize: '0.72rem', fontVariantNumeric: 'tabular-nums' }}
          >
            <Box sx={{ color: 'text.secondary' }}>{percent(one.chance)}</Box>
            <Box
              sx={{
                height: Math.max(1, Math.round((tallest * one.chance) / most)),
                bgcolor: one.holds_us ? 'primary.main' : 'ink.standing.level',
              }}
            />
            <Box sx={{ height: 16 }}>{one.holds_us && <DomainShape number={0} isPresent size={11} />}</Box>
            <Box sx={{ fontWeight: one.holds_us ? 700 : 400, whiteSpace: 'nowrap' }}>{one.name}</Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ fontSize: '0.78rem', color: 'text.secondary', mt: 0.5 }}>
        {dossier.leading_page === null
          ? 'No page of a competitor leads here.'
          : `${dossier.leading_page} leads here; we rank for ${dossier.ground_held ?? 0} of its ${dossier.ground_of ?? 0} other keywords.`}
      </Box>
    </Part>
  );
}
