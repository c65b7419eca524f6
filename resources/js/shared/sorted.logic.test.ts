import { describe, expect, it } from 'vitest';
import { sorted } from './sorted.logic';

const rows = [
  { name: 'wax', clicks: 3 },
  { name: 'hive', clicks: null },
  { name: 'Bee', clicks: 20 },
  { name: 'smoker', clicks: 3 },
];
const names = (dir: string, value: (row: (typeof rows)[number]) => string | number | null) =>
  sorted(rows, value, dir).map(({ name }) => name);

describe('rows in an order', () => {
  it('goes by figures, the unknown last both ways, equals as they were', () => {
    expect(names('asc', (row) => row.clicks)).toEqual(['wax', 'smoker', 'Bee', 'hive']);
    expect(names('desc', (row) => row.clicks)).toEqual(['Bee', 'wax', 'smoker', 'hive']);
  });

  it('goes by names without regard to case', () => {
    expect(names('asc', (row) => row.name)).toEqual(['Bee', 'hive', 'smoker', 'wax']);
  });

  it('leaves the rows that it is given alone', () => {
    names('desc', (row) => row.clicks);
    expect(rows[0]?.name).toBe('wax');
  });
});
