import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { useState } from 'react';
import type { Intent, KeywordDossier } from '../../api/schema';
import { estimate } from '../../shared/format';
import type { useDecisions } from '../decisions/useDecisions';
import { Part } from './Part';
import { TargetLane } from './TargetLane';
import { fields, presses } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

interface Props {
  dossier: KeywordDossier;
  mayEdit: boolean;
  decisions: ReturnType<typeof useDecisions>;
}

const stages = ['top', 'middle', 'bottom'] as const;
const intents: Intent[] = ['buy', 'compare', 'learn', 'open'];

/** What people say about the keyword: target, fit, intent, tags, a note; and who said what when. */
export function JudgementPart({ dossier, mayEdit, decisions }: Props) {
  const about = { keywords: [dossier.keyword] };
  return (
    <Part title="Our judgement">
      <TargetLane dossier={dossier} mayEdit={mayEdit} onTarget={(target) => decisions.decide(about, { target })} />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.25, typography: 'dense', mt: 0.5 }} role="group" aria-label="Business fit">
        <Box component="span" sx={{ color: 'text.secondary', mr: 1 }}>
          Business fit
        </Box>
        {[0, 1, 2, 3, 4, 5].map((fit) => (
          <Button
            key={fit}
            disabled={!mayEdit}
            aria-pressed={dossier.fit === fit}
            variant={dossier.fit === fit ? 'contained' : 'text'}
            onClick={() => decisions.decide(about, { fit: dossier.fit === fit ? null : fit })}
            sx={{ minWidth: presses.m, px: 0 }}
          >
            {fit}
          </Button>
        ))}
        {dossier.fit === null && <Box component="span">{dossier.scores.fit == null ? 'unset' : `${dossier.scores.fit} by rule`}</Box>}
      </Box>
      <TextField
        select
        label="Intent"
        disabled={!mayEdit}
        value={dossier.own_intent ?? ''}
        onChange={(event) => decisions.decide(about, { intent: intents.find((intent) => intent === event.target.value) ?? null })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={{ mt: 1, minWidth: fields.m }}
      >
        <MenuItem value="">by rule{dossier.own_intent === null && dossier.intent !== null ? `: ${dossier.intent}` : ''}</MenuItem>
        {intents.map((intent) => (
          <MenuItem key={intent} value={intent}>
            {intent}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Funnel stage"
        disabled={!mayEdit}
        value={dossier.own_stage ?? ''}
        onChange={(event) => decisions.decide(about, { stage: stages.find((stage) => stage === event.target.value) ?? null })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={{ mt: 1, ml: 1, minWidth: fields.m }}
      >
        <MenuItem value="">by intent{dossier.own_stage === null && dossier.stage !== null ? `: ${dossier.stage}` : ''}</MenuItem>
        {stages.map((stage) => (
          <MenuItem key={stage} value={stage}>
            {stage}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 1 }}>
        <OwnDifficulty
          key={String(dossier.own_difficulty)}
          dossier={dossier}
          mayEdit={mayEdit}
          onDifficulty={(difficulty) => decisions.decide(about, { difficulty })}
        />
        <Button
          disabled={!mayEdit}
          aria-pressed={dossier.pinned}
          variant={dossier.pinned ? 'outlined' : 'text'}
          onClick={() => decisions.decide(about, { pinned: !dossier.pinned })}
        >
          {dossier.pinned ? commonWording.pinnedToTheTop : 'Pin to the top'}
        </Button>
      </Box>
      <Topic
        key={dossier.topic ?? ''}
        dossier={dossier}
        mayEdit={mayEdit}
        onTopic={(topic) => decisions.decide(about, { topic: topic === '' ? null : topic })}
      />
      <Tags
        dossier={dossier}
        mayEdit={mayEdit}
        onTag={(tag) => decisions.decide(about, { tag })}
        onUntag={(untag) => decisions.decide(about, { untag })}
      />
      <Note dossier={dossier} mayEdit={mayEdit} onNote={(note) => decisions.decide(about, { note: note === '' ? null : note })} />
      {dossier.log.map((entry) => (
        <Box key={entry.change} sx={{ display: 'flex', alignItems: 'baseline', typography: 'note', color: 'text.secondary' }}>
          <Box sx={{ flex: 1, textDecoration: entry.undone ? 'line-through' : 'none' }}>
            {entry.at.slice(0, 10)} {entry.who ?? 'somebody'}: {entry.what}
          </Box>
          {mayEdit && !entry.undone && (
            <Button onClick={() => decisions.undoChange(entry.change)} sx={{ py: 0, fontSize: 'inherit' }}>
              Undo
            </Button>
          )}
        </Box>
      ))}
      {dossier.gain !== null && (
        <Box component="span" sx={visuallyHidden} aria-live="polite">{`Gain ${estimate(dossier.gain)} visits a month`}</Box>
      )}
    </Part>
  );
}

/** A difficulty that stands in for the sources'; emptied, theirs counts again. */
function OwnDifficulty({
  dossier,
  mayEdit,
  onDifficulty,
}: {
  dossier: KeywordDossier;
  mayEdit: boolean;
  onDifficulty: (difficulty: number | null) => void;
}) {
  const kept = dossier.own_difficulty === null ? '' : String(dossier.own_difficulty);
  const [text, setText] = useState(kept);
  const number = Number(text.replace(',', '.'));
  const isRight = text === '' || (number >= 0 && number <= 100);
  return (
    <TextField
      label="Our own difficulty"
      disabled={!mayEdit}
      value={text}
      error={!isRight}
      helperText={isRight ? undefined : 'From 0 to 100'}
      onChange={(event) => setText(event.target.value.trim())}
      onBlur={() => {
        if (isRight && text !== kept) {
          onDifficulty(text === '' ? null : number);
        }
      }}
      sx={{ width: fields.l }}
    />
  );
}

/** The topic the keyword is in; emptied, it goes back to where it was found. */
function Topic({ dossier, mayEdit, onTopic }: { dossier: KeywordDossier; mayEdit: boolean; onTopic: (topic: string) => void }) {
  const [text, setText] = useState(dossier.topic ?? '');
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onTopic(text.trim());
      }}
      sx={{ display: 'flex', gap: 0.5, mt: 1 }}
    >
      <TextField label="Topic" disabled={!mayEdit} value={text} onChange={(event) => setText(event.target.value)} sx={{ flex: 1 }} />
      {text.trim() !== (dossier.topic ?? '') && <Button type="submit">{text.trim() === '' ? 'As found' : 'Move'}</Button>}
    </Box>
  );
}

function Tags({
  dossier,
  mayEdit,
  onTag,
  onUntag,
}: {
  dossier: KeywordDossier;
  mayEdit: boolean;
  onTag: (tag: string) => void;
  onUntag: (tag: string) => void;
}) {
  const [text, setText] = useState('');
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') {
          onTag(text.trim());
          setText('');
        }
      }}
      sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}
    >
      {dossier.tags.map((tag) => (
        <Chip key={tag} size="small" variant="outlined" label={tag} {...(mayEdit ? { onDelete: () => onUntag(tag) } : {})} />
      ))}
      {mayEdit && <TextField label="Add a tag" value={text} onChange={(event) => setText(event.target.value)} sx={{ width: fields.s }} />}
    </Box>
  );
}

function Note({ dossier, mayEdit, onNote }: { dossier: KeywordDossier; mayEdit: boolean; onNote: (note: string) => void }) {
  const [text, setText] = useState(dossier.note ?? '');
  return (
    <TextField
      multiline
      fullWidth
      maxRows={8}
      label="Note"
      disabled={!mayEdit}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        if (text.trim() !== (dossier.note ?? '')) {
          onNote(text.trim());
        }
      }}
      sx={{ mt: 1, mb: 0.5 }}
    />
  );
}
