import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Roadmap, Study } from '../../api/schema';
import { decimal, estimate, whole } from '../../shared/format';
import { Failed, Waiting } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { goalProblem, goalWords, type AskedGoal } from './goal.logic';
import { monthAfter, monthName } from './months.logic';
import { goalQuery } from './queries';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

interface Props {
  study: Study;
  plan: Roadmap;
  onDrafted: (draft: number) => void;
  onClose: () => void;
}

/** So many more visits a month by then, with these odds: the smallest capacity that does it, and its plan as a draft. */
export function GoalDialog({ study, plan, onDrafted, onClose }: Props) {
  const client = useQueryClient();
  const [written, setWritten] = useState({ goal: '', until: monthAfter(plan.start, plan.months - 1), odds: '80' });
  const [asked, setAsked] = useState<AskedGoal | null>(null);
  const answer = useQuery(goalQuery(study.slug, asked));
  const draft = useMutation({
    mutationFn: (goal: AskedGoal) =>
      told(
        api.POST('/studies/{slug}/plan/goal', {
          params: { path: { slug: study.slug } },
          body: { ...goal, name: `+${whole(goal.goal)} by ${monthName(goal.until)}` },
        }),
      ),
    onSuccess: ({ id }) => onDrafted(id),
    onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }),
  });
  const problem = goalProblem(written, plan.start);
  const set = (field: keyof typeof written) => (event: { target: { value: string } }) =>
    setWritten((before) => ({ ...before, [field]: event.target.value }));
  const ask = () => setAsked({ goal: Number(written.goal), until: written.until, odds: Number(written.odds) / 100 });
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="goal-title">
      <DialogTitle id="goal-title">Plan for a goal</DialogTitle>
      <DialogContent>
        <Box
          component="form"
          sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', pt: 1, flexWrap: 'wrap' }}
          onSubmit={(event) => {
            event.preventDefault();
            if (problem === null) {
              ask();
            }
          }}
        >
          <TextField
            autoFocus
            type="number"
            label="More visits a month"
            value={written.goal}
            onChange={set('goal')}
            sx={{ width: fields.l }}
          />
          <TextField
            type="month"
            label="By"
            value={written.until}
            onChange={set('until')}
            slotProps={{ inputLabel: { shrink: true } }}
            sx={{ width: fields.l }}
          />
          <TextField type="number" label="Odds, %" value={written.odds} onChange={set('odds')} sx={{ width: fields.s }} />
          <Button type="submit" variant="contained" disabled={problem !== null} loading={answer.isFetching}>
            Search
          </Button>
        </Box>
        {problem !== null && written.goal !== '' && <p>{problem}</p>}
        {answer.isFetching && <Waiting what="Calculating the plan" />}
        {answer.isError && <Failed error={answer.error} />}
        {draft.isError && <Failed error={draft.error} />}
        {answer.data !== undefined && asked !== null && !answer.isFetching && (
          <>
            <p>{goalWords(asked, answer.data)}</p>
            <PlainTable
              label="Plan for the goal"
              headings={[
                { name: 'Page', about: about('Topic of the page.', '', sources.rules) },
                { name: 'Tactic', about: about('What to do.', '', sources.rules) },
                { name: 'Month', about: about('Planned month.', '', sources.rules) },
                { name: 'Days', about: about(commonWording.estimatedDaysOfWork, 'days', sources.rules) },
                {
                  name: commonWording.expectedGain,
                  about: about(commonWording.expectedExtraVisits, 'visits a month', 'calculated with the position model'),
                },
              ]}
              numbers={[3, 4]}
            >
              {answer.data.items.map((item) => (
                <tr key={item.topic}>
                  <td>{item.topic}</td>
                  <td>{item.tactic}</td>
                  <td>{monthName(item.month)}</td>
                  <td>{decimal(item.effort_days, 2)}</td>
                  <td>{estimate(item.expected_gain)}</td>
                </tr>
              ))}
            </PlainTable>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        {study.may_edit && (
          <Button
            variant="contained"
            disabled={asked === null || (answer.data?.items.length ?? 0) === 0}
            loading={draft.isPending}
            onClick={() => asked !== null && draft.mutate(asked)}
          >
            Save as draft
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
