/** A sentence, and what of it is switched off for a moment; null is what a view begins with. */
export interface Said {
  show: string | null;
  off: string | null;
}

/** What was said before and after what stands, kept with a place in the browser's history. */
export interface Steps {
  before: Said[];
  after: Said[];
  /** The last change was typing, which goes on: all of it is one step. */
  isTyping: boolean;
}

const most = 50;

export const noSteps: Steps = { before: [], after: [], isTyping: false };

/** A sentence gives way to another. Of what is typed letter by letter only the beginning is a step. */
export function stepped(steps: Steps, from: Said, isStep: boolean): Steps {
  if (!isStep && steps.isTyping) {
    return { ...steps, after: [] };
  }
  return { before: [...steps.before, from].slice(-most), after: [], isTyping: !isStep };
}

/** The sentence before the one that stands, and the steps from there; undefined where it is the first. */
export function stepBack(steps: Steps, now: Said): { said: Said; steps: Steps } | undefined {
  const said = steps.before.at(-1);
  return said === undefined
    ? undefined
    : { said, steps: { before: steps.before.slice(0, -1), after: [...steps.after, now], isTyping: false } };
}

/** The sentence that was taken back last; undefined where none was. */
export function stepForth(steps: Steps, now: Said): { said: Said; steps: Steps } | undefined {
  const said = steps.after.at(-1);
  return said === undefined
    ? undefined
    : { said, steps: { before: [...steps.before, now], after: steps.after.slice(0, -1), isTyping: false } };
}

/** Steps out of the state of a place in the history, which anything may have written. */
export function stepsOf(state: unknown): Steps {
  const { before, after, isTyping } = (typeof state === 'object' && state !== null ? state : {}) as Record<string, unknown>;
  return isListOfSentences(before) && isListOfSentences(after) ? { before, after, isTyping: isTyping === true } : noSteps;
}

function isListOfSentences(value: unknown): value is Said[] {
  return Array.isArray(value) && value.every((one) => isTextOrNull((one as Said | null)?.show) && isTextOrNull((one as Said | null)?.off));
}

function isTextOrNull(value: unknown): boolean {
  return value === null || typeof value === 'string';
}
