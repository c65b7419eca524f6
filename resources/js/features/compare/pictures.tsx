import type { Combination, Standing } from '../../api/schema';
import { across, amountScale, Drawing, inks, type Frame } from '../../shared/chart';
import { domainLetter, shapePath, useDomainInk } from '../keyword/DomainShape';

export const standingOrder: readonly Standing[] = ['gap', 'behind', 'level', 'ahead', 'alone', 'unclaimed'];

const line = 18;
const standingInk = (standing: Standing) => `var(--mui-palette-ink-standing-${standing})`;

/** The overlap as a picture that stands by itself: a row per exact combination, shapes with letters, bars with counts. */
export function OverlapPicture({ combinations, domains }: { combinations: Combination[]; domains: string[] }) {
  const [top, left] = [24 + domains.length * line, 24 + domains.length * line];
  const size = { width: left + 400, height: top + 20 + combinations.length * line };
  const frame: Frame = { ...size, left, right: 80, top, bottom: 0 };
  const x = amountScale(Math.max(1, ...combinations.map((row) => row.keywords)), across(frame));
  return (
    <Drawing label="Overlap" frame={frame}>
      {domains.map((domain, number) => (
        <g key={domain}>
          <Mark number={number} isPresent x={18} y={20 + number * line} />
          <text x={32} y={24 + number * line}>
            {`${number === 0 ? '' : `${domainLetter(number)} `}${domain}`}
          </text>
        </g>
      ))}
      {combinations.map((row, index) => {
        const y = top + 10 + index * line;
        return (
          <g key={row.combination}>
            {domains.map((domain, number) => (
              <Mark
                key={domain}
                number={number}
                isPresent={Math.floor(row.combination / 2 ** number) % 2 === 1}
                x={18 + number * line}
                y={y}
              />
            ))}
            <rect
              x={left}
              y={y - 5}
              width={x(row.keywords) - left}
              height={9}
              fill={row.combination % 2 === 1 ? inks.main : standingInk('gap')}
            />
            <text x={x(row.keywords) + 6} y={y + 4}>
              {row.keywords}
            </text>
          </g>
        );
      })}
    </Drawing>
  );
}

function Mark({ number, isPresent, x, y }: { number: number; isPresent: boolean; x: number; y: number }) {
  const ink = useDomainInk()(number);
  return <path d={shapePath(number)} transform={`translate(${x} ${y})`} fill={isPresent ? ink : 'none'} stroke={ink} strokeWidth={1} />;
}

const bar: Frame = { width: 700, height: 78, left: 10, right: 10, top: 12, bottom: 48 };
const nameWidth = 115;

/** The standings in proportion, each with its name and count below its part. */
export function StandingPicture({ standings }: { standings: Partial<Record<Standing, number>> }) {
  const counts = standingOrder.map((standing) => standings[standing] ?? 0);
  const before = counts.map((_, index) => counts.slice(0, index).reduce((sum, count) => sum + count, 0));
  const all = counts.reduce((sum, count) => sum + count, 0);
  const x = amountScale(Math.max(1, all), across(bar));
  return (
    <Drawing label="Standings" frame={bar}>
      {standingOrder.map((standing, index) => {
        const [count, from] = [counts[index] ?? 0, before[index] ?? 0];
        return (
          <g key={standing} fill={standingInk(standing)}>
            <rect x={x(from)} y={bar.top} width={x(from + count) - x(from)} height={18} />
            <rect x={bar.left + index * nameWidth} y={60} width={24} height={5} />
            <text x={bar.left + index * nameWidth} y={54}>{`${standing} ${count}`}</text>
          </g>
        );
      })}
    </Drawing>
  );
}
