import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { Study } from '../../api/schema';
import { vocabularyQuery } from '../study/queries';
import { kindWords, type ImportOptions } from './order.logic';
import { wording } from './wording';

/** What the file holds, and whose rows and which day those are that say neither. */
export function ImportChoices({
  study,
  order,
  onChange,
}: {
  study: Study;
  order: ImportOptions;
  onChange: (changes: Partial<ImportOptions>) => void;
}) {
  const kinds = useQuery(vocabularyQuery()).data?.import_kinds ?? [];
  const fields = kinds.find(({ name }) => name === order.kind)?.fields ?? [];
  // What a file may leave out of its rows is asked of the person.
  const mayLeaveOut = (field: string) => fields.some(({ name, is_required }) => name === field && !is_required);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1.6fr 1fr 1fr', gap: 1.5, py: 1 }}>
      <TextField
        select
        label="Kind of file"
        value={order.kind}
        onChange={(event) => onChange({ kind: kinds.find(({ name }) => name === event.target.value)?.name ?? order.kind, mapping: {} })}
      >
        {kinds.map(({ name }) => (
          <MenuItem key={name} value={name}>
            {kindWords(name)}
          </MenuItem>
        ))}
      </TextField>
      {mayLeaveOut('domain') && (
        <TextField
          select
          label={wording.domainForRowsWithoutOne}
          value={order.domain}
          onChange={(event) => onChange({ domain: event.target.value })}
        >
          <MenuItem value="">from the file</MenuItem>
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
      {mayLeaveOut('channel') && (
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
