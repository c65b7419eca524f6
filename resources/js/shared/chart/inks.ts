/** What drawings are drawn with; the scheme that they stand in says which colour that is. */
export const inks = {
  main: 'var(--mui-palette-primary-main)',
  text: 'var(--mui-palette-text-primary)',
  quiet: 'var(--mui-palette-text-secondary)',
  hairline: 'var(--mui-palette-divider)',
  mark: 'var(--mui-palette-warning-main)',
} as const;

export const dashes = { none: undefined, short: '3 3', long: '5 4', dots: '1 4', mixed: '9 3 2 3' } as const;

/** Size of letters in a drawing, in its own units. */
export const letters = 11;

export const diamond = 'M0 -5 L5 0 L0 5 L-5 0 Z';
