import { useEffect, useState } from 'react';
import type { Study } from '../api/schema';
import { useHotkeys } from '../shared/useHotkeys';
import { CommandBox } from './CommandBox';
import { KeysDialog } from './KeysDialog';

/** The same for pages outside of a study. */
export function GlobalKeys() {
  return useGlobalKeys(undefined).dialogs;
}

/** The keys that work on every page, `?` for help and Ctrl+K or `:` for the command box, and the dialogs that they open. */
export function useGlobalKeys(study: Study | undefined) {
  const [isHelpOpen, setHelpOpen] = useState(false);
  const [isBoxOpen, setBoxOpen] = useState(false);
  useHotkeys({ '?': () => setHelpOpen(true), ':': () => setBoxOpen(true) });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setBoxOpen(true);
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  return {
    openHelp: () => setHelpOpen(true),
    dialogs: (
      <>
        <CommandBox study={study} isOpen={isBoxOpen} onClose={() => setBoxOpen(false)} />
        <KeysDialog isOpen={isHelpOpen} onClose={() => setHelpOpen(false)} />
      </>
    ),
  };
}
