import { createTheme, ThemeProvider, useMediaQuery, type Components } from '@mui/material';
import { useLayoutEffect, useMemo, type ReactNode } from 'react';
import { useSettings } from '../store/settings-store.ts';

const COLOURS = {
  light: {
    paper: '#fefdf9',
    page: '#f7f4ec',
    ink: '#1d2a35',
    faint: '#566169',
    water: '#2b777e',
    signal: '#b8471a',
  },
  dark: {
    paper: '#1c2933',
    page: '#141e27',
    ink: '#ece6d8',
    faint: '#a9b3b8',
    water: '#7fc6c9',
    signal: '#ff9d6b',
  },
} as const;
type Colours = (typeof COLOURS)['light' | 'dark'];

/** Fields are lines to write on, as that of the computation is, with their names over them. */
function fieldsOf(c: Colours): Components {
  return {
    MuiTextField: {
      defaultProps: { variant: 'standard', slotProps: { inputLabel: { shrink: true } } },
    },
    MuiInputLabel: {
      styleOverrides: {
        root: {
          position: 'static',
          transform: 'none',
          fontSize: 12.5,
          lineHeight: 1.35,
          color: c.faint,
          '&.Mui-focused': { color: c.ink },
        },
      },
    },
    MuiInput: {
      styleOverrides: {
        root: {
          'label + &&': { marginTop: 0 },
          '&::before': { borderBottom: `2px dotted ${c.ink}` },
          '&:hover:not(.Mui-disabled, .Mui-error)::before': {
            borderBottom: `2px dotted ${c.water}`,
          },
          '&::after': { borderBottomColor: c.water, transition: 'none' },
        },
        input: { padding: '3px 2px 4px' },
      },
    },
  };
}

/** The controls' look. Paper, page, ink and faint are those of `tokens.css`; water and signal lie between two of theirs. */
function themeOf(mode: 'light' | 'dark') {
  const c = COLOURS[mode];
  return createTheme({
    palette: {
      mode,
      primary: { main: c.ink },
      secondary: { main: c.water },
      warning: { main: c.signal },
      background: { default: c.page, paper: c.paper },
      text: { primary: c.ink, secondary: c.faint },
    },
    shape: { borderRadius: 4 },
    typography: {
      fontFamily: "'Figtree Variable', 'Segoe UI', sans-serif",
      button: { textTransform: 'none', fontWeight: 500 },
      h6: { fontFamily: "'Literata Variable', Georgia, serif" },
    },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: { defaultProps: { disableElevation: true } },
      MuiMenu: { defaultProps: { transitionDuration: 0 } },
      MuiDialog: { defaultProps: { transitionDuration: 0 } },
      ...fieldsOf(c),
      MuiSvgIcon: { defaultProps: { fontSize: 'small' } },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            padding: '3px 10px',
            color: c.ink,
            '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: c.ink, color: c.page },
          },
        },
      },
    },
  });
}

/** Light or dark, as she chose or as her device says. */
export function Appearance({ children }: { readonly children: ReactNode }) {
  const wish = useSettings((settings) => settings.theme);
  const deviceDark = useMediaQuery('(prefers-color-scheme: dark)');
  const mode = wish === 'system' ? (deviceDark ? 'dark' : 'light') : wish;
  const theme = useMemo(() => themeOf(mode), [mode]);
  useLayoutEffect(() => {
    document.documentElement.dataset['theme'] = mode;
  }, [mode]);
  return <ThemeProvider theme={theme}>{children}</ThemeProvider>;
}
