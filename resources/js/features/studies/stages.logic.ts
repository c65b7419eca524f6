import type { Study } from '../../api/schema';
import { counted, whole } from '../../shared/format';

export interface Stage {
  path: string;
  name: string;
  figure: string;
  /** Something here asks for a decision or for fresh data. */
  isWaiting: boolean;
  isReached: boolean;
}

function gatherFigure({ domains, without_rankings: missing, stale }: Study['stages']['gather']): string {
  if (missing > 0) {
    return `${missing} of ${domains} domains without rankings`;
  }
  return stale > 0
    ? `${stale} ${stale === 1 ? 'snapshot' : 'snapshots'} stale`
    : `${domains} ${domains === 1 ? 'domain' : 'domains'}, all fresh`;
}

function planFigure({ items, overdue, done }: Study['stages']['plan'], shortlisted: number): string {
  if (items + done === 0) {
    return shortlisted === 0 ? 'nothing planned yet' : `${whole(shortlisted)} shortlisted`;
  }
  return `${whole(items)} on the roadmap${overdue > 0 ? `, ${whole(overdue)} overdue` : ''}`;
}

function compareFigure({ stages: { compare }, competitors }: Study): string {
  if (compare === null) {
    return 'nothing compared yet';
  }
  return competitors.length === 0 ? 'no competitors' : counted(compare.gaps, 'gap');
}

function weighFigure(weigh: Study['stages']['weigh']): string {
  if (weigh === null) {
    return 'nothing to weigh yet';
  }
  return weigh.quick_wins === null ? 'chances unknown' : counted(weigh.quick_wins, 'quick win');
}

/** The five stages of a study with the figure that matters at each. */
export function stagesOf(study: Study): Stage[] {
  const { gather, compare, weigh, plan } = study.stages;
  return [
    {
      path: 'gather',
      name: 'Gather',
      figure: gatherFigure(gather),
      isWaiting: gather.without_rankings > 0 || gather.stale > 0,
      isReached: true,
    },
    {
      path: 'compare',
      name: 'Compare',
      figure: compareFigure(study),
      isWaiting: false,
      isReached: compare !== null,
    },
    {
      path: 'weigh',
      name: 'Weigh',
      figure: weighFigure(weigh),
      isWaiting: false,
      isReached: weigh !== null,
    },
    {
      path: 'plan',
      name: 'Plan',
      figure: planFigure(plan, weigh?.shortlisted ?? 0),
      isWaiting: plan.overdue > 0,
      isReached: plan.items + plan.done > 0,
    },
    {
      path: 'track',
      name: 'Track',
      figure: plan.done === 0 ? 'nothing done yet' : `${whole(plan.done)} done`,
      isWaiting: false,
      isReached: plan.done > 0,
    },
  ];
}
