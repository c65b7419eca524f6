import { measures } from './measures';
import { createTheme } from '@mui/material/styles';

/** Calm paper and ink: everything that gives the screens their look stands here, once. */

const text = '"Atkinson Hyperlegible Next Variable", "Atkinson Hyperlegible Next", system-ui, sans-serif';
const serif = '"Fraunces Variable", Fraunces, Georgia, serif';

interface Inks {
  hairline: string;
  faint: string;
  wash: string;
  standing: Record<'gap' | 'behind' | 'level' | 'ahead' | 'alone' | 'unclaimed', string>;
  domains: string[];
}

declare module '@mui/material/styles' {
  interface Palette {
    ink: Inks;
  }
  interface PaletteOptions {
    ink?: Inks;
  }
  interface TypographyVariants {
    figure: React.CSSProperties;
    stage: React.CSSProperties;
    fine: React.CSSProperties;
    small: React.CSSProperties;
    note: React.CSSProperties;
    dense: React.CSSProperties;
    plain: React.CSSProperties;
    large: React.CSSProperties;
    huge: React.CSSProperties;
  }
  interface TypographyVariantsOptions {
    figure?: React.CSSProperties;
    stage?: React.CSSProperties;
    fine?: React.CSSProperties;
    small?: React.CSSProperties;
    note?: React.CSSProperties;
    dense?: React.CSSProperties;
    plain?: React.CSSProperties;
    large?: React.CSSProperties;
    huge?: React.CSSProperties;
  }
}

declare module '@mui/material/Typography' {
  interface TypographyPropsVariantOverrides {
    figure: true;
    stage: true;
    fine: true;
    small: true;
    note: true;
    dense: true;
    plain: true;
    large: true;
    huge: true;
  }
}

const lightInk: Inks = {
  hairline: '#d8d1bf',
  faint: '#8b8f83',
  wash: '#efeadd',
  standing: { gap: '#c2571a', behind: '#dd9c6d', level: '#b9b7a4', ahead: '#7fb0a4', alone: '#1f6f63', unclaimed: '#ded8c8' },
  domains: ['#12302d', '#7a4b8c', '#2f6690', '#8a6a12', '#a03b4a', '#4c7a2b', '#5b5f97', '#9c5518', '#2c7a7b', '#6d4c41', '#44546a'],
};

const darkInk: Inks = {
  hairline: '#33453f',
  faint: '#8ea39b',
  wash: '#1e2f2c',
  standing: { gap: '#f0935a', behind: '#b06f45', level: '#6c7a70', ahead: '#4c8a7e', alone: '#76c7b7', unclaimed: '#2c3f3b' },
  domains: ['#f3eee0', '#c9a2dc', '#8ebde0', '#dcbd62', '#eb93a0', '#a5cf84', '#b0b4ea', '#e5a56c', '#7fd0d0', '#c9a99c', '#a9bbd2'],
};

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: {
    light: {
      palette: {
        background: { default: '#f8f5ed', paper: '#fdfbf6' },
        text: { primary: '#12302d', secondary: '#4d625e' },
        primary: { main: '#1c6b5f', contrastText: '#fdfbf6' },
        warning: { main: '#b84e14', contrastText: '#fdfbf6' },
        error: { main: '#9c2f2f' },
        divider: lightInk.hairline,
        ink: lightInk,
      },
    },
    dark: {
      palette: {
        background: { default: '#14211f', paper: '#192926' },
        text: { primary: '#efe9da', secondary: '#b3c1b9' },
        primary: { main: '#76c7b7', contrastText: '#14211f' },
        warning: { main: '#f0935a', contrastText: '#14211f' },
        error: { main: '#ee9a92' },
        divider: darkInk.hairline,
        ink: darkInk,
      },
    },
  },
  shape: { borderRadius: 3 },
  spacing: 8,
  typography: {
    fontFamily: text,
    fontSize: 14,
    h1: { fontFamily: serif, fontSize: '1.9rem', fontWeight: 520, letterSpacing: '-0.01em' },
    h2: { fontFamily: serif, fontSize: '1.3rem', fontWeight: 520 },
    h3: { fontFamily: serif, fontSize: '1.02rem', fontWeight: 560 },
    body1: { fontSize: '0.95rem' },
    body2: { fontSize: '0.86rem' },
    caption: { fontSize: '0.78rem', lineHeight: 1.35 },
    button: { textTransform: 'none', fontWeight: 600 },
    stage: { fontFamily: serif, fontSize: '1.05rem', fontWeight: 560 },
    // The scale of sizes beside the named kinds: a size alone, all else is as around it.
    fine: { fontSize: '0.62rem' },
    small: { fontSize: '0.75rem' },
    note: { fontSize: '0.79rem' },
    dense: { fontSize: '0.86rem' },
    plain: { fontSize: '0.92rem' },
    large: { fontSize: '1.15rem' },
    huge: { fontSize: '3rem' },
    figure: { fontFamily: text, fontSize: '0.88rem', fontVariantNumeric: 'tabular-nums' },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'lining-nums', overflowY: 'auto' },
        ':focus-visible': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: 1 },
        '@media (prefers-reduced-motion: reduce)': { '*': { transition: 'none !important', animation: 'none !important' } },
        '@media print': {
          body: { background: 'none' },
          '.no-print': { display: 'none !important' },
          // What scrolls on the screen lies open on paper.
          'html, body, main, .on-paper': { height: 'auto !important', minHeight: '0 !important', overflow: 'visible !important' },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { size: 'small', disableElevation: true },
      styleOverrides: { root: { paddingInline: 12, minHeight: measures.target } },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    // What is closed is gone at once: a key that is pressed right after goes to the list below and not into what fades.
    MuiMenu: { defaultProps: { transitionDuration: 0 } },
    MuiPopover: {
      defaultProps: { transitionDuration: 0 },
      styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)', boxShadow: '0 10px 30px rgb(18 48 45 / 0.16)' } },
    },
    MuiDialog: {
      defaultProps: { transitionDuration: 0 },
      styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)' } },
    },
    MuiDialogTitle: { styleOverrides: { root: { fontFamily: serif, fontSize: '1.3rem', fontWeight: 520 } } },
    MuiTextField: { defaultProps: { size: 'small', variant: 'outlined' } },
    MuiSelect: { defaultProps: { size: 'small' } },
    MuiTooltip: {
      defaultProps: { enterDelay: 500, describeChild: true },
      styleOverrides: {
        tooltip: {
          backgroundColor: 'var(--mui-palette-text-primary)',
          color: 'var(--mui-palette-background-default)',
          fontSize: '0.8rem',
          fontWeight: 400,
          lineHeight: 1.5,
        },
      },
    },
    MuiTableCell: {
      styleOverrides: {
        root: { padding: '6px 10px', borderColor: 'var(--mui-palette-divider)', fontSize: '0.86rem' },
        head: { fontWeight: 600, color: 'var(--mui-palette-text-secondary)' },
      },
    },
    MuiAlert: { styleOverrides: { root: { border: '1px solid currentColor' } } },
  },
});

/** Row height of every list, in pixels: eighteen rows stand on a screen of 800. */
export const rowHeight = 30;

/** Row height where a person wants the rows closer together. */
export const denseRowHeight = 24;
