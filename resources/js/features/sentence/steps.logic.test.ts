import { describe, expect, it } from 'vitest';
import { noSteps, stepBack, stepForth, stepped, stepsOf } from './steps.logic';

describe('the steps of a sentence', () => {
  it('lead back and forth again', () => {
    const steps = stepped(stepped(noSteps, null, true), 'volume>=10', true);
    const back = stepBack(steps, 'volume>=100');
    expect(back?.show).toBe('volume>=10');
    const first = stepBack(back?.steps ?? noSteps, 'volume>=10');
    expect(first?.show).toBeNull();
    expect(stepBack(first?.steps ?? noSteps, null)).toBeUndefined();
    const forth = stepForth(first?.steps ?? noSteps, null);
    expect(forth?.show).toBe('volume>=10');
    expect(stepForth(forth?.steps ?? noSteps, 'volume>=10')?.show).toBe('volume>=100');
  });

  it('are one for all that is typed at a time', () => {
    const typed = stepped(stepped(stepped(noSteps, 'brands=hide', false), 'volume>=1', false), 'volume>=10', false);
    expect(stepBack(typed, 'volume>=100')?.show).toBe('brands=hide');
    expect(stepped(typed, 'volume>=100', true).before).toEqual(['brands=hide', 'volume>=100']);
  });

  it('forget what was taken back once something else is said', () => {
    const back = stepBack(stepped(noSteps, 'a=1', true), 'b=1');
    expect(stepForth(stepped(back?.steps ?? noSteps, 'a=1', true), 'c=1')).toBeUndefined();
  });

  it('are none where the history holds something else', () => {
    expect(stepsOf(null)).toEqual(noSteps);
    expect(stepsOf({ before: [1], after: [] })).toEqual(noSteps);
    expect(stepsOf({ before: [null], after: ['x'], isTyping: true })).toEqual({ before: [null], after: ['x'], isTyping: true });
  });
});
