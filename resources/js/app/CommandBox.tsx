import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import InputBase from '@mui/material/InputBase';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Study } from '../api/schema';
import { useStored } from '../shared/useStored';
import { fitting, usedWith, type Command } from './commands.logic';
import { useCommands } from './useCommands';

const isTexts = (value: unknown): value is string[] => Array.isArray(value) && value.every((one) => typeof one === 'string');

/** One line that finds studies, stages, views, keywords, lenses and settings by typing, what was used last first. */
export function CommandBox({ study, isOpen, onClose }: { study: Study | undefined; isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog
      open={isOpen}
      onClose={onClose}
      maxWidth="sm"
      fullWidth
      aria-label="Go to"
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      {isOpen && <Places study={study} onClose={onClose} />}
    </Dialog>
  );
}

function Places({ study, onClose }: { study: Study | undefined; onClose: () => void }) {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const [place, setPlace] = useState(0);
  const [used, setUsed] = useStored<string[]>('reach-commands', [], isTexts);
  const found = fitting(useCommands(study, typed, true), typed, used);
  const chosen = Math.min(place, found.length - 1);
  const run = (command: Command | undefined) => {
    if (command !== undefined) {
      setUsed(usedWith(used, command.id));
      onClose();
      if (command.isFile === true) {
        window.location.assign(command.to);
      } else {
        void navigate(command.to);
      }
    }
  };
  return (
    <>
      <InputBase
        autoFocus
        fullWidth
        value={typed}
        placeholder="Go to a study, stage, view, keyword or lens"
        onChange={(event) => {
          setTyped(event.target.value);
          setPlace(0);
        }}
        onKeyDown={(event) => {
          const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (step !== undefined) {
            event.preventDefault();
            setPlace(Math.max(0, Math.min(found.length - 1, chosen + step)));
          } else if (event.key === 'Enter') {
            event.preventDefault();
            run(found[chosen]);
          }
        }}
        slotProps={{
          input: {
            role: 'combobox',
            'aria-expanded': true,
            'aria-controls': 'commands',
            'aria-label': 'Go to',
            'aria-activedescendant': found.length === 0 ? undefined : `command-${chosen}`,
          },
        }}
        sx={{ px: 2, py: 1.5, typography: 'large', borderBottom: 1, borderColor: 'divider' }}
      />
      <Box component="ul" role="listbox" id="commands" aria-label="Places" sx={{ listStyle: 'none', m: 0, p: 0, pb: 1 }}>
        {found.map((command, number) => (
          <Box
            component="li"
            role="option"
            key={command.id}
            id={`command-${number}`}
            aria-selected={number === chosen}
            onClick={() => run(command)}
            sx={{
              display: 'flex',
              gap: 2,
              px: 2,
              py: 0.5,
              cursor: 'pointer',
              bgcolor: number === chosen ? 'ink.wash' : 'transparent',
            }}
          >
            <Box sx={{ flex: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>{command.title}</Box>
            <Box sx={{ color: 'text.secondary', typography: 'dense' }}>{command.group}</Box>
          </Box>
        ))}
        {found.length === 0 && (
          <Box component="li" sx={{ px: 2, py: 1, color: 'text.secondary' }}>
            No results
          </Box>
        )}
      </Box>
    </>
  );
}
