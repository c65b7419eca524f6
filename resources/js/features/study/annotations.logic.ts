import type { Annotation } from '../../api/schema';

/** The notes that lie within some days, both ends included. */
export function notesWithin(notes: Annotation[], days: string[]): Annotation[] {
  const sorted = [...days].sort();
  const [first, last] = [sorted[0], sorted.at(-1)];
  return first === undefined || last === undefined ? [] : notes.filter(({ day }) => day >= first && day <= last);
}

/** What the notes since the day before say at a day of a line, in words; empty where there are none. */
export function notesAt(notes: Annotation[], days: string[], day: string): string {
  const before = days
    .filter((other) => other < day)
    .sort()
    .at(-1);
  return notes
    .filter((note) => note.day <= day && (before === undefined ? note.day === day : note.day > before))
    .map((note) => `${note.day} ${note.text}`)
    .join('; ');
}
