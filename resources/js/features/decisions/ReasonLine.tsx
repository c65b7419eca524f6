import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Mark } from '../../api/schema';
import { reasonsQuery } from './queries';
import { alone, isListKey, isReason, keysMeant, offered } from './reasons.logic';
import { texts } from '../../theme/measures';

interface Props {
  study: string;
  mark: Mark;
  /** What was marked. */
  title: string;
  onReason: (reason: string) => void;
  onClose: () => void;
}

/** Keys that the list is to answer to after all. */
function replay(keys: string[]) {
  keys.forEach((key) => window.dispatchEvent(new KeyboardEvent('keydown', { key })));
}

/** One line that asks why something was marked, offers the last reasons, and goes on with Enter; the mark itself stands already. */
export function ReasonLine({ study, mark, title, onReason, onClose }: Props) {
  const given = useQuery(reasonsQuery(study));
  const [text, setText] = useState('');
  const isOver = useRef(false);
  const close = (reason: string, keys: string[]) => {
    if (isOver.current) {
      return;
    }
    isOver.current = true;
    if (isReason(reason)) {
      onReason(reason.trim());
    }
    // Gone before the next key is heard, however quick the fingers.
    flushSync(onClose);
    document.querySelector<HTMLElement>('[role="table"]')?.focus({ preventScroll: true });
    replay(keys);
  };
  // Whoever pressed another key of the list and waits for it to act was not beginning a word.
  const latest = useRef(close);
  useLayoutEffect(() => {
    latest.current = close;
  });
  useEffect(() => {
    if (!isListKey(text)) {
      return undefined;
    }
    const timer = setTimeout(() => latest.current('', [text]), alone);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <Box
      role="region"
      aria-label="Reason"
      className="no-print"
      sx={{
        position: 'fixed',
        left: 0,
        right: 0,
        bottom: 0,
        zIndex: 20,
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2,
        py: 1,
        bgcolor: 'background.paper',
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: '0 1 auto', minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        <strong>{mark === 'shortlisted' ? 'Shortlisted' : 'Set aside'}:</strong> {title}
      </Box>
      <Autocomplete
        freeSolo
        openOnFocus
        options={offered(given.data ?? [], mark)}
        inputValue={text}
        onInputChange={(_event, next) => setText(next)}
        onChange={(_event, chosen) => close(chosen ?? '', ['j'])}
        slotProps={{
          popper: { placement: 'top-start', modifiers: [{ name: 'offset', options: { offset: [0, 10] } }] },
          listbox: { sx: { py: 0, '& .MuiAutocomplete-option': { py: 0.25, typography: 'plain' } } },
        }}
        sx={{ flex: 1, maxWidth: texts.text }}
        renderInput={(params) => (
          <TextField
            {...params}
            autoFocus
            label={`Reason for “${title}” (Enter saves it)`}
            onKeyDown={(event) => {
              const keys = event.ctrlKey || event.metaKey || event.altKey ? null : keysMeant(text, event.key);
              if (keys !== null) {
                event.preventDefault();
                close('', keys);
              } else if (event.key === 'Escape') {
                event.stopPropagation();
                close('', []);
              } else if (event.key === 'Enter' && event.currentTarget.querySelector('[aria-activedescendant]') === null) {
                event.preventDefault();
                event.stopPropagation();
                close(text, isReason(text) || text.trim() === '' ? ['j'] : [text.trim(), 'Enter']);
              }
            }}
            onBlur={() => close(text, [])}
          />
        )}
      />
    </Box>
  );
}
