import { describe, expect, it } from 'vitest';
import type { Task } from '../../api/schema';
import { progressOf } from './tasks.logic';

const task: Task = {
  id: 1,
  kind: 'import',
  status: 'running',
  title: 'a.csv',
  stage: 'reading rows',
  done: 0,
  total: null,
  remaining_seconds: null,
  message: '',
  result: null,
  cancel_wanted: false,
  at: '',
  finished_at: null,
};

describe('progress', () => {
  it('tells stage, count and remaining time as far as they are known', () => {
    expect(progressOf(task)).toEqual({ words: 'reading rows', share: null });
    expect(progressOf({ ...task, done: 20000 }).words).toBe('reading rows, 20,000 so far');
    expect(progressOf({ ...task, done: 3, total: 12, remaining_seconds: 40 })).toEqual({
      words: 'reading rows, 3 of 12, about 40 s left',
      share: 0.25,
    });
    expect(progressOf({ ...task, done: 3, total: 12, remaining_seconds: 240 }).words).toContain('about 4 min left');
  });

  it('tells how it ended', () => {
    expect(progressOf({ ...task, status: 'failed', message: 'Line 3 is bad.' }).words).toBe('Line 3 is bad.');
    expect(progressOf({ ...task, status: 'done', result: { rows: 1200 } }).words).toBe('done, 1,200 rows kept');
    expect(progressOf({ ...task, status: 'waiting', stage: '' }).words).toBe('waiting');
    expect(progressOf({ ...task, cancel_wanted: true }).words).toBe('cancelling');
  });

  it('tells what it waits for, and how far it is at most', () => {
    expect(progressOf({ ...task, status: 'waiting', stage: 'waits for the one before' })).toEqual({
      words: 'waits for the one before',
      share: null,
    });
    expect(progressOf({ ...task, done: 15, total: 10 }).share).toBe(1);
    expect(progressOf({ ...task, done: 15, total: 0 }).share).toBeNull();
    expect(progressOf({ ...task, status: 'cancelled', message: 'Cancelled by Edda.' })).toEqual({
      words: 'Cancelled by Edda.',
      share: null,
    });
  });

  it('tells seconds up to a minute and a half, then minutes', () => {
    expect(progressOf({ ...task, remaining_seconds: 89 }).words).toBe('reading rows, about 89 s left');
    expect(progressOf({ ...task, remaining_seconds: 90 }).words).toBe('reading rows, about 2 min left');
  });

  it('tells three notes of what came of it, and how many more there are', () => {
    const done = (notes: string[]) => progressOf({ ...task, status: 'done', result: { rows: 5, outcome: { notes } } as Task['result'] });
    expect(done(['A.', 'B.', 'C.'])).toEqual({ words: 'A. B. C.', share: 1 });
    expect(done(['A.', 'B.', 'C.', 'D.', 'E.']).words).toBe('A. B. C. And 2 more.');
    expect(done([]).words).toBe('done, 5 rows kept');
    expect(progressOf({ ...task, status: 'done' }).words).toBe('done');
  });
});
