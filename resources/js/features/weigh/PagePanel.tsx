import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Opportunity, RankedTopic, Study } from '../../api/schema';
import { SidePanel } from '../../shared/SidePanel';
import type { useDecisions } from '../decisions/useDecisions';
import { sharedJudgement } from './pages.logic';
import { fields, parts, presses } from '../../theme/measures';

interface Props {
  study: Study;
  page: RankedTopic;
  keywords: Opportunity[];
  decisions: ReturnType<typeof useDecisions>;
  onClose: () => void;
}

/** What people say about a page: it is said of all its open keywords. */
export function PagePanel({ study, page, keywords, decisions, onClose }: Props) {
  const about = { topics: [page.topic] };
  const { fits, tags, notes, reasons } = sharedJudgement(keywords);
  const [text, setText] = useState({ reason: '', tag: '', note: '' });
  const write = (field: keyof typeof text) => (event: { target: { value: string } }) =>
    setText((before) => ({ ...before, [field]: event.target.value }));
  const mark = (kind: 'shortlisted' | 'set aside') => decisions.decide(about, { mark: kind, reason: text.reason.trim() || null });
  const disabled = !study.may_edit;
  return (
    <SidePanel title={page.topic} onClose={onClose} width={parts.m}>
      <Box sx={{ typography: 'dense', mb: 1 }}>
        This applies to {page.keywords === 1 ? 'its open keyword' : `all its ${page.keywords} open keywords`}.
      </Box>
      <TextField
        fullWidth
        autoFocus
        label="Reason"
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !disabled) {
            // Said and done: the keys of the list act again.
            event.preventDefault();
            mark('shortlisted');
            onClose();
          } else if (event.key === 'Escape') {
            onClose();
          }
        }}
        disabled={disabled}
        value={text.reason}
        onChange={write('reason')}
        helperText={reasons.length === 0 ? undefined : `Current: ${reasons.join('; ')}`}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      <Box sx={{ display: 'flex', gap: 1, my: 1 }}>
        <Button variant="contained" disabled={disabled} onClick={() => mark('shortlisted')}>
          Shortlist all
        </Button>
        <Button disabled={disabled} onClick={() => mark('set aside')}>
          Set all aside
        </Button>
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.25, typography: 'dense' }} role="group" aria-label="Business fit">
        <Box component="span" sx={{ color: 'text.secondary', mr: 1 }}>
          Business fit
        </Box>
        {[0, 1, 2, 3, 4, 5].map((fit) => (
          <Button
            key={fit}
            disabled={disabled}
            aria-pressed={fits.length === 1 && fits[0] === fit}
            variant={fits.length === 1 && fits[0] === fit ? 'contained' : 'text'}
            onClick={() => decisions.decide(about, { fit: fits.length === 1 && fits[0] === fit ? null : fit })}
            sx={{ minWidth: presses.m, px: 0 }}
          >
            {fit}
          </Button>
        ))}
        {fits.length > 1 && <span>differs</span>}
      </Box>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.tag.trim() !== '') {
            decisions.decide(about, { tag: text.tag.trim() });
            setText((before) => ({ ...before, tag: '' }));
          }
        }}
        sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}
      >
        {tags.map(({ tag, count }) => (
          <Chip
            key={tag}
            size="small"
            variant="outlined"
            label={count === keywords.length ? tag : `${tag} (${count} of ${keywords.length})`}
            {...(disabled ? {} : { onDelete: () => decisions.decide(about, { untag: tag }) })}
          />
        ))}
        <TextField label="Add a tag" disabled={disabled} value={text.tag} onChange={write('tag')} sx={{ width: fields.m }} />
      </Box>
      <TextField
        multiline
        fullWidth
        maxRows={8}
        label="Note for all keywords"
        disabled={disabled}
        value={text.note}
        onChange={write('note')}
        helperText={notes.length === 0 ? undefined : `Current: ${notes.join('; ')}`}
        sx={{ mt: 1 }}
      />
      <Button disabled={disabled || text.note.trim() === ''} onClick={() => decisions.decide(about, { note: text.note.trim() })}>
        Save note
      </Button>
    </SidePanel>
  );
}
