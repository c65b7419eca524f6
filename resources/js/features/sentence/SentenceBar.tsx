import AddIcon from '@mui/icons-material/Add';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import Tooltip from '@mui/material/Tooltip';
import { useState, type ReactNode } from 'react';
import { ClauseEditor, type EditorContext } from './ClauseEditor';
import { ClauseSteps } from './ClauseSteps';
import { isSet, kindOf, offered, phraseOf, started, strangeIn, subjectOf, type ClauseKind } from './clauses';
import { whole } from '../../shared/format';
import { parseSentence, spell, type Clause } from './sentence.logic';
import { useHotkeys } from '../../shared/useHotkeys';
import { useKinds } from './useKinds';
import { useSwitchedOff } from './useUrlState';
import { focusRing, texts } from '../../theme/measures';

interface Props {
  subject: string;
  show: string;
  onChange: (show: string, isStep: boolean) => void;
  count: number | undefined;
  of: number | undefined;
  /** What is hidden, and why; empty where nothing is. */
  hidden: string;
  context: Omit<EditorContext, 'kinds'>;
}

/** What is being shown, as a sentence whose bold parts are buttons. */
export function SentenceBar({ subject, show, onChange, count, of, hidden, context }: Props) {
  const [open, setOpen] = useState<{ kind: ClauseKind; anchor: HTMLElement } | null>(null);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const clauses = parseSentence(show);
  const [off, onOff] = useSwitchedOff();
  const kinds = useKinds(context.domains);
  const editing = { ...context, kinds };
  const shown = kinds.filter((kind) => isSet(kind, clauses));
  // An old address may hold clauses that mean nothing any more; they are struck out until a person lets them go.
  const strange = kinds.length === 0 ? [] : strangeIn(clauses, kinds);
  const change = (next: Clause[], isStep = true) => onChange(spell(next), isStep);
  useHotkeys({
    f: () => document.getElementById('add-clause')?.click(),
    l: () => document.getElementById('lens-menu')?.click(),
    '/': () => {
      const kind = kinds.find(({ name }) => name === 'text');
      const anchor = document.querySelector<HTMLElement>('[data-clause="text"]') ?? document.getElementById('add-clause');
      if (kind !== undefined && anchor !== null) {
        setOpen({ kind, anchor });
      }
    },
  });
  return (
    <Box component="section" aria-label="Sentence" sx={{ px: 2, py: 0.5, borderBottom: 1, borderColor: 'divider' }}>
      <Typography component="p" sx={{ typography: 'plain', lineHeight: 1.75 }}>
        {subjectOf(subject, [...clauses, ...off])}{' '}
        {shown.map((kind, place) => (
          <span key={kind.name}>
            {place > 0 && ' '}
            {kind.lead} {/* A comma begins no line. */}
            <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
              <ClauseButton name={kind.name} onClick={(anchor) => setOpen({ kind, anchor })}>
                {phraseOf(kind, clauses, editing)}
              </ClauseButton>
              {(place < shown.length - 1 || off.length > 0) && ','}
            </Box>
          </span>
        ))}
        {off.map((clause, place) => (
          <span key={`off ${spell([clause])}`}>
            {place > 0 ? ', ' : ' '}
            <Button
              title="Paused: press to apply it again"
              onClick={() => {
                change([...clauses, clause]);
                onOff(off.filter((other) => other !== clause));
              }}
              sx={{ py: 0, minHeight: 0, textDecoration: 'line-through', color: 'text.secondary' }}
            >
              {phraseOf(kindOf(clause, kinds), [clause], editing)}
            </Button>
          </span>
        ))}
        {strange.map((clause) => (
          <span key={spell([clause])}>
            , <s>{spell([clause])}</s>{' '}
            <Button onClick={() => change(clauses.filter((other) => other !== clause))} sx={{ py: 0, minHeight: 0 }}>
              doesn’t apply here: remove it
            </Button>
          </span>
        ))}{' '}
        <Button
          id="add-clause"
          startIcon={<AddIcon fontSize="small" />}
          onClick={(event) => setMenu(event.currentTarget)}
          sx={{ py: 0, minHeight: 0 }}
        >
          Add filter
        </Button>{' '}
        <Box component="span" aria-live="polite" sx={{ whiteSpace: 'nowrap', fontVariantNumeric: 'tabular-nums' }} data-testid="count">
          — <strong>{whole(count)}</strong> of {whole(of)}
        </Box>
        <HiddenCount words={hidden} />
      </Typography>
      <Menu
        slotProps={{ paper: { sx: { maxHeight: texts.line } } }}
        anchorEl={menu}
        open={menu !== null}
        onClose={() => setMenu(null)}
        disableRestoreFocus={open !== null}
      >
        {offered(kinds)
          .filter((kind) => !isSet(kind, clauses))
          .map((kind) => (
            <MenuItem
              key={kind.name}
              onClick={() => {
                const anchor = menu;
                setMenu(null);
                change(started(kind, clauses));
                if (anchor !== null) {
                  setOpen({ kind, anchor });
                }
              }}
            >
              {kind.title}
            </MenuItem>
          ))}
      </Menu>
      <Popover
        open={open !== null}
        anchorEl={open?.anchor ?? null}
        onClose={() => setOpen(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        {open !== null && (
          <>
            <ClauseEditor kind={open.kind} clauses={clauses} context={editing} onChange={change} onClose={() => setOpen(null)} />
            <ClauseSteps kind={open.kind} show={show} context={editing} off={off} onChange={change} onOff={onOff} />
          </>
        )}
      </Popover>
    </Box>
  );
}

/** How many are hidden; why, on a wide screen beside it and elsewhere where it is pointed at. */
function HiddenCount({ words }: { words: string }) {
  const [count, reasons] = words.split(/: (.*)/);
  return words === '' ? null : (
    <Box component="span" sx={{ color: 'text.secondary', typography: 'dense' }}>
      {' · '}
      <Tooltip title={reasons ?? ''}>
        <span tabIndex={reasons === undefined ? undefined : 0}>{count}</span>
      </Tooltip>
      {reasons !== undefined && <Box component="span" sx={{ display: { xs: 'none', lg: 'inline' } }}>{`: ${reasons}`}</Box>}
    </Box>
  );
}

function ClauseButton({ name, onClick, children }: { name: string; onClick: (anchor: HTMLElement) => void; children: ReactNode }) {
  return (
    <Box
      component="button"
      type="button"
      data-clause={name}
      onClick={(event) => onClick(event.currentTarget)}
      sx={{
        all: 'unset',
        cursor: 'pointer',
        whiteSpace: 'normal',
        fontWeight: 700,
        borderBottom: 2,
        borderColor: 'primary.main',
        '&:hover': { color: 'primary.main' },
        '&:focus-visible': { ...focusRing, outlineOffset: 2 },
      }}
    >
      {children}
    </Box>
  );
}
