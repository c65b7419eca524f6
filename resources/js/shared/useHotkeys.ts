import { useEffect, useLayoutEffect, useRef } from 'react';

type Keys = Record<string, (event: KeyboardEvent) => void>;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.closest('[role="dialog"],[role="presentation"].MuiPopover-root') !== null)
  );
}

/** Runs an action for a key, unless somebody is typing or a dialog is open. */
export function useHotkeys(keys: Keys): void {
  const latest = useRef(keys);
  // Before the screen is painted, so that no key ever meets the actions of what stood there before.
  useLayoutEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) {
        return;
      }
      if (
        event.key === 'Enter' &&
        event.target instanceof HTMLElement &&
        event.target.closest('button, a, summary, [role="button"]') !== null
      ) {
        // Enter presses what has the focus.
        return;
      }
      const action = latest.current[event.key];
      if (action !== undefined) {
        event.preventDefault();
        action(event);
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
