import { describe, expect, it } from 'vitest';
import { goalProblem, goalWords } from './goal.logic';

describe('a goal', () => {
  it('is refused where it cannot be searched for', () => {
    const good = { goal: '3000', until: '2027-06', odds: '80' };
    expect(goalProblem(good, '2027-01')).toBeNull();
    expect(goalProblem({ ...good, until: '2027-01' }, '2027-01')).toBeNull();
    expect(goalProblem({ ...good, goal: '0' }, '2027-01')).toContain('above 0 visits');
    expect(goalProblem({ ...good, goal: 'x' }, '2027-01')).toContain('above 0 visits');
    expect(goalProblem({ ...good, until: '2026-12' }, '2027-01')).toContain('Jan 2027');
    expect(goalProblem({ ...good, until: '' }, '2027-01')).not.toBeNull();
    expect(goalProblem({ ...good, odds: '100' }, '2027-01')).toContain('between');
  });

  it('says what it takes, or the most that can be reached', () => {
    const asked = { goal: 3000, until: '2027-06', odds: 0.8 };
    expect(goalWords(asked, { capacity: 12.5, share: 0.81, visits: 3040, reached: true })).toContain('take 12.5 days a month');
    expect(goalWords(asked, { capacity: 60, share: 0.2, visits: 900, reached: false })).toContain('The most with these odds is +900');
  });
});
