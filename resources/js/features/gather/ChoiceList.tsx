import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { useState } from 'react';
import { whole } from '../../shared/format';
import { presses } from '../../theme/measures';

export interface Choice {
  word: string;
  note: string;
}

interface Props {
  choices: Choice[];
  isPending: boolean;
  onKeep: (words: string[]) => void;
}

/** Words to choose from by a tick each. */
export function ChoiceList({ choices, isPending, onKeep }: Props) {
  const [chosen, setChosen] = useState<string[]>([]);
  const flip = (word: string) =>
    setChosen((before) => (before.includes(word) ? before.filter((other) => other !== word) : [...before, word]));
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, py: 1 }}>
        <Button onClick={() => setChosen(choices.map((choice) => choice.word))}>Select all</Button>
        <Button onClick={() => setChosen([])} disabled={chosen.length === 0}>
          None
        </Button>
        <Button variant="contained" disabled={chosen.length === 0} loading={isPending} onClick={() => onKeep(chosen)}>
          Put {whole(chosen.length)} to the list
        </Button>
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, typography: 'dense' }}>
        {choices.map((choice) => (
          <Box component="li" key={choice.word} sx={{ borderBottom: 1, borderColor: 'divider' }}>
            <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.5, minHeight: presses.s }}>
              <Checkbox size="small" checked={chosen.includes(choice.word)} onChange={() => flip(choice.word)} sx={{ p: 0.25 }} />
              <Box component="span" sx={{ flex: 1 }}>
                {choice.word}
              </Box>
              <Box component="span" sx={{ color: 'text.secondary', typography: 'note' }}>
                {choice.note}
              </Box>
            </Box>
          </Box>
        ))}
      </Box>
    </>
  );
}
