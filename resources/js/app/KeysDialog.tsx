import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';

const keys: [string, string][] = [
  ['0', 'open the findings'],
  ['1 … 5', 'go to Gather, Compare, Weigh, Plan, Track'],
  ['Ctrl+K or :', 'open the command box: studies, stages, views, keywords, lenses'],
  ['j, k or ↓, ↑', 'move down and up the list, or between cards in Plan'],
  ['Page Down, Page Up, Home, End', 'move by page, or to the start or end'],
  ['Enter', 'open the keyword’s dossier'],
  ['Esc', 'close the dossier'],
  ['s', 'shortlist the keyword, or remove it; then a reason, if you like (Enter saves it)'],
  ['x', 'set the keyword aside, or restore it; then a reason'],
  ['v', 'select the keyword, to change many at once'],
  ['b', 'act on all selected keywords'],
  ['u', 'undo the last decision'],
  ['z, Z', 'undo or redo the last change of the sentence'],
  ['f', 'add a clause to the sentence'],
  ['/', 'include or exclude words'],
  ['n', 'noise: brands, codes and names you could hide'],
  ['l', 'lenses: saved sentences'],
  ['t', 'in Weigh: add the page, or a single keyword, to the roadmap'],
  ['e', 'in Weigh: set fit, tags and notes for the whole page'],
  ['a', 'in Plan: propose a plan'],
  ['o', 'in Plan: plan for a goal'],
  ['w, W', 'in Plan: next or previous status of the selected card'],
  ['i, y', 'in Plan: owner and days'],
  ['[, ]', 'in Plan: move the selected card a month earlier or later'],
  ['r', 'open the study’s rulebook'],
  ['d', 'in Weigh: hide or show difficulty'],
  ['g', 'in Weigh: switch between pages and keywords'],
  ['p', 'in Weigh: pin to the top, or unpin'],
  ['?', 'show this list'],
];

export function KeysDialog({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog open={isOpen} onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent role="group" tabIndex={0} aria-labelledby="keys-title">
        <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, rowGap: 0.75, m: 0 }}>
          {keys.map(([key, what]) => (
            <Box key={key} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {key}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {what}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
