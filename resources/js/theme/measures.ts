/** Lengths that features take, by what they are for; spaces between are steps of the theme's spacing. */
export const measures = {
  /** What is pressed is at least so high (WCAG 2.2, 2.5.8). */
  target: '24px',
  heading: '26px',
  hair: '1px',
  split: '2px',
  /** A sign stands a little below the line of its word. */
  sunk: '-2px',
  sunkLittle: '-1px',
  sign: '16px',
  position: '30px',
  worth: '150px',
  worthOnPaper: '120px',
  progress: '160px',
  name: '210px',
  field: 'minmax(200px, 430px)',
  card: 'minmax(210px, 1fr)',
  half: 'minmax(330px, 1fr)',
  narrowPart: '220px',
  part: '380px',
  widePart: '420px',
  /** Above a drawing that fills the window. */
  headOfDrawing: '270px',
  lowDrawing: '320px',
  stageDot: '12px',
  /** Of a list that the whole page scrolls. */
  list: 'max(70dvh, 320px)',
} as const;

/** Shown where the focus is and the element draws nothing of its own. */
export const focusRing = { outline: '2px solid var(--mui-palette-primary-main)' } as const;

export const lines = {
  hair: '1px solid var(--mui-palette-divider)',
  sign: '1px solid currentColor',
  dashed: '1px dashed',
  drop: '3px dashed',
  selected: 'inset 3px 0 0 var(--mui-palette-primary-main)',
} as const;

const stripes = (angle: number, one: string, from: number, other: string, to: number) =>
  `repeating-linear-gradient(${angle}deg, ${one} 0 ${from}px, ${other} ${from}px ${to}px)`;

/** Parts of a bar that are told apart by their pattern, too. */
export const patterns = {
  warm: stripes(135, 'var(--mui-palette-warning-main)', 3, 'var(--mui-palette-ink-standing-behind)', 6),
  upright: stripes(90, 'var(--mui-palette-ink-standing-level)', 2, 'transparent', 4),
  slanted: stripes(45, 'var(--mui-palette-primary-main)', 2, 'transparent', 5),
  level: stripes(0, 'var(--mui-palette-text-primary)', 1, 'transparent', 4),
} as const;
