import type { GoalAnswer } from '../../api/schema';
import { decimal, estimate, percent } from '../../shared/format';
import { monthName } from './months.logic';

export interface AskedGoal {
  goal: number;
  /** YYYY-MM. */
  until: string;
  /** 0…1. */
  odds: number;
}

/** Why a goal cannot be searched for as it is written; null where it can. */
export function goalProblem(written: { goal: string; until: string; odds: string }, start: string): string | null {
  if (!(Number(written.goal) > 0)) {
    return 'Enter a goal above 0 visits.';
  }
  if (!/^\d{4}-\d{2}$/.test(written.until) || written.until < start) {
    return `That is before the plan starts in ${monthName(start)}. Choose a later month.`;
  }
  return Number(written.odds) > 0 && Number(written.odds) < 100 ? null : 'Odds are between 0 and 100%.';
}

/** What it takes, or what is the most that can be reached. */
export function goalWords({ goal, until, odds }: AskedGoal, answer: Pick<GoalAnswer, 'capacity' | 'share' | 'visits' | 'reached'>): string {
  const wanted = `+${estimate(goal)} visits a month by ${monthName(until)} with odds of ${percent(odds)}`;
  return answer.reached
    ? `${wanted} take ${decimal(answer.capacity, 1)} days a month. ${percent(answer.share)} of the simulations reach it, ` +
        `and with these odds you reach +${estimate(answer.visits)}.`
    : `${wanted} are out of reach: with ${decimal(answer.capacity, 1)} days a month, ${percent(answer.share)} of the simulations ` +
        `reach it. The most with these odds is +${estimate(answer.visits)}.`;
}
