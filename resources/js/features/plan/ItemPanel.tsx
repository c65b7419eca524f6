import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { address } from '../../api/client';
import { briefQuery } from './queries';
import type { ItemStatus, RoadmapItem, Study } from '../../api/schema';
import { KeptText } from '../../shared/KeptText';
import { Failed, Waiting } from '../../shared/Notice';
import { SidePanel } from '../../shared/SidePanel';
import { BriefView } from './BriefView';
import { ShareBrief } from './ShareBrief';
import { monthName, servesWords, setAsideWords } from './months.logic';
import type { ItemChanges } from './usePlan';
import { parts } from '../../theme/measures';

interface Props {
  study: Study;
  item: RoadmapItem;
  columns: (string | null)[];
  onChange: (changes: ItemChanges) => void;
  onRemove: () => void;
  onClose: () => void;
}

const statuses: ItemStatus[] = ['planned', 'writing', 'published', 'done', 'dropped'];

/** One item: when, by whom, how far; and its brief. */
export function ItemPanel({ study, item, columns, onChange, onRemove, onClose }: Props) {
  const brief = useQuery(briefQuery(study.slug, item.id));
  const isFixed = !study.may_edit || item.status === 'done';
  return (
    <SidePanel title={item.name} onClose={onClose} width={parts.l}>
      {item.set_aside !== null && (
        <Box role="note" sx={{ mb: 1.5, borderLeft: 3, borderColor: 'warning.main', pl: 1.5, typography: 'dense' }}>
          {item.unit === 'keyword' ? 'The keyword was' : 'All its keywords are set aside, the first'} {setAsideWords(item.set_aside)}.
          Remove it from the roadmap, or restore a keyword in Weigh (key x).
        </Box>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <TextField
          select
          label="Status"
          disabled={!study.may_edit}
          value={item.status}
          onChange={(event) => onChange({ status: statuses.find((status) => status === event.target.value) ?? 'planned' })}
        >
          {statuses.map((status) => (
            <MenuItem key={status} value={status}>
              {status}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Month"
          disabled={isFixed}
          value={item.month ?? ''}
          onChange={(event) => onChange({ month: event.target.value === '' ? null : event.target.value })}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          {columns.map((month) => (
            <MenuItem key={month ?? ''} value={month ?? ''}>
              {month === null ? 'none yet' : monthName(month)}
            </MenuItem>
          ))}
        </TextField>
        <KeptText id="item-owner" label="Owner" value={item.owner} disabled={!study.may_edit} onKeep={(owner) => onChange({ owner })} />
        <KeptText
          id="item-days"
          label="Days of work"
          type="number"
          value={String(item.effort_days)}
          disabled={isFixed}
          canKeep={(days) => days !== '' && Number(days) >= 0}
          onKeep={(days) => onChange({ effort_days: Number(days) })}
        />
        <KeptText
          label="Due"
          type="date"
          slotProps={{ inputLabel: { shrink: true } }}
          value={item.due ?? ''}
          disabled={!study.may_edit}
          onKeep={(due) => onChange({ due: due === '' ? null : due })}
        />
        <Button
          disabled={!study.may_edit}
          aria-pressed={item.is_pinned}
          variant={item.is_pinned ? 'outlined' : 'text'}
          onClick={() => onChange({ is_pinned: !item.is_pinned })}
        >
          {item.is_pinned ? 'Pinned: scheduled first' : 'Pin: schedule first'}
        </Button>
      </Box>
      <Box sx={{ typography: 'note', color: 'text.secondary', mt: 0.5 }}>
        {item.why.effort.steps.join(' ')} {item.why.season.steps.join(' ')}
      </Box>
      <ItemFacts item={item} />
      {brief.isPending && <Waiting what="Loading the brief" />}
      {brief.isError && <Failed error={brief.error} onRetry={() => void brief.refetch()} />}
      {brief.data !== undefined && (
        <BriefView
          slug={study.slug}
          brief={brief.data}
          item={item}
          mayEdit={study.may_edit}
          onWrite={(written) => onChange({ brief: written })}
        />
      )}
      {study.may_edit && <ShareBrief slug={study.slug} item={item.id} />}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 2, '& > *': { whiteSpace: 'nowrap' } }} className="no-print">
        <Button component="a" href={address(`studies/${study.slug}/plan/items/${item.id}/brief.html`)} target="_blank" rel="noopener">
          Print
        </Button>
        {(['odt', 'md'] as const).map((format) => (
          <Button key={format} component="a" href={address(`studies/${study.slug}/plan/items/${item.id}/brief.${format}`)} download>
            {format === 'odt' ? 'ODT' : 'Markdown'}
          </Button>
        ))}
        <Box sx={{ flex: 1 }} />
        {study.may_edit && item.status !== 'done' && (
          <Button color="warning" onClick={onRemove}>
            Remove from roadmap
          </Button>
        )}
      </Box>
    </SidePanel>
  );
}

/** What it stands for, what it was made of, and what its writer said. */
function ItemFacts({ item }: { item: RoadmapItem }) {
  return (
    <Box sx={{ typography: 'dense', mt: 1 }}>
      {servesWords(item)}
      {item.folded.length > 1 && `, merged from the items ${item.folded.join(', ')}`}.
      {item.published_url !== null && <div>Published at {item.published_url}</div>}
      {item.writer_note !== null && <Box sx={{ whiteSpace: 'pre-wrap' }}>The writer: {item.writer_note}</Box>}
    </Box>
  );
}
