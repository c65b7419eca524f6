import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { LedgerRow } from '../../api/types';
import { domainLetter, DomainShape } from '../../shared/DomainShape';
import { decimal, estimate, percent, whole } from '../../shared/format';
import { peerRemark } from './peers.logic';

/** The domains of the study, one row each, with a timeline of their snapshots. */
export function Ledger({ rows }: { rows: LedgerRow[] }) {
  const first = rows.flatMap((row) => row.snapshots.map((snapshot) => snapshot.day)).sort()[0];
  return (
    <Box sx={{ px: 2, pt: 1 }}>
      <Table size="small" aria-label="Ledger of domains">
        <TableHead>
          <TableRow>
            <TableCell>Domain</TableCell>
            <TableCell align="right">Authority</TableCell>
            <TableCell align="right">Referring domains</TableCell>
            <TableCell align="right">Keywords</TableCell>
            <TableCell align="right">In the top 10</TableCell>
            <TableCell align="right">Visits a month</TableCell>
            <TableCell align="right">Share of clicks</TableCell>
            <TableCell sx={{ whiteSpace: 'nowrap' }}>Snapshots {first === undefined ? '' : `since ${first}`}</TableCell>
            <TableCell>Newest</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row, number) => (
            <TableRow key={row.id}>
              <TableCell>
                <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
                  {row.role !== 'candidate' && <DomainShape number={number} />}
                  <span>{row.role === 'competitor' ? domainLetter(number) : ''}</span>
                  <Box component="span" sx={{ fontWeight: row.role === 'own' ? 700 : 400 }}>
                    {row.entry}
                  </Box>
                  <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.78rem' }}>
                    {row.role === 'candidate' ? 'candidate, not compared' : row.scope === 'registrable' ? 'all hosts' : row.scope}
                  </Box>
                </Box>
                <Box sx={{ color: 'text.secondary', fontSize: '0.76rem', pl: 2.75 }}>{row.role === 'own' ? '' : peerRemark(row.peer)}</Box>
              </TableCell>
              <TableCell align="right">{decimal(row.authority, 0)}</TableCell>
              <TableCell align="right">{whole(row.referring_domains)}</TableCell>
              <TableCell align="right">{whole(row.keywords)}</TableCell>
              <TableCell align="right">{whole(row.first_page)}</TableCell>
              <TableCell align="right">{estimate(row.visits)}</TableCell>
              <TableCell align="right">{percent(row.share_of_clicks)}</TableCell>
              <TableCell>
                <Timeline snapshots={row.snapshots} />
              </TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{row.snapshots.at(-1)?.day ?? 'none yet'}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** A bar per organic snapshot, its height the number of keywords. */
function Timeline({ snapshots }: { snapshots: LedgerRow['snapshots'] }) {
  const organic = snapshots.filter((snapshot) => snapshot.channel === 'organic').slice(-18);
  const most = Math.max(1, ...organic.map((snapshot) => snapshot.keywords));
  return (
    <Box role="img" aria-label={`${organic.length} snapshots`} sx={{ display: 'flex', alignItems: 'flex-end', gap: '2px', height: 22 }}>
      {organic.map((snapshot) => (
        <Box key={snapshot.day} title={`${snapshot.day}: ${whole(snapshot.keywords)} keywords`} sx={{ width: 6, bgcolor: 'ink.standing.ahead' }} style={{ height: `${(100 * snapshot.keywords) / most}%` }} />
      ))}
    </Box>
  );
}
