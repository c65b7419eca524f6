import { useCallback, useLayoutEffect, useRef } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { parseSentence, spell, type Clause } from './sentence.logic';
import { stepBack, stepForth, stepped, stepsOf, type Said, type Steps } from './steps.logic';

type Changes = Record<string, string | null>;

/** What the URL calls the sentence; its changes can be undone by themselves. */
const sentence = 'show';

/** And the clauses that are switched off for a moment. */
const switchedOff = 'off';

function saidIn(params: URLSearchParams): Said {
  return { show: params.get(sentence), off: params.get(switchedOff) };
}

/**
 * View state lives in the URL. Changes are places in the history, so that going back undoes them. They are drawn before the
 * next key is heard (the router would otherwise draw them when there is time), so that a key acts on what was chosen last.
 */
export function useUrlState(): [URLSearchParams, (changes: Changes, replace?: boolean) => void] {
  const [params, setParams] = useSearchParams();
  const state: unknown = useLocation().state;
  const latest = useRef({ params, steps: stepsOf(state) });
  useLayoutEffect(() => {
    latest.current = { params, steps: stepsOf(state) };
  });
  const change = useCallback(
    (changes: Changes, replace = false) => {
      const { params: before, steps } = latest.current;
      const next = changed(before, changes);
      const isOther = next.get(sentence) !== before.get(sentence);
      setParams(next, {
        replace,
        flushSync: true,
        state: isOther ? stepped(steps, saidIn(before), !replace) : { ...steps, isTyping: false },
      });
    },
    [setParams],
  );
  return [params, change];
}

/** Takes the last change of the sentence back, or makes it again. Where there is none, nothing happens. */
export function useSentenceSteps(): { undo: () => void; redo: () => void } {
  const [params, setParams] = useSearchParams();
  const state: unknown = useLocation().state;
  const go = (step: { said: Said; steps: Steps } | undefined) => {
    if (step !== undefined) {
      setParams(changed(params, { [sentence]: step.said.show, [switchedOff]: step.said.off }), { flushSync: true, state: step.steps });
    }
  };
  return {
    undo: () => go(stepBack(stepsOf(state), saidIn(params))),
    redo: () => go(stepForth(stepsOf(state), saidIn(params))),
  };
}

function changed(params: URLSearchParams, changes: Changes): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(changes)) {
    if (value === null) {
      next.delete(name);
    } else {
      next.set(name, value);
    }
  }
  return next;
}

/** Clauses that are switched off for a moment: they stand beside the sentence and count for nothing. */
export function useSwitchedOff(): [Clause[], (off: Clause[]) => void] {
  const [params, change] = useUrlState();
  return [parseSentence(params.get(switchedOff) ?? ''), (off) => change({ [switchedOff]: off.length === 0 ? null : spell(off) }, true)];
}
