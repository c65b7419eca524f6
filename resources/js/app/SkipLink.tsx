import Box from '@mui/material/Box';

/** The list, else a plain table, else all that lies below the head. */
const places = ['main [role="table"]', 'main table', 'main'];

/** The first stop of the Tab key: past everything above, to the list. */
export function SkipLink() {
  return (
    <Box
      component="button"
      type="button"
      className="no-print"
      onClick={() => {
        const list = places.map((place) => document.querySelector<HTMLElement>(place)).find((found) => found !== null);
        if (list !== undefined && !list.hasAttribute('tabindex')) {
          list.tabIndex = -1;
        }
        list?.focus();
      }}
      sx={{
        position: 'absolute',
        left: 8,
        top: -60,
        zIndex: 30,
        px: 1.5,
        py: 0.75,
        bgcolor: 'background.paper',
        color: 'primary.main',
        fontWeight: 700,
        '&:focus': { top: 8 },
      }}
    >
      Skip to the list
    </Box>
  );
}
