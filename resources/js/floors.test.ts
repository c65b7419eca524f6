import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = import.meta.dirname;

/** From the ground up: a floor knows itself (its own area) and what lies below it. */
const floors = [
  ['api'],
  ['theme'],
  ['testing'],
  ['shared'],
  ['features/session', 'features/study'],
  ['features/keyword', 'features/sentence'],
  ['features/decisions'],
  ['features/dossier'],
  [
    'features/audit',
    'features/compare',
    'features/findings',
    'features/gather',
    'features/people',
    'features/plan',
    'features/rulebook',
    'features/session',
    'features/studies',
    'features/style',
    'features/track',
    'features/weigh',
  ],
  ['app'],
];

const modules = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((path) => /\.tsx?$/.test(path) && path.includes('/'));
const areaOf = (path: string) => (path.startsWith('features/') ? path.split('/').slice(0, 2).join('/') : (path.split('/')[0] ?? ''));
const floorOf = (area: string) => floors.findIndex((floor) => floor.includes(area));

function importsOf(path: string): string[] {
  const text = readFileSync(join(root, path), 'utf8');
  return [...text.matchAll(/(?:from|import) '(\.[^']+)'/g)].map(([, to]) => relative(root, resolve(root, dirname(path), to ?? '')));
}

describe('floors of the front end', () => {
  it('has a floor for every area', () => {
    expect([...new Set(modules.map(areaOf))].filter((area) => floorOf(area) < 0)).toEqual([]);
  });

  it('knows only what lies below', () => {
    const upward = modules.flatMap((path) =>
      importsOf(path)
        .filter((to) => areaOf(to) !== areaOf(path) && floorOf(areaOf(to)) >= floorOf(areaOf(path)))
        .map((to) => `${path} → ${to}`),
    );
    expect(upward).toEqual([]);
  });

  it('has nothing of the job where any application could take its parts from', () => {
    const knowing = modules.filter((path) => path.startsWith('shared/') && importsOf(path).some((to) => areaOf(to) === 'api'));
    expect(knowing).toEqual([]);
  });

  it('has no modules that know each other in a circle', () => {
    const graph = new Map(modules.map((path) => [path.replace(/\.tsx?$/, ''), importsOf(path)]));
    const done = new Set<string>();
    const circles: string[] = [];
    const walk = (path: string, trail: string[]) => {
      if (trail.includes(path)) {
        circles.push([...trail.slice(trail.indexOf(path)), path].join(' → '));
      } else if (!done.has(path)) {
        (graph.get(path) ?? []).forEach((to) => walk(to, [...trail, path]));
        done.add(path);
      }
    };
    [...graph.keys()].forEach((path) => walk(path, []));
    expect(circles).toEqual([]);
  });
});
