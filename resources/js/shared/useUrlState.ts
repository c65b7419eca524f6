import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

type Changes = Record<string, string | null>;

/** View state lives in the URL. Changes are steps of the history, so that going back undoes them. */
export function useUrlState(): [URLSearchParams, (changes: Changes, replace?: boolean) => void] {
  const [params, setParams] = useSearchParams();
  const change = useCallback(
    (changes: Changes, replace = false) => {
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [name, value] of Object.entries(changes)) {
            if (value === null) {
              next.delete(name);
            } else {
              next.set(name, value);
            }
          }
          return next;
        },
        { replace },
      );
    },
    [setParams],
  );
  return [params, change];
}
