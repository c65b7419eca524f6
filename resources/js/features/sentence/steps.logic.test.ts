import { describe, expect, it } from 'vitest';
import { noSteps, stepBack, stepForth, stepped, stepsOf, type Said } from './steps.logic';

const say = (show: string | null, off: string | null = null): Said => ({ show, off });

describe('the steps of a sentence', () => {
  it('lead back and forth again', () => {
    const steps = stepped(stepped(noSteps, say(null), true), say('volume>=10'), true);
    const back = stepBack(steps, say('volume>=100'));
    expect(back?.said.show).toBe('volume>=10');
    const first = stepBack(back?.steps ?? noSteps, say('volume>=10'));
    expect(first?.said.show).toBeNull();
    expect(stepBack(first?.steps ?? noSteps, say(null))).toBeUndefined();
    const forth = stepForth(first?.steps ?? noSteps, say(null));
    expect(forth?.said.show).toBe('volume>=10');
    expect(stepForth(forth?.steps ?? noSteps, say('volume>=10'))?.said.show).toBe('volume>=100');
  });

  it('bring back what was switched off for a moment, and switch it off again', () => {
    const back = stepBack(stepped(noSteps, say('volume>=10;brands=hide'), true), say('volume>=10', 'brands=hide'));
    expect(back?.said).toEqual(say('volume>=10;brands=hide'));
    expect(stepForth(back?.steps ?? noSteps, say('volume>=10;brands=hide'))?.said).toEqual(say('volume>=10', 'brands=hide'));
  });

  it('are one for all that is typed at a time', () => {
    const typed = stepped(stepped(stepped(noSteps, say('brands=hide'), false), say('volume>=1'), false), say('volume>=10'), false);
    expect(stepBack(typed, say('volume>=100'))?.said.show).toBe('brands=hide');
    expect(stepped(typed, say('volume>=100'), true).before).toEqual([say('brands=hide'), say('volume>=100')]);
  });

  it('forget what was taken back once something else is said', () => {
    const back = stepBack(stepped(noSteps, say('a=1'), true), say('b=1'));
    expect(stepForth(stepped(back?.steps ?? noSteps, say('a=1'), true), say('c=1'))).toBeUndefined();
  });

  it('are none where the history holds something else', () => {
    expect(stepsOf(null)).toEqual(noSteps);
    expect(stepsOf({ before: [1], after: [] })).toEqual(noSteps);
    expect(stepsOf({ before: ['x'], after: [] })).toEqual(noSteps);
    const kept = { before: [say(null)], after: [say('x', 'y')], isTyping: true };
    expect(stepsOf(kept)).toEqual(kept);
  });
});
