import type { Combination, Standing } from '../../api/schema';
import { domainLetter, shapePath } from '../keyword/DomainShape';
import { svg, text } from '../../shared/picture.logic';

export const standingOrder: readonly Standing[] = ['gap', 'behind', 'level', 'ahead', 'alone', 'unclaimed'];

const ink = '#12302d';
const standingInks: Record<Standing, string> = {
  gap: '#c2571a',
  behind: '#dd9c6d',
  level: '#b9b7a4',
  ahead: '#7fb0a4',
  alone: '#1f6f63',
  unclaimed: '#ded8c8',
};

/** The overlap as a picture that stands by itself: a row per exact combination, shapes with letters, bars with counts. */
export function overlapPicture(combinations: Combination[], domains: string[]): string {
  const largest = Math.max(1, ...combinations.map((row) => row.keywords));
  const top = 24 + domains.length * 18;
  const left = 24 + domains.length * 18;
  const legend = domains
    .map(
      (domain, number) =>
        shape(number, true, 18, 20 + number * 18) +
        text(32, 24 + number * 18, `${number === 0 ? '' : `${domainLetter(number)} `}${domain}`),
    )
    .join('');
  const rows = combinations.map((row, index) => {
    const y = top + 10 + index * 18;
    const marks = domains
      .map((_, number) => shape(number, Math.floor(row.combination / 2 ** number) % 2 === 1, 18 + number * 18, y))
      .join('');
    const width = (320 * row.keywords) / largest;
    return (
      `${marks}<rect x="${left}" y="${y - 5}" width="${width.toFixed(1)}" height="9" ` +
      `fill="${row.combination % 2 === 1 ? '#1c6b5f' : '#c2571a'}"/>${text(left + width + 6, y + 4, String(row.keywords))}`
    );
  });
  return svg(left + 400, top + 20 + combinations.length * 18, legend + rows.join(''));
}

function shape(number: number, isPresent: boolean, x: number, y: number): string {
  return (
    `<path d="${shapePath(number)}" transform="translate(${x} ${y})" fill="${isPresent ? ink : 'none'}" stroke="${ink}" ` +
    `stroke-width="1"/>`
  );
}

/** The standings in proportion, each with its name and count below its part. */
export function standingPicture(standings: Partial<Record<Standing, number>>): string {
  const all = Math.max(
    1,
    standingOrder.reduce((sum, standing) => sum + (standings[standing] ?? 0), 0),
  );
  let x = 10;
  const parts = standingOrder.map((standing, index) => {
    const width = (680 * (standings[standing] ?? 0)) / all;
    const part =
      `<rect x="${x.toFixed(1)}" y="12" width="${width.toFixed(1)}" height="18" ` +
      `fill="${standingInks[standing]}"/>${text(10 + index * 115, 54, `${standing} ${standings[standing] ?? 0}`)}<rect ` +
      `x="${10 + index * 115}" y="60" width="24" height="5" fill="${standingInks[standing]}"/>`;
    x += width;
    return part;
  });
  return svg(700, 78, parts.join(''));
}
