import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { api } from '../../api/client';
import type { Study } from '../../api/schema';
import { whole } from '../../shared/format';
import { vocabularyQuery } from '../study/queries';
import { problemsOf, stateOf, type BatchFile } from './batch.logic';
import { kindWords, orderOf, type ImportOptions } from './order.logic';
import { usePreview } from './usePreview';
import { useUpload } from './useUpload';
import { wording } from './wording';

interface Props {
  study: Study;
  row: BatchFile;
  /** Date for files without one; empty until one is entered. */
  day: string;
  isMapped: boolean;
  onChange: (changes: Partial<BatchFile>) => void;
  onMap: () => void;
}

/** One file of a batch: sent and looked through by itself, with what it seems to be to be changed in place. */
export function BatchRow({ study, row, day, isMapped, onChange, onMap }: Props) {
  const upload = useUpload(study.slug, row.file);
  const tell = useLatest(onChange);
  useEffect(() => {
    if (upload.data !== undefined) {
      const isLeftOut = upload.data.proposal.leave_out;
      tell.current({ order: orderOf(upload.data), notes: upload.data.notes, state: isLeftOut ? 'skipped' : 'open' });
    } else if (upload.error !== null) {
      tell.current({ failure: upload.error.message });
    }
  }, [tell, upload.data, upload.error]);
  const { file, notes, preview, order } = row;
  const state = stateOf(row, day);
  const set = (changes: Partial<ImportOptions>) =>
    order !== null && onChange({ order: { ...order, allow_errors: 0, ...changes }, preview: undefined, failure: null });
  const bad = preview?.bad_rows?.total ?? 0;
  const leaveOut = (isLeftOut: boolean) => {
    onChange({ state: isLeftOut ? 'skipped' : 'open' });
    if (order !== null) {
      const path = { slug: study.slug, upload: order.upload };
      // Only so that the next batch proposes the same: where it cannot be kept nothing is lost.
      api.PATCH('/studies/{slug}/uploads/{upload}', { params: { path }, body: { leave_out: isLeftOut } }).catch(() => undefined);
    }
  };
  return (
    <tr>
      <td>
        {file.name}
        {notes.map((note) => (
          <Box key={note} sx={{ color: 'text.secondary', typography: 'small' }}>
            {note}
          </Box>
        ))}
        {order !== null && row.state === 'open' && <Looked study={study} order={order} day={day} onChange={onChange} />}
      </td>
      {order === null ? <td colSpan={4} /> : <Choices study={study} order={order} day={day} isOpen={row.state === 'open'} onChange={set} />}
      <Box component="td" sx={{ textAlign: 'right !important', whiteSpace: 'nowrap' }}>
        {preview?.outcome == null ? '·' : whole(preview.outcome.kept)}
      </Box>
      <td>
        <Box component="span" sx={{ fontWeight: 600, color: state === 'problem' || state === 'needs a day' ? 'warning.main' : 'inherit' }}>
          {state}
        </Box>
        {problemsOf(row).map((problem) => (
          <div key={problem}>{problem}</div>
        ))}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -1 }}>
          {row.state === 'open' && bad > 0 && (order?.allow_errors ?? 0) < bad && (
            <Button sx={{ py: 0 }} onClick={() => set({ allow_errors: bad })}>
              {wording.skipBadRows}
            </Button>
          )}
          {row.state === 'open' && preview !== undefined && (
            <Button sx={{ py: 0 }} aria-pressed={isMapped} onClick={onMap}>
              Columns
            </Button>
          )}
          {row.state !== 'sent' && (
            <Button sx={{ py: 0 }} onClick={() => leaveOut(row.state === 'open')}>
              {row.state === 'open' ? 'Skip' : 'Include'}
            </Button>
          )}
        </Box>
      </td>
    </tr>
  );
}

/** What was given last, so that something is told once when it happens and not again with every drawing. */
function useLatest<Value>(value: Value) {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}

/** Has the server look through the file whenever its order changes, and tells what it saw. */
function Looked({
  study,
  order,
  day,
  onChange,
}: {
  study: Study;
  order: ImportOptions;
  day: string;
  onChange: (changes: Partial<BatchFile>) => void;
}) {
  const asked = order.date === null && day !== '' ? { ...order, date: day } : order;
  const { preview, isLooking, error } = usePreview(study.slug, asked);
  const tell = useLatest(onChange);
  useEffect(() => {
    if (!isLooking) {
      tell.current({ preview, failure: error });
    }
  }, [tell, isLooking, preview, error]);
  return null;
}

interface ChoicesProps {
  study: Study;
  order: ImportOptions;
  day: string;
  isOpen: boolean;
  onChange: (changes: Partial<ImportOptions>) => void;
}

function Choices({ study, order, day, isOpen, onChange }: ChoicesProps) {
  const kinds = useQuery(vocabularyQuery()).data?.import_kinds ?? [];
  const fields = kinds.find(({ name }) => name === order.kind)?.fields ?? [];
  const mayLeaveOut = (field: string) => fields.some(({ name, is_required }) => name === field && !is_required);
  const plain = { variant: 'standard', disabled: !isOpen } as const;
  return (
    <>
      <td>
        <TextField
          {...plain}
          select
          value={order.kind}
          slotProps={{ htmlInput: { 'aria-label': 'Kind of file' } }}
          onChange={(event) => onChange({ kind: kinds.find(({ name }) => name === event.target.value)?.name ?? order.kind, mapping: {} })}
        >
          {kinds.map(({ name }) => (
            <MenuItem key={name} value={name}>
              {kindWords(name)}
            </MenuItem>
          ))}
        </TextField>
      </td>
      <td>
        {mayLeaveOut('domain') && (
          <TextField
            {...plain}
            select
            value={order.domain}
            slotProps={{ select: { displayEmpty: true }, htmlInput: { 'aria-label': wording.domainForRowsWithoutOne } }}
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
      </td>
      <td>
        <TextField
          {...plain}
          type="date"
          value={order.date ?? day}
          slotProps={{ htmlInput: { 'aria-label': 'Day' } }}
          onChange={(event) => onChange({ date: event.target.value === '' ? null : event.target.value })}
        />
      </td>
      <td>
        {mayLeaveOut('channel') && (
          <TextField
            {...plain}
            select
            value={order.channel}
            slotProps={{ htmlInput: { 'aria-label': 'Channel' } }}
            onChange={(event) => onChange({ channel: event.target.value === 'paid' ? 'paid' : 'organic' })}
          >
            <MenuItem value="organic">organic</MenuItem>
            <MenuItem value="paid">paid</MenuItem>
          </TextField>
        )}
      </td>
    </>
  );
}
