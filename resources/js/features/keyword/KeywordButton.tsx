import Button from '@mui/material/Button';

/** A keyword in a table, which opens its dossier. */
export function KeywordButton({ keyword, onOpen }: { keyword: string; onOpen: (keyword: string) => void }) {
  return (
    <Button onClick={() => onOpen(keyword)} sx={{ py: 0, px: 0, minWidth: 0, justifyContent: 'flex-start', textAlign: 'left' }}>
      {keyword}
    </Button>
  );
}
