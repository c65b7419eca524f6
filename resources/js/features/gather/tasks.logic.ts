import type { Task } from '../../api/schema';
import { whole } from '../../shared/format';

interface ProgressWords {
  words: string;
  /** 0…1, null while it is not known. */
  share: number | null;
}

/** How far a piece of work is, or how it ended, in words. */
export function progressOf(task: Task): ProgressWords {
  const share = task.total === null || task.total === 0 ? null : Math.min(1, task.done / task.total);
  switch (task.status) {
    case 'waiting':
      return { words: task.stage === '' ? 'waiting' : task.stage, share: null };
    case 'running':
      return {
        words: task.cancel_wanted ? 'cancelling' : [task.stage, count(task), remaining(task)].filter((part) => part !== '').join(', '),
        share,
      };
    case 'done':
      return { words: ended(task), share: 1 };
    case 'cancelled':
    case 'failed':
      return { words: task.message, share: null };
  }
}

function count(task: Task): string {
  if (task.done === 0) {
    return '';
  }
  return task.total === null ? `${whole(task.done)} so far` : `${whole(task.done)} of ${whole(task.total)}`;
}

function remaining(task: Task): string {
  if (task.remaining_seconds === null) {
    return '';
  }
  return task.remaining_seconds < 90
    ? `about ${task.remaining_seconds} s left`
    : `about ${Math.round(task.remaining_seconds / 60)} min left`;
}

function ended(task: Task): string {
  const notes = task.result?.outcome?.notes ?? [];
  if (notes.length > 0) {
    return notes.slice(0, 3).join(' ') + (notes.length > 3 ? ` And ${notes.length - 3} more.` : '');
  }
  return task.result?.rows === undefined ? 'done' : `done, ${whole(task.result.rows)} rows kept`;
}
