import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import { noiseQuery } from './queries';
import { ledgerQuery } from '../study/queries';
import type { Comparison, Study } from '../../api/schema';
import { whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { parts } from '../../theme/measures';

interface Props {
  study: Study;
  comparison: Comparison;
  show: string;
  onClause: (clause: string) => void;
}

/**
 * What could be cleared out, each with its count: clauses for the sentence, and brand terms nobody has named yet. Nothing goes by itself.
 */
export function NoiseMenu({ study, comparison, show, onClause }: Props) {
  const client = useQueryClient();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const noise = useQuery({ ...noiseQuery(study.slug, comparison.id, show), enabled: anchor !== null });
  const ledger = useQuery({ ...ledgerQuery(study.slug), enabled: anchor !== null });
  const name = useMutation({
    mutationFn: ({ domain, word }: { domain: number; word: string }) => {
      const id = comparison.domains[domain]?.id ?? 0;
      const terms = ledger.data?.find((row) => row.id === id)?.brand_terms ?? [];
      return told(
        api.PATCH('/studies/{slug}/domains/{domain}', {
          params: { path: { slug: study.slug, domain: id } },
          body: { brand_terms: [...terms, word] },
        }),
      );
    },
    onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  return (
    <>
      <Button id="noise-menu" aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
        Noise
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <Box role="dialog" aria-label="Noise" sx={{ p: 2, width: parts.l, typography: 'dense' }}>
          <Typography variant="h3">Noise to hide</Typography>
          {noise.isPending && <Waiting what="Looking for noise" />}
          {noise.isError && <Failed error={noise.error} onRetry={() => void noise.refetch()} />}
          {noise.data?.clauses.length === 0 && <p>No noise found.</p>}
          {noise.data?.clauses.map((proposal, index) => (
            <Box key={proposal.clause} sx={{ display: 'flex', alignItems: 'center' }}>
              <Box sx={{ flex: 1 }}>
                {whole(proposal.keywords)} {proposal.what}
              </Box>
              <Button
                // One more press hides the first of them.
                autoFocus={index === 0}
                onClick={() => {
                  setAnchor(null);
                  onClause(proposal.clause);
                }}
              >
                Hide
              </Button>
            </Box>
          ))}
          {noise.data !== undefined && noise.data.brand_terms.length > 0 && (
            <>
              <Typography variant="h3" sx={{ mt: 1.5 }}>
                Possible brand terms
              </Typography>
              {noise.data.brand_terms.map((term) => (
                <Box key={term.word} sx={{ display: 'flex', alignItems: 'center' }}>
                  <Box sx={{ flex: 1 }}>
                    “{term.word}” in {whole(term.keywords)} keywords, almost always led by {comparison.domains[term.domain]?.entry}
                  </Box>
                  <Button disabled={!study.may_edit || name.isPending} onClick={() => name.mutate(term)}>
                    Add as brand term
                  </Button>
                </Box>
              ))}
            </>
          )}
        </Box>
      </Popover>
    </>
  );
}
