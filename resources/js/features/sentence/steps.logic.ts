/**
 * What a sentence was before and after the one that stands, kept with a place in the browser's history. Null is the sentence a view
 * begins with.
 */
export interface Steps {
  before: (string | null)[];
  after: (string | null)[];
  /** The last change was typing, which goes on: all of it is one step. */
  isTyping: boolean;
}

const most = 50;

export const noSteps: Steps = { before: [], after: [], isTyping: false };

/** A sentence gives way to another. Of what is typed letter by letter only the beginning is a step. */
export function stepped(steps: Steps, from: string | null, isStep: boolean): Steps {
  if (!isStep && steps.isTyping) {
    return { ...steps, after: [] };
  }
  return { before: [...steps.before, from].slice(-most), after: [], isTyping: !isStep };
}

/** The sentence before the one that stands, and the steps from there; undefined where it is the first. */
export function stepBack(steps: Steps, now: string | null): { show: string | null; steps: Steps } | undefined {
  const show = steps.before.at(-1);
  return show === undefined
    ? undefined
    : { show, steps: { before: steps.before.slice(0, -1), after: [...steps.after, now], isTyping: false } };
}

/** The sentence that was taken back last; undefined where none was. */
export function stepForth(steps: Steps, now: string | null): { show: string | null; steps: Steps } | undefined {
  const show = steps.after.at(-1);
  return show === undefined
    ? undefined
    : { show, steps: { before: [...steps.before, now], after: steps.after.slice(0, -1), isTyping: false } };
}

/** Steps out of the state of a place in the history, which anything may have written. */
export function stepsOf(state: unknown): Steps {
  const { before, after, isTyping } = (typeof state === 'object' && state !== null ? state : {}) as Record<string, unknown>;
  return isTexts(before) && isTexts(after) ? { before, after, isTyping: isTyping === true } : noSteps;
}

function isTexts(value: unknown): value is (string | null)[] {
  return Array.isArray(value) && value.every((one) => one === null || typeof one === 'string');
}
