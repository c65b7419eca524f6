import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Decision, Intent } from '../../api/schema';
import { estimate, whole } from '../../shared/format';
import { useHotkeys } from '../../shared/useHotkeys';
import { fields } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

export interface Figures {
  volume: number | null;
  visits_now: number | null;
  gain: number | null;
}

interface Props {
  chosen: Figures[];
  /** All that the sentence shows is chosen, also what is not loaded. */
  isAll: boolean;
  total: number;
  /** Of all; null where they are not known. */
  sums: Figures | null;
  onAll: () => void;
  onNone: () => void;
  onDecide: (decision: Decision) => void;
}

function sum(values: (number | null)[]): number {
  return values.reduce<number>((all, value) => all + (value ?? 0), 0);
}

/** Selection, what it sums up to, and what can be decided about all of it at once. */
export function BulkBar({ chosen, isAll, total, sums, onAll, onNone, onDecide }: Props) {
  useHotkeys({ b: () => document.getElementById('bulk')?.focus() });
  const count = isAll ? total : chosen.length;
  const totals = isAll
    ? sums
    : {
        volume: sum(chosen.map((row) => row.volume)),
        visits_now: sum(chosen.map((row) => row.visits_now)),
        gain: sum(chosen.map((row) => row.gain)),
      };
  return (
    <Box
      role="region"
      aria-label="Selection"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 2,
        py: 0.5,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'ink.wash',
        typography: 'dense',
        flexWrap: 'wrap',
      }}
    >
      <Box component="span" sx={{ fontVariantNumeric: 'tabular-nums' }}>
        <strong>{whole(count)} chosen</strong>
        {totals !== null && `: volume ${whole(totals.volume)}, visits now ${estimate(totals.visits_now)}, gain ${estimate(totals.gain)}`}
      </Box>
      {!isAll && total > chosen.length && <Button onClick={onAll}>Select all {whole(total)}</Button>}
      <Button onClick={onNone}>{commonWording.clearSelection}</Button>
      <Box sx={{ flex: 1 }} />
      <Typed
        id="bulk"
        label="Shortlist"
        field="Why?"
        mayBeEmpty
        onSend={(reason) => onDecide({ mark: 'shortlisted', reason: reason === '' ? null : reason })}
      />
      <Typed
        label="Set aside"
        field="Why?"
        mayBeEmpty
        onSend={(reason) => onDecide({ mark: 'set aside', reason: reason === '' ? null : reason })}
      />
      <Button onClick={() => onDecide({ mark: null })}>Clear marks</Button>
      <Typed label="Tag" field="Tag" onSend={(tag) => onDecide({ tag })} />
      <Typed label="Untag" field="Tag" onSend={(untag) => onDecide({ untag })} />
      <Typed label="Topic" field="Move to topic" mayBeEmpty onSend={(topic) => onDecide({ topic: topic === '' ? null : topic })} />
      <Chosen
        label="Fit"
        choices={['0', '1', '2', '3', '4', '5', 'unset']}
        onChoose={(fit) => onDecide({ fit: fit === 'unset' ? null : Number(fit) })}
      />
      <Chosen
        label="Intent"
        choices={['buy', 'compare', 'learn', 'open', 'by rule']}
        onChoose={(intent) => onDecide({ intent: intentOf(intent) })}
      />
      <Chosen
        label="Stage"
        choices={[...stages, 'by intent']}
        onChoose={(choice) => onDecide({ stage: stages.find((stage) => stage === choice) ?? null })}
      />
    </Box>
  );
}

/** Stages of the funnel, the farthest from buying first. */
const stages = ['top', 'middle', 'bottom'] as const;

function intentOf(text: string): Intent | null {
  return text === 'buy' || text === 'compare' || text === 'learn' || text === 'open' ? text : null;
}

function Chosen({ label, choices, onChoose }: { label: string; choices: string[]; onChoose: (choice: string) => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {choices.map((choice) => (
          <MenuItem
            key={choice}
            onClick={() => {
              setAnchor(null);
              onChoose(choice);
            }}
          >
            {choice}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

function Typed({
  id,
  label,
  field,
  mayBeEmpty = false,
  onSend,
}: {
  id?: string;
  label: string;
  field: string;
  mayBeEmpty?: boolean;
  onSend: (text: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  if (text === null) {
    return (
      <Button {...(id === undefined ? {} : { id, variant: 'contained' })} onClick={() => setText('')}>
        {label}
      </Button>
    );
  }
  return (
    <Box
      component="form"
      sx={{ display: 'flex', gap: 0.5 }}
      onSubmit={(event) => {
        event.preventDefault();
        onSend(text.trim());
        setText(null);
      }}
    >
      <TextField
        autoFocus
        size="small"
        label={field}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            setText(null);
          }
        }}
        sx={{ width: fields.m }}
      />
      <Button type="submit" disabled={!mayBeEmpty && text.trim() === ''}>
        {label}
      </Button>
    </Box>
  );
}
