import Box from '@mui/material/Box';
import type { RulebookPreview } from '../../api/schema';
import { estimate, whole } from '../../shared/format';
import { placesMoved } from './rulebook.logic';
import { about, sources } from '../../shared/abouts';
import { HeadingRow } from '../../shared/HeadingRow';

const moveWords = ({ keywords, from, to }: RulebookPreview['horizons'][number]) =>
  `${whole(keywords)} from ${from ?? 'unknown'} to ${to ?? 'unknown'}`;

/** What a change would move: horizons, the gain of all, and the first twenty now and then side by side. */
export function PreviewPart({ preview }: { preview: RulebookPreview }) {
  const moved = preview.horizons.reduce((sum, change) => sum + change.keywords, 0);
  const isAlike = preview.before.join() === preview.after.join();
  return (
    <Box role="status" aria-label="Effect of this change" sx={{ bgcolor: 'ink.wash', px: 2, py: 1, mt: 0.5, typography: 'dense' }}>
      <div>
        {moved === 0
          ? `No horizon changes among ${whole(preview.keywords)} opportunities.`
          : `${whole(moved)} of ${whole(preview.keywords)} opportunities change their horizon: ` +
            `${preview.horizons.map(moveWords).join(', ')}.`}{' '}
        Total gain: {estimate(preview.gain.before)} now, {estimate(preview.gain.after)} then.
      </div>
      {preview.not_shown.length > 0 && <div>This setting changes the comparison itself. You’ll see its effect after you save it.</div>}
      {isAlike ? (
        <div>The top 20 stay the same.</div>
      ) : (
        <Box
          component="table"
          aria-label="Top 20 before and after"
          sx={{ mt: 0.5, '& td, & th': { pr: 4, textAlign: 'left', fontWeight: 'inherit' }, '& th': { fontWeight: 600 } }}
        >
          <HeadingRow headings={headings} />
          <tbody>
            {placesMoved(preview.before, preview.after).map((row) => (
              <tr key={row.place}>
                <td>{row.place}</td>
                <td>{row.leaves ? <s>{row.now}</s> : row.now}</td>
                <td>{row.isNew ? <strong>{row.then}</strong> : row.then}</td>
                <td>{row.moved}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
    </Box>
  );
}

const headings = [
  '',
  { name: 'Now', about: about('Current keyword at this rank.', '', 'the saved settings') },
  { name: 'Then', about: about('Keyword at this rank after the change.', '', 'the settings you typed') },
  { name: 'Moved', about: about('How many ranks it moves up or down.', 'places', sources.rules) },
] as const;
