import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { address } from '../../api/client';
import { planQuery, planWithoutQuery, waitingPagesQuery } from './queries';
import type { Roadmap, RoadmapItem, Study } from '../../api/schema';
import { counted } from '../../shared/format';
import { sideBySide } from '../../shared/layout';
import { Empty, Failed, Waiting } from '../../shared/Notice';
import { OtherSides } from '../keyword/OtherSides';
import { useHotkeys } from '../../shared/useHotkeys';
import { useUrlState } from '../sentence/useUrlState';
import { Missing, useStudy } from '../study';
import { Board } from './Board';
import { ForecastBand } from './ForecastBand';
import { GoalDialog } from './GoalDialog';
import { ItemPanel } from './ItemPanel';
import { statusBeside } from './items.logic';
import { cardBeside, columnsOf, mergesPages, neighbour } from './months.logic';
import { Drafts } from './Drafts';
import { Owners } from './Owners';
import { PlanFrame } from './PlanFrame';
import { ProposalDialog } from './ProposalDialog';
import { usePlan } from './usePlan';

/** The draft that the address names; null for the agreed plan. */
function draftIn(params: URLSearchParams): number | null {
  const draft = Number(params.get('draft'));
  return Number.isSafeInteger(draft) && draft > 0 ? draft : null;
}

export function PlanPage() {
  const study = useStudy();
  const [params] = useUrlState();
  const plan = useQuery(planQuery(study.slug, draftIn(params)));
  if (study.comparison === null) {
    return (
      <Empty title="Nothing to plan yet">
        Plans need opportunities, and opportunities need a comparison. Import rankings in Gather first.
      </Empty>
    );
  }
  if (plan.isPending) {
    return <Waiting what="Loading the roadmap" />;
  }
  if (plan.isError) {
    return <Failed error={plan.error} onRetry={() => void plan.refetch()} />;
  }
  return <Roadmapped study={study} plan={plan.data} />;
}

interface PlanKeys {
  study: Study;
  plan: Roadmap;
  columns: (string | null)[];
  chosen: RoadmapItem | undefined;
  actions: ReturnType<typeof usePlan>;
  change: ReturnType<typeof useUrlState>[1];
  onProposal: () => void;
  onGoal: () => void;
}

