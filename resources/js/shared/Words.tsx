import Box from '@mui/material/Box';

/** Figures with the thin spaces of thousands or before a percent sign, at which browsers would end a line. */
const figures = /(\S*\d(?:\u2009(?:\d{3}|%))+)/;

/** A text whose figures stay in one piece where its lines end. */
export function Words({ children }: { children: string | string[] }) {
  const text = typeof children === 'string' ? children : children.join('');
  return text.split(figures).map((part, place) =>
    place % 2 === 0 ? (
      part
    ) : (
      // Figures keep their places: a text is read from its beginning.
      <Box component="span" key={place} sx={{ whiteSpace: 'nowrap' }}>
        {part}
      </Box>
    ),
  );
}
