import { createTheme, type ThemeOptions } from '@mui/material/styles';
import { GRAPHITE, PAPER, type Tokens } from './tokens.ts';

declare module '@mui/material/styles' {
  interface Palette {
    tokens: Tokens;
  }
  interface PaletteOptions {
    tokens?: Tokens;
  }
  interface TypographyVariants {
    mono: string;
  }
  interface TypographyVariantsOptions {
    mono?: string;
  }
}

/** Text sizes in px: small print, labels, text, headings, titles. */
export const SIZE = { xs: 11, s: 12, m: 13, l: 15, xl: 20 } as const;

/** The height of fields and buttons in px, so that they line up. */
const FIELD = 32;

/** Chosen for letters that cannot be mistaken for one another: shortcuts are full of I, l, 1, O and 0. */
const TEXT = '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif';
const MONO = '"Atkinson Hyperlegible Mono Variable", ui-monospace, monospace';

/** Our tokens under the names MUI knows, so that its pieces need no colours of their own. */
const palette = (tokens: Tokens): NonNullable<ThemeOptions['palette']> => ({
  background: { default: tokens.background, paper: tokens.sheet },
  text: { primary: tokens.ink, secondary: tokens.soft, disabled: tokens.soft },
  divider: tokens.line,
  primary: { main: tokens.accent, contrastText: tokens.onAccent },
  secondary: { main: tokens.layer, contrastText: tokens.sheet },
  error: { main: tokens.brick, contrastText: tokens.sheet },
  tokens,
});

/** The one theme: both colour schemes, type, shape, and how MUI's pieces look here. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-theme' },
  colorSchemes: { light: { palette: palette(PAPER) }, dark: { palette: palette(GRAPHITE) } },
  defaultColorScheme: 'light',
  shape: { borderRadius: 8 },
  spacing: 4,
  typography: {
    fontFamily: TEXT,
    mono: MONO,
    fontSize: SIZE.m,
    htmlFontSize: 16,
    body1: { fontSize: SIZE.m, lineHeight: 1.4 },
    body2: { fontSize: SIZE.s, lineHeight: 1.4 },
    caption: { fontSize: SIZE.xs, lineHeight: 1.35 },
    h1: { fontSize: SIZE.l, fontWeight: 650, lineHeight: 1.3 },
    h2: { fontSize: SIZE.m, fontWeight: 650, lineHeight: 1.3 },
    h3: { fontSize: SIZE.s, fontWeight: 650, lineHeight: 1.3 },
    button: { fontSize: SIZE.m, fontWeight: 500, textTransform: 'none', lineHeight: 1.3 },
  },
  // Short: one works here all day, and each of these is waited for a thousand times.
  transitions: { duration: { shortest: 80, shorter: 100, short: 120, standard: 150 } },
  components: {
    MuiCssBaseline: {
      styleOverrides: ({ vars }) => ({
        'html, body, #root': { height: '100%' },
        body: { overflow: 'hidden', fontFeatureSettings: '"tnum"' },
        ':focus-visible': { outline: `2px solid ${vars?.palette.tokens.accent}`, outlineOffset: 1 },
        // For those whom movement makes ill (WCAG 2.2, 2.3.3; Media Queries, level 5).
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': {
            animationDuration: '0s !important',
            transitionDuration: '0s !important',
          },
        },
      }),
    },
    // Lines rather than lighter greys for what floats in the dark theme.
    MuiPaper: {
      styleOverrides: {
        root: ({ theme: { vars } }) => ({
          backgroundImage: 'none',
          border: `1px solid ${vars?.palette.divider}`,
        }),
      },
    },
    // No waves under the finger: they tell nothing that the button's own look does not.
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { variant: 'outlined', color: 'inherit', disableElevation: true, size: 'small' },
      styleOverrides: {
        root: ({ theme: { vars } }) => ({
          minHeight: FIELD,
          paddingInline: 12,
          borderColor: vars?.palette.divider,
          backgroundColor: vars?.palette.tokens.sheet,
          color: vars?.palette.text.primary,
          '&:hover': { backgroundColor: vars?.palette.tokens.sunk },
          '&.MuiButton-contained': {
            backgroundColor: vars?.palette.text.primary,
            color: vars?.palette.tokens.sheet,
          },
          '&.MuiButton-contained.Mui-disabled': {
            backgroundColor: vars?.palette.tokens.sunk,
            color: vars?.palette.text.secondary,
          },
        }),
      },
    },
    MuiIconButton: {
      defaultProps: { color: 'inherit', size: 'small' },
      styleOverrides: { root: { borderRadius: 8, width: 32, height: 32 } },
    },
    MuiOutlinedInput: {
      defaultProps: { size: 'small' },
      styleOverrides: {
        root: ({ theme: { vars } }) => ({
          backgroundColor: vars?.palette.tokens.sheet,
          fontSize: SIZE.m,
          minHeight: FIELD,
          '& .MuiOutlinedInput-notchedOutline': { borderColor: vars?.palette.divider },
        }),
        input: { height: 18, paddingBlock: 7, paddingInline: 10 },
      },
    },
    MuiAutocomplete: {
      styleOverrides: {
        inputRoot: {
          '&.MuiOutlinedInput-root.MuiInputBase-sizeSmall': { height: FIELD, paddingBlock: 0 },
          '&.MuiOutlinedInput-root.MuiInputBase-sizeSmall .MuiAutocomplete-input': { paddingBlock: 0 },
        },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: ({ theme: { vars } }) => ({
          minHeight: FIELD,
          paddingBlock: 2,
          paddingInline: 12,
          color: vars?.palette.text.primary,
          borderColor: vars?.palette.divider,
          '&.Mui-selected, &.Mui-selected:hover': {
            backgroundColor: vars?.palette.text.primary,
            color: vars?.palette.tokens.sheet,
          },
          '&.MuiButton-contained.Mui-disabled': {
            backgroundColor: vars?.palette.tokens.sunk,
            color: vars?.palette.text.secondary,
          },
        }),
      },
    },
    // Brick for what went wrong, verdigris for what someone did; the words in ink.
    MuiAlert: {
      styleOverrides: {
        root: ({ theme: { vars }, ownerState: { severity } }) => {
          const calm = severity === 'info' || severity === 'success';
          return {
            color: vars?.palette.text.primary,
            backgroundColor: calm ? vars?.palette.tokens.accentTint : vars?.palette.tokens.brickTint,
            '& .MuiAlert-icon': { color: calm ? vars?.palette.tokens.accent : vars?.palette.tokens.brick },
          };
        },
      },
    },
    MuiMenuItem: { styleOverrides: { root: { fontSize: SIZE.m, minHeight: 32 } } },
  },
});
