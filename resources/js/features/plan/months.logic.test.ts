import { describe, expect, it } from 'vitest';
import type { Roadmap, RoadmapItem } from '../../api/schema';
import { columnsOf, continuedIn, endOf, monthAfter, monthName, neighbour, servesWords } from './months.logic';

const why = { figure: '', rule: '', inputs: [], steps: [], assumptions: [] };
const item = (month: string | null, publishBy: string | null = null): RoadmapItem => ({
  id: 1,
  unit: 'topic',
  name: 'pen',
  lead: 'pen',
  keywords: ['pen'],
  folded: [],
  published_url: null,
  writer_note: null,
  month,
  status: 'planned',
  tactic: 'new page',
  effort_days: 3,
  links_to_earn: null,
  owner: '',
  due: null,
  is_pinned: false,
  brief: {},
  done_month: null,
  version: 1,
  topic: null,
  gain: 0,
  win_chance: null,
  expected_gain: null,
  own_position: null,
  own_url: null,
  publish_by: publishBy,
  is_late: false,
  set_aside: null,
  spread: month === null ? {} : { [month]: 3 },
  why: { effort: why, season: why },
});
const plan = (items: RoadmapItem[]): Roadmap => ({
  start: '2026-11',
  months: 3,
  capacity: 10,
  draft: null,
  plans: [],
  elsewhere: {},
  loads: {},
  items,
  forecast: [],
  why: null,
  conversion_rate: 0.02,
  measured_conversions: 0,
  owners: [],
  value_per_conversion: null,
  assumptions: [],
});

describe('months of a plan', () => {
  it('counts over the turn of the year', () => {
    expect(monthAfter('2026-11', 2)).toBe('2027-01');
    expect(monthAfter('2026-01', -1)).toBe('2025-12');
    expect(monthName('2027-01')).toBe('Jan 2027');
  });

  it('has a column for what waits, for every month, and for findingsside', () => {
    expect(columnsOf(plan([item('2026-09'), item(null)]))).toEqual([null, '2026-09', '2026-11', '2026-12', '2027-01']);
    expect(neighbour([null, '2026-11'], null, 1)).toBe('2026-11');
    expect(neighbour([null, '2026-11'], '2026-11', 1)).toBeUndefined();
  });

  it('shows work that is larger than a month where it goes on', () => {
    const large = { ...item('2027-01', '2027-01'), spread: { '2027-01': 10, '2027-02': 4 } };
    expect(columnsOf(plan([large]))).toContain('2027-02');
    expect(continuedIn([large, item('2027-02')], '2027-02').map((part) => part.days)).toEqual([4]);
    expect(continuedIn([large], '2027-01')).toEqual([]);
    expect(endOf(large)).toBe('2027-02');
  });
});

describe('what a card stands for', () => {
  it('counts the keywords of a page and tells what became of its topic', () => {
    const page = { ...item('2026-12'), topic: 'pen' };
    expect(servesWords(page)).toBe('1 keyword');
    expect(servesWords({ ...page, keywords: ['pen', 'pens'], topic: 'pens' })).toBe('2 keywords; now called “pens”');
    expect(servesWords({ ...page, topic: null })).toBe('no longer a topic of the comparison');
    expect(servesWords({ ...page, unit: 'keyword' })).toBe('single keyword');
    expect(servesWords({ ...page, unit: 'links', links_to_earn: 1 })).toBe('1 link for this page');
    expect(servesWords({ ...page, unit: 'links', links_to_earn: 12 })).toBe('12 links for this page');
  });
});
