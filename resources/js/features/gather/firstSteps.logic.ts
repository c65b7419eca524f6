import type { Study } from '../../api/schema';

export type StepState = 'done' | 'next' | 'under way' | 'later';

export interface Steps {
  domain: StepState;
  competitors: StepState;
  rankings: StepState;
  list: StepState;
}

/** Whether a study has been worked with yet: a shortlist, a roadmap, anything done. */
export function isNew({ stages, may_edit }: Study): boolean {
  return may_edit && (stages.weigh?.shortlisted ?? 0) + stages.plan.items + stages.plan.done === 0;
}

/** How far a new study has come, from its domain to its first ranked list. */
export function stepsOf(study: Study, isWorking: boolean): Steps {
  const competitors = study.competitors.length > 0 ? 'done' : 'next';
  const { domains, without_rankings: missing } = study.stages.gather;
  const hasSome = missing < domains;
  const isReady = missing === 0 || (hasSome && study.comparison !== null);
  return {
    domain: 'done',
    competitors,
    rankings: isWorking ? 'under way' : isReady ? 'done' : competitors === 'done' ? 'next' : 'later',
    list: study.comparison !== null ? 'done' : hasSome ? 'under way' : 'later',
  };
}
