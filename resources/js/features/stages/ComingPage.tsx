import { Empty } from '../../shared/Notice';

const words = {
  Plan: 'The roadmap is not built yet. Until it is, shortlist what you want to do in Compare or Weigh and take the list along as CSV.',
  Track: 'What came of the plan is not shown yet. Movement since the snapshot before is drawn on every rank lane in Compare.',
};

/** Says honestly that a stage is still to come, and what helps until then. */
export function ComingPage({ stage }: { stage: 'Plan' | 'Track' }) {
  return <Empty title={`${stage} is coming`}>{words[stage]}</Empty>;
}
