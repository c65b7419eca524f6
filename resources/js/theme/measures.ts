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
  headOfDrawing: '240px',
  lowDrawing: '320px',
  stageDot: '12px',
  /** Of a bar beside a figure. */
  bar: '8px',
  /** Of a list that the whole page scrolls. */
  list: 'max(70dvh, 320px)',
} as const;

/** Marks that are drawn beside words. */
export const marks = { bar: '4px', swatch: '12px', sign: '15px', line: '18px', wide: '40px' } as const;

/** Small buttons in rows, by how many letters they hold. */
export const presses = { s: '28px', m: '32px', l: '36px', xl: '44px' } as const;

/** Fields and columns: a number, a word, a date or two words, a name, a sentence. */
export const fields = { xs: '92px', s: '122px', m: '150px', l: '180px', xl: '260px' } as const;

/** Menus, panels and parts of a page beside others. */
export const parts = { s: '330px', m: '370px', l: '425px', xl: '520px' } as const;

/** How wide words to be read may run: a line, a text, a page of explanations, a sheet with tables. */
export const texts = { line: '460px', text: '600px', page: '740px', sheet: '1070px' } as const;

/** How heavy a line is drawn, in steps of a drawing. */
export const weights = { ours: 2.4, strong: 2, usual: 1.4, light: 1.2 } as const;

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
