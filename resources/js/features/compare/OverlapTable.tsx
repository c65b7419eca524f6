import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Combination } from '../../api/schema';
import { combinationPhrase } from '../sentence/clauses';
import { domainLetter, DomainShape } from '../keyword/DomainShape';
import { whole } from '../../shared/format';
import { beforeList } from '../../shared/layout';
import { PictureButtons, RowBar } from '../../shared/chart';
import { OverlapPicture } from './pictures';
import { Similarity } from './Similarity';
import { focusRing, marks, measures } from '../../theme/measures';

interface Props {
  combinations: Combination[];
  domains: string[];
  similarity: (number | null)[][];
  chosen: string | null;
  onChoose: (mask: string) => void;
}

/** Which domains share which keywords: a row per exact combination, its size as a bar; a click narrows the list to it. */
export function OverlapTable({ combinations, domains, similarity, chosen, onChoose }: Props) {
  const largest = Math.max(1, ...combinations.map((row) => row.keywords));
  return (
    <Box component="aside" aria-label="Overlap" sx={{ ...beforeList(268), display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      <Box sx={{ px: 1.5, pt: 1 }}>
        <Box sx={{ display: 'flex', alignItems: 'center' }}>
          <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
            Keyword overlap
          </Typography>
          <PictureButtons name="overlap" drawing={<OverlapPicture combinations={combinations} domains={domains} />} />
        </Box>
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 0.5, mb: 1 }}>
          {domains.map((domain, number) => (
            <Box component="li" key={domain} sx={{ display: 'flex', alignItems: 'center', gap: 0.75, typography: 'note' }}>
              <DomainShape number={number} size={13} />
              <Box component="span" sx={{ width: marks.swatch, color: 'text.secondary' }}>
                {number === 0 ? '' : domainLetter(number)}
              </Box>
              <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', fontWeight: number === 0 ? 700 : 400 }}>
                {domain}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
      <Box
        role="group"
        aria-label="Combinations of domains"
        sx={{ overflowY: { md: 'auto' }, flex: { md: 1 }, scrollbarWidth: 'thin', borderTop: 1, borderColor: 'divider' }}
      >
        {combinations.map((row) => {
          const mask = String(row.combination);
          const isChosen = chosen === mask;
          return (
            <Box
              key={mask}
              component="button"
              type="button"
              aria-pressed={isChosen}
              aria-label={`${combinationPhrase(row.combination, domains)}: ${row.keywords} keywords`}
              onClick={() => onChoose(isChosen ? '' : mask)}
              sx={{
                all: 'unset',
                boxSizing: 'border-box',
                cursor: 'pointer',
                display: 'flex',
                alignItems: 'center',
                width: '100%',
                px: 1.5,
                height: measures.target,
                bgcolor: isChosen ? 'ink.wash' : 'transparent',
                '&:hover': { bgcolor: 'ink.wash' },
                '&:focus-visible': { ...focusRing, outlineOffset: -2 },
              }}
            >
              {domains.map((domain, number) => (
                <DomainShape key={domain} number={number} isPresent={Math.floor(row.combination / 2 ** number) % 2 === 1} size={13} />
              ))}
              <Box sx={{ flex: 1, mx: 1 }}>
                <RowBar amount={row.keywords} most={largest} ink={row.combination % 2 === 1 ? 'primary.main' : 'ink.standing.gap'} />
              </Box>
              <Box component="span" sx={{ typography: 'note', fontVariantNumeric: 'tabular-nums' }}>
                {whole(row.keywords)}
              </Box>
            </Box>
          );
        })}
        <Similarity domains={domains} similarity={similarity} />
        {combinations.length === 0 && (
          <Box sx={{ p: 2, typography: 'note', color: 'text.secondary' }}>No domain ranks for these keywords.</Box>
        )}
      </Box>
    </Box>
  );
}
