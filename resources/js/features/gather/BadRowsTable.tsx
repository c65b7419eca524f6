import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { BadRows } from '../../api/schema';
import { whole } from '../../shared/format';
import { about } from '../../shared/abouts';
import { HeadingRow } from '../../shared/HeadingRow';
import { fields } from '../../theme/measures';
import { wording } from './wording';

interface Props {
  badRows: BadRows;
  isAllowed: boolean;
  onAllow: () => void;
}

/** Every bad row with where it is and what is wrong; nothing is kept unless a person lets them go. */
export function BadRowsTable({ badRows, isAllowed, onAllow }: Props) {
  return (
    <>
      <Alert
        severity="warning"
        action={
          isAllowed ? undefined : (
            <Button color="inherit" onClick={onAllow}>
              {wording.skipBadRows}
            </Button>
          )
        }
      >
        {isAllowed
          ? `${whole(badRows.total)} bad rows will be skipped.`
          : `${whole(badRows.total)} bad ${badRows.total === 1 ? 'row' : 'rows'}. Nothing is imported until you fix the ` +
            `file or skip bad rows.`}
      </Alert>
      <Box sx={{ maxHeight: fields.l, overflow: 'auto', mt: 1 }} tabIndex={0} aria-label="Bad rows" role="region">
        <Box
          component="table"
          sx={{
            typography: 'note',
            borderCollapse: 'collapse',
            width: '100%',
            '& td, & th': { textAlign: 'left', px: 1, py: 0.25, borderBottom: 1, borderColor: 'divider' },
          }}
        >
          <HeadingRow headings={headings} />
          <tbody>
            {badRows.rows.slice(0, 200).map((row, index) => (
              <tr key={index}>
                <td>{row.line}</td>
                <td>{row.column}</td>
                <td>{row.value}</td>
                <td>{row.reason}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </>
  );
}

const inFile = 'the file, read with this mapping';

const headings = [
  { name: 'Line', about: about('Line number in the file, counting the header.', '', inFile) },
  { name: 'Column', about: about('Column with the problem.', '', inFile) },
  { name: 'Value', about: about('The value in the file.', '', inFile) },
  { name: 'Problem', about: about('What is wrong and what is allowed.', '', 'the rules for this kind of file') },
];
