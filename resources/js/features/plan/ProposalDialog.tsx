import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import { proposalQuery } from './queries';
import type { PlanProposal, Study } from '../../api/schema';
import { decimal, estimate, whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { monthName } from './months.logic';
import { commonWording } from '../../shared/wording';

interface Props {
  study: Study;
  draft: number | null;
  isApplying: boolean;
  onApply: (changes: PlanProposal['changes']) => void;
  onClose: () => void;
}

/** Proposed plan, against what stands; nothing moves before a person agrees. */
export function ProposalDialog({ study, draft, isApplying, onApply, onClose }: Props) {
  const proposal = useQuery(proposalQuery(study.slug, draft));
  const changes = proposal.data?.changes ?? [];
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="proposal-title">
      <DialogTitle id="proposal-title">Proposed plan</DialogTitle>
      <DialogContent>
        <p>Each month gets the items with the most expected gain for the days available. Pinned items come first. Finished items stay.</p>
        {proposal.isPending && <Waiting what="Planning" />}
        {proposal.isError && <Failed error={proposal.error} />}
        {proposal.data !== undefined && changes.length === 0 && (
          <p>No changes{proposal.data.unchanged === 0 ? '. No item with an expected gain fits the capacity.' : '.'}</p>
        )}
        {proposal.data !== undefined && changes.length > 0 && (
          <>
            <p>
              {whole(changes.length)} moves, {whole(proposal.data.unchanged)} stay
              {proposal.data.left_out > 0 && `, ${whole(proposal.data.left_out)} don’t fit`}.
            </p>
            <PlainTable
              label="Moves"
              headings={[
                { name: 'Item', about: about('Page or keyword to move.', '', sources.rules) },
                { name: 'Tactic', about: about('What to do.', '', sources.rules) },
                { name: 'From', about: about('Current month.', '', sources.people) },
                { name: 'To', about: about('Proposed month.', '', sources.rules) },
                { name: 'Days', about: about(commonWording.estimatedDaysOfWork, 'days', sources.rules) },
                {
                  name: commonWording.expectedGain,
                  about: about(commonWording.expectedExtraVisits, 'visits a month', 'calculated with the position model'),
                },
              ]}
              numbers={[4, 5]}
            >
              {changes.map((change) => (
                <tr key={`${change.unit} ${change.name}`}>
                  <td>{change.name}</td>
                  <td>{change.tactic}</td>
                  <td>{change.from === null ? 'no month' : monthName(change.from)}</td>
                  <td>{change.to === null ? 'no month' : monthName(change.to)}</td>
                  <td>{decimal(change.effort_days, 2)}</td>
                  <td>{estimate(change.expected_gain)}</td>
                </tr>
              ))}
            </PlainTable>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={changes.length === 0} loading={isApplying} onClick={() => onApply(changes)}>
          Apply plan
        </Button>
      </DialogActions>
    </Dialog>
  );
}
