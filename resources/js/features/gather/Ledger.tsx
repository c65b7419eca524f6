import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import type { LedgerRow, Study } from '../../api/schema';
import { domainLetter, DomainShape } from '../keyword/DomainShape';
import { estimate, percent, whole } from '../../shared/format';
import { useRoom } from '../../shared/useRoom';
import { WhyFigure } from '../keyword/WhyFigure';
import { AddDomains } from './AddDomains';
import { Authority } from './Authority';
import { BrandTerms } from './BrandTerms';
import { peerRemark } from './peers.logic';
import { rowActions } from './roles.logic';
import { Timeline } from './Timeline';
import { useDomains } from './useDomains';
import { presses } from '../../theme/measures';
import { commonWording } from '../../shared/wording';

interface Props {
  study: Study;
  rows: LedgerRow[];
  /** A panel stands beside it. */
  isNarrow: boolean;
}

/** Pixels that all columns need side by side, and that the dearest need. */
const wholeWidth = 1120;
const smallWidth = 620;

/** The domains of the study, one row each, with a timeline of their snapshots and what can be done with them. */
export function Ledger({ study, rows, isNarrow: isBeside }: Props) {
  const [place, room] = useRoom<HTMLDivElement>();
  const isNarrow = isBeside || (room > 0 && room < wholeWidth);
  const isSmall = room > 0 && room < smallWidth;
  const [months, setMonths] = useState(12);
  const domains = useDomains(study);
  const first = rows.flatMap((row) => row.snapshots.map((snapshot) => snapshot.day)).sort()[0];
  return (
    <Box ref={place} sx={{ px: isSmall ? 0 : 2, pt: 1, '& .MuiTableCell-root': isSmall ? { px: 0.5 } : {} }}>
      {domains.error !== null && <Alert severity="warning">{domains.error.message}</Alert>}
      <Table size="small" aria-label="Domains" sx={{ '& td.MuiTableCell-alignRight': { whiteSpace: 'nowrap' } }}>
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: isNarrow ? '48%' : '26%' }}>Domain</TableCell>
            <TableCell align="right">Authority</TableCell>
            {!isNarrow && <TableCell align="right">Referring domains</TableCell>}
            {!isSmall && <TableCell align="right">Keywords</TableCell>}
            {!isNarrow && <TableCell align="right">In the top 10</TableCell>}
            <TableCell align="right">{commonWording.visitsAMonth}</TableCell>
            {!isNarrow && <TableCell align="right">Value, {study.currency}</TableCell>}
            <TableCell align="right">{commonWording.shareOfClicks}</TableCell>
            {!isNarrow && (
              <TableCell sx={{ whiteSpace: 'nowrap' }}>
                {first === undefined ? 'Snapshots' : <Span months={months} onChange={setMonths} />}
              </TableCell>
            )}
            {!isNarrow && <TableCell>Newest</TableCell>}
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row, number) => (
            <TableRow key={row.id}>
              <TableCell>
                <Name study={study} row={row} number={number} />
              </TableCell>
              <TableCell align="right">
                <Authority row={row} />
              </TableCell>
              {!isNarrow && <TableCell align="right">{whole(row.referring_domains)}</TableCell>}
              {!isSmall && <TableCell align="right">{whole(row.keywords)}</TableCell>}
              {!isNarrow && <TableCell align="right">{whole(row.first_page)}</TableCell>}
              <TableCell align="right">
                <WhyFigure name={`the visits of ${row.entry}`} explanation={row.why?.visits}>
                  {estimate(row.visits)}
                </WhyFigure>
              </TableCell>
              {!isNarrow && (
                <TableCell align="right">
                  <WhyFigure name={`the value of the visits of ${row.entry}`} explanation={row.why?.value}>
                    {estimate(row.value)}
                  </WhyFigure>
                </TableCell>
              )}
              <TableCell align="right">
                <WhyFigure name={`the share of clicks of ${row.entry}`} explanation={row.why?.share_of_clicks}>
                  {percent(row.share_of_clicks)}
                </WhyFigure>
              </TableCell>
              {!isNarrow && (
                <TableCell>
                  <Timeline snapshots={row.snapshots} months={months} />
                </TableCell>
              )}
              {!isNarrow && <TableCell sx={{ whiteSpace: 'nowrap' }}>{row.snapshots.at(-1)?.day ?? 'none yet'}</TableCell>}
              <TableCell sx={{ p: 0 }}>
                {study.may_edit && <RowMenu row={row} study={study} onChange={domains.compare} onForget={() => domains.forget(row.id)} />}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {study.may_edit && <AddDomains study={study} />}
    </Box>
  );
}

function Name({ study, row, number }: { study: Study; row: LedgerRow; number: number }) {
  return (
    <>
      <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center', flexWrap: 'wrap', minWidth: 0 }}>
        {row.role !== 'candidate' && <DomainShape number={number} />}
        <span>{row.role === 'competitor' ? domainLetter(number) : ''}</span>
        <Box component="span" sx={{ fontWeight: row.role === 'own' ? 700 : 400 }}>
          {row.entry}
        </Box>
        <Box component="span" sx={{ color: 'text.secondary', typography: 'note' }}>
          {row.role === 'candidate' ? 'candidate, not compared' : row.scope === 'registrable' ? 'all hosts' : row.scope}
        </Box>
      </Box>
      <Box sx={{ color: 'text.secondary', typography: 'small', pl: 2.75 }}>
        {row.role !== 'own' && peerRemark(row.peer)}
        {study.may_edit && row.role !== 'candidate' && (
          <Box>
            <BrandTerms study={study} row={row} />
          </Box>
        )}
      </Box>
    </>
  );
}

/** How far back the timeline reaches. */
function Span({ months, onChange }: { months: number; onChange: (months: number) => void }) {
  return (
    <Box role="group" aria-label="Months shown" sx={{ display: 'flex', gap: 0.25, alignItems: 'center' }}>
      Keywords over
      {[6, 12, 18].map((choice) => (
        <Button
          key={choice}
          aria-pressed={months === choice}
          variant={months === choice ? 'outlined' : 'text'}
          onClick={() => onChange(choice)}
          sx={{ minWidth: 0, px: 0.75, py: 0 }}
        >
          {choice}
        </Button>
      ))}
      months
    </Box>
  );
}

function RowMenu({
  row,
  study,
  onChange,
  onForget,
}: {
  row: LedgerRow;
  study: Study;
  onChange: (draft: { domain: string; competitors: string[] }) => void;
  onForget: () => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => setAnchor(null);
  const actions = rowActions(row, study.domain ?? '', study.competitors);
  if (actions.length === 0) {
    return null;
  }
  return (
    <>
      <Button
        aria-label={`What to do with ${row.entry}`}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minWidth: presses.m }}
      >
        ⋯
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {actions.map((action) => (
          <MenuItem
            key={action.title}
            onClick={() => {
              close();
              if (action.draft === null) {
                onForget();
              } else {
                onChange(action.draft);
              }
            }}
          >
            {action.title}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
