import { createTheme } from '@mui/material/styles';
import type {} from '@mui/x-data-grid/themeAugmentation';
import { INKS } from './inks';

/** Colours of the drawing office that MUI's palette has no name for. */
export interface OfficePalette {
  rail: string;
  railText: string;
  railActive: string;
  accentGround: string;
  here: string;
  hereGround: string;
  sheet: string;
  sheetInk: string;
  spillsGround: string;
  soft: string;
}

declare module '@mui/material/styles' {
  interface Palette {
    office: OfficePalette;
  }
  interface PaletteOptions {
    office?: OfficePalette;
  }
}

const FIGURES = { fontVariantNumeric: 'tabular-nums' } as const;

/** What stands in the palette more than once: paper, and what is softer than it. */
const LIGHT = { paper: '#fbfaf6', soft: '#f2eee5' } as const;
const DARK = { paper: '#202727', soft: '#1b2222' } as const;

/** The colours of the two schemes, for what cannot be given the page's variables. */
export const SCHEMES = {
  light: {
    palette: {
      primary: { main: INKS.selected, dark: '#0b544e', light: '#3f8f88', contrastText: '#ffffff' },
      background: { default: '#e7e3da', paper: LIGHT.paper },
      text: { primary: '#1f2b2a', secondary: '#566462' },
      divider: '#d9d4c8',
      error: { main: INKS.spills, contrastText: '#ffffff' },
      warning: { main: '#8a580e', contrastText: '#ffffff' },
      success: { main: '#47730d', contrastText: '#ffffff' },
      // Lines between rows; the library's own cannot be seen on our paper.
      TableCell: { border: '#e6e1d5' },
      DataGrid: { bg: LIGHT.paper, headerBg: LIGHT.soft },
      office: {
        rail: '#20302e',
        railText: '#c3cfcc',
        railActive: '#2f423f',
        accentGround: '#dcebe7',
        here: '#e0a458',
        hereGround: '#f0e7d6',
        sheet: '#ffffff',
        sheetInk: '#1f2b2a',
        spillsGround: '#fae4df',
        soft: LIGHT.soft,
      },
    },
  },
  dark: {
    palette: {
      primary: { main: '#5cc2b4', dark: '#8ad6cb', light: '#3d9b8f', contrastText: '#10201e' },
      background: { default: '#171c1c', paper: DARK.paper },
      text: { primary: '#e8eceb', secondary: '#a9b5b2' },
      divider: '#36403f',
      error: { main: '#f08a72', contrastText: '#1d1210' },
      warning: { main: '#e0b160', contrastText: '#1d1710' },
      success: { main: '#a3c76a', contrastText: '#151c0c' },
      TableCell: { border: '#303a39' },
      DataGrid: { bg: DARK.paper, headerBg: DARK.soft },
      office: {
        rail: '#101515',
        railText: '#a9b5b2',
        railActive: '#25302f',
        accentGround: '#1d3935',
        here: '#e0a458',
        hereGround: '#3a2f1d',
        sheet: '#f2eee4',
        sheetInk: '#1f2b2a',
        spillsGround: '#46261f',
        soft: DARK.soft,
      },
    },
  },
};

/** The one theme: light and dark, set up once and nowhere restyled in place. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  spacing: 4,
  shape: { borderRadius: 6 },
  colorSchemes: SCHEMES,
  typography: {
    fontFamily: '"Public Sans", system-ui, sans-serif',
    fontSize: 13,
    htmlFontSize: 16,
    body1: { fontSize: '0.8125rem', lineHeight: 1.5, ...FIGURES },
    body2: { fontSize: '0.8125rem', lineHeight: 1.45, ...FIGURES },
    caption: { fontSize: '0.75rem', lineHeight: 1.4, ...FIGURES },
    button: { fontSize: '0.8125rem', fontWeight: 600, textTransform: 'none' },
    h1: { fontSize: '1.0625rem', fontWeight: 600, lineHeight: 1.3 },
    h2: { fontSize: '0.9375rem', fontWeight: 600, lineHeight: 1.3 },
    h3: { fontSize: '0.6875rem', fontWeight: 600, letterSpacing: '0.06em', textTransform: 'uppercase' },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        // Set, not inherited: where children inherit by name, the browser styles all of them anew whenever anything of their
        // parent changes: ten times the styling for cells that move while a divider is dragged.
        '*, *::before, *::after': { boxSizing: 'border-box' },
        body: { ...FIGURES, overflow: 'hidden' },
        // Lettering on paper inherits nothing from the page: it was measured with the typeface as it is, and PDF and DXF
        // are written with it as it is.
        'svg text': {
          fontFeatureSettings: 'normal',
          fontKerning: 'normal',
          fontStretch: 'normal',
          fontStyle: 'normal',
          fontVariant: 'normal',
          letterSpacing: 'normal',
          textTransform: 'none',
          wordSpacing: 'normal',
        },
        // Who has asked for less motion sees things where they end up, at once.
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': {
            transition: 'none !important',
            animationDuration: '0.01ms !important',
            animationIterationCount: '1 !important',
          },
        },
        // What is printed is the table or the drawing itself, over as many pages as it needs.
        '@media print': {
          '@page': { size: 'A4 landscape', margin: '12mm' },
          'nav, header, button, .MuiButton-root': { display: 'none !important' },
          'html, body, #root, main, main *, #root > *': {
            overflow: 'visible !important',
            height: 'auto !important',
            background: '#ffffff !important',
            color: '#000000 !important',
          },
          section: { breakAfter: 'page', border: '0 !important' },
          'section:last-child': { breakAfter: 'auto' },
          'th, td': { fontSize: '8pt' },
        },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { minHeight: 32, whiteSpace: 'nowrap', flexShrink: 0 } },
    },
    // The arc keeps its length: growing and shrinking it would keep the page busy while it has things to load.
    MuiCircularProgress: { defaultProps: { disableShrink: true } },
    MuiChip: { styleOverrides: { root: { flexShrink: 0 } } },
    MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
    MuiSelect: { defaultProps: { size: 'small' } },
    MuiOutlinedInput: { styleOverrides: { input: { fontSize: '0.8125rem' } } },
    MuiInputLabel: { styleOverrides: { root: { fontSize: '0.8125rem' } } },
    MuiFormHelperText: { styleOverrides: { root: { marginLeft: 0 } } },
    MuiMenuItem: { styleOverrides: { root: { fontSize: '0.8125rem' } } },
    MuiTab: { styleOverrides: { root: { minHeight: 44, textTransform: 'none' } } },
    MuiTooltip: { styleOverrides: { tooltip: { fontSize: '0.75rem' } } },
    MuiToggleButton: {
      styleOverrides: {
        root: ({ theme: { vars } }) => ({
          textTransform: 'none',
          paddingTop: 4,
          paddingBottom: 4,
          // The library's own grey is too pale on our softer grounds.
          '&:not(.Mui-selected)': { color: vars?.palette.text.secondary },
        }),
      },
    },
  },
});