/** The keys of the board: through the cards, months and statuses, and what the whole roadmap answers to. */
function usePlanKeys({ study, plan, columns, chosen, actions, change, onProposal, onGoal }: PlanKeys) {
  const move = (step: 1 | -1) => {
    const to = chosen === undefined ? undefined : neighbour(columns, chosen.month, step);
    if (chosen !== undefined && to !== undefined && study.may_edit) {
      actions.change(chosen, { month: to });
    }
  };
  const turnTo = (step: 1 | -1) => {
    // What is finished is looked at by going back from the first that is open.
    const firstOpen = plan.items.filter((item) => item.status !== 'done' && item.status !== 'dropped');
    const card = chosen === undefined ? cardBeside(firstOpen, columns, undefined, step) : cardBeside(plan.items, columns, chosen.id, step);
    if (card !== undefined) {
      change({ item: String(card.id) }, true);
      document.querySelector(`[data-item="${card.id}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    }
  };
  const work = (step: 1 | -1) => {
    const status = chosen === undefined ? undefined : statusBeside(chosen.status, step);
    if (chosen !== undefined && status !== undefined && study.may_edit) {
      actions.change(chosen, { status });
    }
  };
  useHotkeys({
    j: () => turnTo(1),
    k: () => turnTo(-1),
    ArrowDown: () => turnTo(1),
    ArrowUp: () => turnTo(-1),
    w: () => work(1),
    W: () => work(-1),
    i: () => document.getElementById('item-owner')?.focus(),
    y: () => document.getElementById('item-days')?.focus(),
    '[': () => move(-1),
    ']': () => move(1),
    a: onProposal,
    o: onGoal,
    u: actions.undo,
    Escape: () => change({ item: null }, true),
  });
}

/** Months as columns with what each can take, the forecast above moving as cards move, the brief of an item to the right. */
function Roadmapped({ study, plan }: { study: Study; plan: Roadmap }) {
  const [params, change] = useUrlState();
  const [isProposing, setProposing] = useState(false);
  const [isAiming, setAiming] = useState(false);
  const draft = draftIn(params);
  const actions = usePlan(study, draft);
  const columns = columnsOf(plan);
  const chosen = plan.items.find((item) => String(item.id) === params.get('item'));
  const without = useQuery(planWithoutQuery(study.slug, chosen?.id, draft));
  usePlanKeys({
    study,
    plan,
    columns,
    chosen,
    actions,
    change,
    onProposal: () => setProposing(study.may_edit),
    onGoal: () => setAiming(true),
  });
  return (
    <>
      <Missing study={study} />
      <Box
        component="section"
        aria-label="View"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          px: 2,
          pt: 1.5,
          pb: 0.75,
          borderBottom: 1,
          borderColor: 'divider',
          flexWrap: 'wrap',
        }}
      >
        <PlanFrame key={`${plan.start} ${plan.months} ${plan.capacity}`} plan={plan} mayEdit={study.may_edit} onChange={actions.setFrame} />
        <Drafts
          study={study}
          plan={plan}
          onShow={(id) => change({ draft: id === null ? null : String(id) }, true)}
          onAgreed={actions.remember}
        />
        <Box sx={{ flex: 1 }} />
        {study.may_edit && draft === null && <AddShortlist study={study} onAdd={actions.addShortlist} />}
        <Button onClick={() => setAiming(true)}>Goal</Button>
        {study.may_edit && (
          <Button variant="contained" onClick={() => setProposing(true)}>
            Auto-plan
          </Button>
        )}
        {draft === null &&
          (['csv', 'xlsx', 'ics'] as const).map((format) => (
            <Button key={format} component="a" href={address(`studies/${study.slug}/exports/roadmap.${format}`)} download>
              {format === 'ics' ? 'Calendar' : format.toUpperCase()}
            </Button>
          ))}
        {draft === null && plan.items.some(mergesPages) && (
          <Button component="a" href={address(`studies/${study.slug}/exports/redirects.csv`)} download>
            Redirects
          </Button>
        )}
      </Box>
      {actions.error !== null && <Failed error={actions.error} />}
      <OtherSides items={plan.elsewhere} domain={study.domain} />
      <Box sx={sideBySide}>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          <ForecastBand
            plan={plan}
            currency={study.currency}
            without={chosen === undefined || without.data === undefined ? null : { name: chosen.name, months: without.data.forecast }}
          />
          <Owners slug={study.slug} owners={plan.owners} mayEdit={study.may_edit} />
          {plan.items.length === 0 ? (
            <Empty title="The roadmap is empty">
              Shortlist pages or keywords in Weigh (key s) and add them here. Or let the auto-plan fill your capacity (key a), or plan for a
              goal (key o).
            </Empty>
          ) : (
            <Board
              plan={plan}
              columns={columns}
              chosen={chosen?.id ?? null}
              mayEdit={study.may_edit}
              onChoose={(item) => change({ item: String(item.id) }, chosen !== undefined)}
              onMove={(item, month) => actions.change(item, { month })}
            />
          )}
        </Box>
        {chosen !== undefined && (
          <ItemPanel
            key={chosen.id}
            study={study}
            item={chosen}
            columns={columns}
            onChange={(changes) => actions.change(chosen, changes)}
            onRemove={() => {
              actions.remove(chosen.id);
              change({ item: null }, true);
            }}
            onClose={() => change({ item: null }, true)}
          />
        )}
      </Box>
      {isAiming && (
        <GoalDialog
          study={study}
          plan={plan}
          onDrafted={(id) => {
            change({ draft: String(id) }, true);
            setAiming(false);
          }}
          onClose={() => setAiming(false)}
        />
      )}
      {isProposing && (
        <ProposalDialog
          study={study}
          draft={draft}
          isApplying={actions.isApplying}
          onApply={(changes) => {
            actions.apply(changes);
            setProposing(false);
          }}
          onClose={() => setProposing(false)}
        />
      )}
    </>
  );
}

/** Puts the pages of the shortlist that are not there yet on the roadmap. */
function AddShortlist({ study, onAdd }: { study: Study; onAdd: () => void }) {
  const pages = useQuery(waitingPagesQuery(study.slug, study.comparison?.id)).data;
  if (pages === undefined || (study.stages.weigh?.shortlisted ?? 0) === 0) {
    return null;
  }
  return pages === 0 ? (
    <Button disabled>The shortlist is on the roadmap</Button>
  ) : (
    <Button onClick={onAdd}>Add {counted(pages, 'shortlisted page')}</Button>
  );
}
