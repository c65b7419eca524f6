import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

interface Props {
  /** Key of each view and its name. */
  views: Record<string, string>;
  view: string;
  onChange: (view: string) => void;
}

/** Which view of the same rows is shown. */
export function ViewSwitch({ views, view, onChange }: Props) {
  return (
    <Box role="group" aria-label="View" sx={{ display: 'flex', flexWrap: 'wrap' }}>
      {Object.entries(views).map(([key, name]) => (
        <Button
          key={key}
          aria-pressed={view === key}
          variant={view === key ? 'outlined' : 'text'}
          onClick={() => onChange(key)}
          sx={{ px: 0.75, minWidth: 0, whiteSpace: 'nowrap' }}
        >
          {name}
        </Button>
      ))}
    </Box>
  );
}
