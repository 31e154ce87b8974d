import { createTheme } from '@mui/material/styles';

/** Colours that say what a finger does, and those of the drawings; with light and dark values. */
interface DrawingColours {
  /** A finger that stays, and what is chosen. */
  stays: string;
  /** A finger that moves: slides and travels. */
  moves: string;
  /** The same as text, dark enough to read. */
  movesText: string;
  /** What does not fit. */
  misfit: string;
  /** Bars that are only there to compare with. */
  quiet: string;
  /** The neck's wood. */
  wood: string;
  /** Thin lines: frets, strings, borders. */
  rule: string;
  /** Ground of drawings. */
  sheet: string;
  /** Ground of the rail and the side panel. */
  panel: string;
}

declare module '@mui/material/styles' {
  interface Palette {
    draw: DrawingColours;
  }
  interface PaletteOptions {
    draw: DrawingColours;
  }
}

const TEXT = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";

/** As large as a finger, where one points with it. */
export const TOUCHED = { '@media (pointer: coarse)': { minHeight: 44, minWidth: 44 } } as const;

/** Font of shapes, tab and figures that stand in columns. */
export const MONO = "'JetBrains Mono Variable', ui-monospace, monospace";

/** What everything is coloured with, by day and by night. */
export const colorSchemes = {
  light: {
    palette: {
      primary: { main: '#0F5C5C', contrastText: '#FFFFFF' },
      error: { main: '#A8362B' },
      warning: { main: '#8A5312' },
      background: { default: '#FAF7F0', paper: '#FFFDF8' },
      text: { primary: '#1F2A2E', secondary: '#55605F' },
      divider: '#DDD5C4',
      draw: {
        stays: '#0F5C5C',
        moves: '#A5631A',
        movesText: '#8A5312',
        misfit: '#A8362B',
        quiet: '#8A8271',
        wood: '#E9E1CF',
        rule: '#CFC7B4',
        sheet: '#FFFEFA',
        panel: '#F1ECDF',
      },
    },
  },
  dark: {
    palette: {
      primary: { main: '#6CC4BC', contrastText: '#0E1416' },
      error: { main: '#F19083' },
      warning: { main: '#E5AE6C' },
      background: { default: '#12181A', paper: '#1A2225' },
      text: { primary: '#EFEADF', secondary: '#A9B1AE' },
      divider: '#2F3A3D',
      draw: {
        stays: '#6CC4BC',
        moves: '#E0A25A',
        movesText: '#E5AE6C',
        misfit: '#F19083',
        quiet: '#6A7575',
        wood: '#2A3133',
        rule: '#39454A',
        sheet: '#161D20',
        panel: '#1A2225',
      },
    },
  },
};

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-theme' },
  colorSchemes,
  typography: {
    fontFamily: TEXT,
    fontSize: 15,
    h1: { fontSize: '1.6rem', fontWeight: 700, lineHeight: 1.2 },
    h2: { fontSize: '1.05rem', fontWeight: 700 },
    h3: { fontSize: '0.9rem', fontWeight: 700 },
    button: { textTransform: 'none', fontWeight: 700 },
    caption: { fontSize: '0.82rem' },
  },
  shape: { borderRadius: 8 },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      // What is pressed is seen to be: a line in the colour of its words, where it is not filled.
      styleOverrides: {
        root: {
          minHeight: 44,
          '&[aria-pressed="true"]:not(.MuiButton-contained)': { boxShadow: 'inset 0 -3px 0 currentColor' },
        },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: ({ theme }) => ({
          color: theme.vars?.palette.text.primary,
          minHeight: 44,
          '&.Mui-selected, &.Mui-selected:hover': {
            color: theme.vars?.palette.primary.contrastText,
            backgroundColor: theme.vars?.palette.primary.main,
          },
        }),
      },
    },
    MuiInputBase: { styleOverrides: { root: { minHeight: 44 } } },
    MuiIconButton: { styleOverrides: { root: { minWidth: 44, minHeight: 44 } } },
    MuiCheckbox: { styleOverrides: { root: { minWidth: 44, minHeight: 44 } } },
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums' },
        ':focus-visible': { outline: '3px solid var(--mui-palette-draw-moves)', outlineOffset: 2 },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { transition: 'none !important', animation: 'none !important' },
        },
      },
    },
  },
});
