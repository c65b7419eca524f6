import type { Annotation } from '../../api/schema';
import { dashes, inks, Shape, timeOf, Upright, type Frame } from '../../shared/chart';

/** A flag. */
const flag = 'M0 0 L7 3 L0 6 Z';

/** The dated notes on a line over time: a dashed line with a flag, which says the note when pointed at. */
export function NoteMarks({ notes, x, frame }: { notes: Annotation[]; x: (time: number) => number; frame: Frame }) {
  return notes.map((note) => (
    <g key={note.id} role="img" aria-label={`${note.day}: ${note.text}`}>
      <title>{`${note.day}: ${note.text}`}</title>
      <Upright x={x(timeOf(note.day))} top={frame.top} bottom={frame.height - frame.bottom} ink={inks.mark} dash={dashes.long} />
      <Shape path={flag} x={x(timeOf(note.day))} y={frame.top} ink={inks.mark} />
    </g>
  ));
}
