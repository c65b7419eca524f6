import type { ImportPreview } from '../../api/schema';
import type { ImportOptions } from './order.logic';

/** A file of a batch, as far as it has come. */
export interface BatchFile {
  file: File;
  /** Null while it is being sent. */
  order: ImportOptions | null;
  /** What was read out of its name. */
  notes: string[];
  /** What the server saw in it, by the order that it has now; undefined while it looks. */
  preview: ImportPreview | undefined;
  /** Why it cannot be imported at all. */
  failure: string | null;
  state: 'open' | 'skipped' | 'sent';
}

export type FileState = 'sending' | 'looking' | 'ready' | 'needs a day' | 'problem' | 'skipped' | 'sent';

/** How a file stands: what must happen before it can be imported, if anything. */
export function stateOf({ order, preview, failure, state }: BatchFile, day: string): FileState {
  if (state !== 'open') {
    return state;
  }
  if (failure !== null) {
    return 'problem';
  }
  if (order === null) {
    return 'sending';
  }
  if (preview === undefined) {
    return 'looking';
  }
  if (preview.problem !== null || preview.outcome === null) {
    return 'problem';
  }
  return order.date === null && day === '' ? 'needs a day' : 'ready';
}

/** What stands in the way of a file, in words. */
export function problemsOf({ order, preview, failure }: BatchFile): string[] {
  const bad = preview?.bad_rows?.total ?? 0;
  const nearly = (preview?.nearly ?? []).map(({ header, field }) => `“${header}” is not used; is it ${field.replaceAll('_', ' ')}?`);
  return [
    failure,
    preview?.problem ?? null,
    bad > 0 && (order?.allow_errors ?? 0) < bad ? `${bad} bad ${bad === 1 ? 'row' : 'rows'}` : null,
    ...nearly,
  ].filter((one) => one !== null);
}

/** Files with the same header and kind share one mapping: the places of those that go with a file. */
export function alike(files: BatchFile[], place: number): number[] {
  const key = ({ preview, order }: BatchFile) => (preview === undefined ? '' : JSON.stringify([order?.kind, preview.headers]));
  const chosen = files[place];
  const wanted = chosen === undefined ? '' : key(chosen);
  return files.flatMap((file, at) => (at === place || (wanted !== '' && key(file) === wanted) ? [at] : []));
}

/** A batch in one sentence. */
export function batchWords(states: FileState[]): string {
  const count = (state: FileState) => states.filter((one) => one === state).length;
  const parts: [number, string][] = [
    [count('sent'), 'imported'],
    [count('ready'), 'ready'],
    [count('sending') + count('looking'), 'being read'],
    [count('needs a day'), count('needs a day') === 1 ? 'needs a day' : 'need a day'],
    [count('problem'), count('problem') === 1 ? 'has a problem' : 'have a problem'],
    [count('skipped'), 'skipped'],
  ];
  return parts
    .filter(([number]) => number > 0)
    .map(([number, words]) => `${number} ${words}`)
    .join(', ');
}
