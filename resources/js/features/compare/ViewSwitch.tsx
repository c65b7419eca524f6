import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

const views = { keywords: 'Keywords', pages: 'Pages', movement: 'Movement', 'page-one': 'Page one', advertising: 'Advertising' } as const;

/** What the bench shows: keywords, pages, movement, page one of all, organic beside paid. */
export function ViewSwitch({ view, onChange }: { view: string; onChange: (view: string) => void }) {
  return (
    <Box role="group" aria-label="View" sx={{ display: 'flex' }}>
      {Object.entries(views).map(([key, name]) => (
        <Button key={key} aria-pressed={view === key} variant={view === key ? 'outlined' : 'text'} onClick={() => onChange(key)} sx={{ px: 0.75, minWidth: 0, whiteSpace: 'nowrap' }}>
          {name}
        </Button>
      ))}
    </Box>
  );
}
