import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ImportKind, Study } from '../../api/schema';
import type { ImportOrder } from './order.logic';

const kinds: ImportKind[] = ['rankings', 'keywords', 'results', 'performance', 'domains'];

/** What the file holds, and whose rows and which day those are that say neither. */
export function ImportChoices({
  study,
  order,
  onChange,
}: {
  study: Study;
  order: ImportOrder;
  onChange: (changes: Partial<ImportOrder>) => void;
}) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1.6fr 1fr 1fr', gap: 1.5, py: 1 }}>
      <TextField
        select
        label="What it holds"
        value={order.kind}
        onChange={(event) => onChange({ kind: kinds.find((kind) => kind === event.target.value) ?? 'rankings', mapping: {} })}
      >
        {kinds.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {kind}
          </MenuItem>
        ))}
      </TextField>
      {order.kind === 'rankings' && (
        <TextField
          select
          label="Domain of rows that name none"
          value={order.domain}
          onChange={(event) => onChange({ domain: event.target.value })}
        >
          <MenuItem value="">as the file says</MenuItem>
          {[study.domain ?? '', ...study.competitors].map((domain) => (
            <MenuItem key={domain} value={domain}>
              {domain}
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField
        type="date"
        label="Day"
        value={order.date ?? ''}
        onChange={(event) => onChange({ date: event.target.value === '' ? null : event.target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {order.kind === 'rankings' && (
        <TextField
          select
          label="Channel"
          value={order.channel}
          onChange={(event) => onChange({ channel: event.target.value === 'paid' ? 'paid' : 'organic' })}
        >
          <MenuItem value="organic">organic</MenuItem>
          <MenuItem value="paid">paid</MenuItem>
        </TextField>
      )}
    </Box>
  );
}
