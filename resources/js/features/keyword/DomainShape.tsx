import { useTheme } from '@mui/material/styles';

/** A domain is told by its shape and letter everywhere; its colour only supports them. Ours is the filled diamond. */

const paths: string[] = [
  'M0 -6 L6 0 L0 6 L-6 0 Z',
  'M-5 0 A5 5 0 1 1 5 0 A5 5 0 1 1 -5 0 Z',
  'M-4.5 -4.5 H4.5 V4.5 H-4.5 Z',
  'M0 -5.5 L5.2 4 L-5.2 4 Z',
  'M-2.8 -5 H2.8 L5.6 0 L2.8 5 H-2.8 L-5.6 0 Z',
  'M-1.6 -5 H1.6 V-1.6 H5 V1.6 H1.6 V5 H-1.6 V1.6 H-5 V-1.6 H-1.6 Z',
  'M0 5.5 L5.2 -4 L-5.2 -4 Z',
  'M0 -5.5 L5.2 -1.7 L3.2 4.5 L-3.2 4.5 L-5.2 -1.7 Z',
  'M-5.5 -2.2 H5.5 V2.2 H-5.5 Z',
  'M-2.2 -5.5 H2.2 V5.5 H-2.2 Z',
  'M0 -6 L1.8 -1.8 L6 0 L1.8 1.8 L0 6 L-1.8 1.8 L-6 0 L-1.8 -1.8 Z',
];

export function shapePath(number: number): string {
  return paths[number % paths.length] ?? '';
}

export function domainLetter(number: number): string {
  return number === 0 ? '◆' : String.fromCharCode(64 + number);
}

export function useDomainInk(): (number: number) => string {
  const { vars, palette } = useTheme();
  return (number) => (vars ?? { palette }).palette.ink.domains[number] ?? palette.text.primary;
}

interface Props {
  number: number;
  isPresent?: boolean;
  size?: number;
}

export function DomainShape({ number, isPresent = true, size = 14 }: Props) {
  const ink = useDomainInk()(number);
  return (
    <svg width={size} height={size} viewBox="-7 -7 14 14" aria-hidden="true">
      <path d={shapePath(number)} fill={isPresent ? ink : 'none'} stroke={ink} strokeWidth={1.2} opacity={isPresent ? 1 : 0.45} />
    </svg>
  );
}
