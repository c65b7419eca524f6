import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../../api/client';
import { keys } from '../../api/keys';
import type { Roadmap, Study } from '../../api/schema';
import { decimal, estimate, whole } from '../../shared/format';
import { Failed } from '../../shared/Notice';
import { PlainTable } from '../../shared/PlainTable';
import { about, sources } from '../../shared/abouts';
import { monthName } from './months.logic';
import { texts } from '../../theme/measures';
import { wording } from './wording';

interface Props {
  study: Study;
  plan: Roadmap;
  onShow: (draft: number | null) => void;
  /** Told the number of the change when a draft became the roadmap. */
  onAgreed: (change: number) => void;
}

/** The agreed plan and its drafts beside each other; another draft is begun as a copy of what is shown. */
export function Drafts({ study, plan, onShow, onAgreed }: Props) {
  const { slug } = study;
  const client = useQueryClient();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [name, setName] = useState('');
  const settle = { onSettled: () => client.invalidateQueries({ queryKey: keys.study(study.slug) }) };
  const show = (id: number | null) => {
    setAnchor(null);
    onShow(id);
  };
  const begin = useMutation({
    mutationFn: () =>
      told(api.POST('/studies/{slug}/plan/drafts', { params: { path: { slug } }, body: { name, from: plan.draft?.id ?? null } })),
    onSuccess: (draft) => {
      setName('');
      show(draft.id);
    },
    ...settle,
  });
  const discard = useMutation({
    mutationFn: (id: number) => told(api.DELETE('/studies/{slug}/plan/drafts/{draft}', { params: { path: { slug, draft: id } } })),
    onSuccess: () => show(null),
    ...settle,
  });
  const agree = useMutation({
    mutationFn: (id: number) => told(api.POST('/studies/{slug}/plan/drafts/{draft}/agree', { params: { path: { slug, draft: id } } })),
    onSuccess: ({ change }) => {
      onAgreed(change);
      show(null);
    },
    ...settle,
  });
  const error = begin.error ?? discard.error ?? agree.error;
  const draft = plan.draft;
  return (
    <>
      <Button aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)} sx={{ whiteSpace: 'nowrap' }}>
        {draft === null ? `Drafts (${whole(plan.plans.length - 1)})` : `Draft: ${draft.name}`}
      </Button>
      {draft !== null && (
        <Typography component="span" variant="body2" sx={{ color: 'warning.main', whiteSpace: 'nowrap' }}>
          not the roadmap yet
        </Typography>
      )}
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box role="dialog" aria-label={wording.plansCompared} sx={{ p: 2, maxWidth: texts.page }}>
          <PlainTable
            label={wording.plansCompared}
            headings={[
              { name: 'Plan', about: about('The roadmap and its drafts.', '', sources.people) },
              { name: 'Items', about: about('Items with a month.', 'items', sources.people) },
              { name: 'Days', about: about('Days of work in total.', 'days', sources.rules) },
              {
                name: 'Visits added in the last month (mean)',
                about: about('Mean of the forecast.', 'visits a month', 'calculated by the forecast'),
              },
              '',
            ]}
            numbers={[1, 2, 3]}
          >
            {plan.plans.map((one) => (
              <tr key={one.id ?? 'agreed'}>
                <td>
                  <Button
                    aria-pressed={one.id === (draft?.id ?? null)}
                    variant={one.id === (draft?.id ?? null) ? 'outlined' : 'text'}
                    onClick={() => show(one.id)}
                    sx={{ py: 0 }}
                  >
                    {one.name}
                  </Button>
                </td>
                <td>{whole(one.items)}</td>
                <td>{decimal(one.days, 1)}</td>
                <td>
                  {estimate(one.visits)} in {monthName(one.last)}
                </td>
                <td>
                  {one.id !== null && study.may_edit && (
                    <Box sx={{ display: 'flex' }}>
                      <Button
                        loading={agree.isPending && agree.variables === one.id}
                        onClick={() => one.id !== null && agree.mutate(one.id)}
                        sx={{ py: 0 }}
                      >
                        Use as roadmap
                      </Button>
                      <Button
                        color="warning"
                        aria-label={`Delete the draft ${one.name}`}
                        onClick={() => one.id !== null && discard.mutate(one.id)}
                        sx={{ py: 0 }}
                      >
                        Delete draft
                      </Button>
                    </Box>
                  )}
                </td>
              </tr>
            ))}
          </PlainTable>
          {error !== null && <Failed error={error} />}
          {study.may_edit && (
            <Box
              component="form"
              onSubmit={(event) => {
                event.preventDefault();
                begin.mutate();
              }}
              sx={{ display: 'flex', gap: 1, mt: 1.5, alignItems: 'center' }}
            >
              <TextField
                label="Name of the new draft"
                value={name}
                onChange={(event) => setName(event.target.value)}
                slotProps={{ htmlInput: { maxLength: 60 } }}
                sx={{ flex: 1 }}
              />
              <Button type="submit" disabled={name.trim() === ''} loading={begin.isPending} sx={{ whiteSpace: 'nowrap' }}>
                Copy {draft === null ? 'the roadmap' : `“${draft.name}”`}
              </Button>
            </Box>
          )}
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            A draft is another schedule for the same items. “Use as roadmap” moves the cards of the roadmap. Press u to undo.
          </Typography>
        </Box>
      </Popover>
    </>
  );
}
