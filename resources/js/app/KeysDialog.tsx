import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';

const keys: [string, string][] = [
  ['0', 'what stands out in the study'],
  ['1 … 5', 'go to Gather, Compare, Weigh, Plan, Track'],
  ['Ctrl+K or :', 'go anywhere by typing: studies, stages, views, keywords, lenses'],
  ['j, k or ↓, ↑', 'move down and up the list, or through the cards of Plan'],
  ['Page Down, Page Up, Home, End', 'move in leaps'],
  ['Enter', 'open the dossier of the keyword'],
  ['Esc', 'close the dossier'],
  ['s', 'shortlist the keyword, or take it off; then a reason, if you like; Enter saves it'],
  ['x', 'set the keyword aside, or bring it back; then why'],
  ['v', 'choose the keyword, to decide about many at once'],
  ['b', 'decide about all that is chosen'],
  ['u', 'undo the last decision'],
  ['z, Z', 'undo the last change of the sentence, or make it again'],
  ['f', 'add a clause to the sentence'],
  ['/', 'words in and out'],
  ['n', 'noise: what could go'],
  ['l', 'lenses: sentences worth coming back to'],
  ['t', 'in Weigh: put the page, or a keyword by itself, onto the roadmap'],
  ['e', 'in Weigh: judge the page as a whole'],
  ['a', 'in Plan: what the auto-plan would do'],
  ['o', 'in Plan: what a goal takes'],
  ['w, W', 'in Plan: the next status of the chosen card, or the one before'],
  ['i, y', 'in Plan: who does it, and how many days'],
  ['[, ]', 'in Plan: move the chosen card a month back or on'],
  ['r', 'the rulebook of the study'],
  ['d', 'in Weigh: leave difficulty out, or bring it back'],
  ['g', 'in Weigh: pages, or single keywords'],
  ['p', 'in Weigh: pin above the order, or let go'],
  ['?', 'this list'],
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
