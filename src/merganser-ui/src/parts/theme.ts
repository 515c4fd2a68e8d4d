import { autocompleteClasses } from '@mui/material/Autocomplete';
import { createTheme } from '@mui/material/styles';
import { toggleButtonClasses } from '@mui/material/ToggleButton';
import { toggleButtonGroupClasses } from '@mui/material/ToggleButtonGroup';

/** MUI carries behaviour; the look comes from tokens.css, so that a third scheme for sunlight is only another set of variables. */
export const theme = createTheme({
  cssVariables: true,
  palette: {
    primary: { main: '#0D4B3A' },
    warning: { main: '#7F3D10' },
    error: { main: '#7F3D10' },
    info: { main: '#1F5272' },
  },
  shape: { borderRadius: 6 },
  typography: { fontFamily: 'inherit' },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true, disableTouchRipple: true } },
    MuiCheckbox: {
      styleOverrides: {
        root: {
          width: 48,
          height: 48,
          color: 'var(--edge)',
          '&.Mui-checked': { color: 'var(--green)' },
          '&.Mui-focusVisible': { outline: '3px solid var(--ink)', outlineOffset: 0 },
        },
      },
    },
    MuiToggleButtonGroup: {
      styleOverrides: {
        root: {
          display: 'flex',
          flexWrap: 'wrap',
          gap: 8,
          alignItems: 'center',
          // Each stands by itself: a row may wrap, and targets keep apart.
          [`& .${toggleButtonGroupClasses.grouped}.${toggleButtonClasses.root}`]: {
            margin: 0,
            borderRadius: 6,
            border: '1.5px solid var(--edge)',
            '&.Mui-selected': { borderColor: 'var(--ink)', boxShadow: 'inset 0 -4px 0 var(--ink)' },
          },
        },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: 48,
          minWidth: 48,
          padding: '6px 14px',
          font: "calc(560 + var(--w)) 16px/1.2 'Archivo Variable', sans-serif",
          letterSpacing: 'normal',
          textTransform: 'none',
          color: 'var(--ink)',
          '&, &:hover, &.Mui-selected, &.Mui-selected:hover': { background: 'var(--steel)', color: 'var(--ink)' },
          '&.Mui-disabled': { opacity: 0.5, color: 'var(--ink)' },
        },
      },
    },
    MuiMenuItem: {
      styleOverrides: {
        root: {
          minHeight: 52,
          padding: '14px 4px 0',
          alignItems: 'baseline',
          borderTop: 'var(--hair) solid var(--line)',
          font: "calc(560 + var(--w)) 17px/1.4 'Archivo Variable', sans-serif",
          whiteSpace: 'normal',
          '@media (min-width: 600px)': { minHeight: 52 },
          '&.Mui-focusVisible, &:hover': { background: 'var(--steel)' },
        },
      },
    },
    MuiAutocomplete: {
      styleOverrides: {
        listbox: {
          padding: 0,
          '& [aria-selected="true"]': { background: 'none', fontWeight: 680 },
          [`& .${autocompleteClasses.option}`]: {
            padding: 12,
            borderTop: 'var(--hair) solid var(--line)',
            font: "calc(520 + var(--w)) 16px/1.3 'Archivo Variable', sans-serif",
            minHeight: 48,
            '@media (min-width: 600px)': { minHeight: 48 },
            // The one that Enter takes has a bar at its side, as a row in work has.
            '&.Mui-focused': { background: 'var(--steel)', boxShadow: 'inset 5px 0 0 var(--bill)' },
          },
        },
        popupIndicator: { color: 'var(--ink)' },
        noOptions: { color: 'var(--ink2)' },
      },
    },
    MuiLinearProgress: {
      styleOverrides: {
        root: { height: 10, background: 'var(--line)' },
        bar: { background: 'var(--green)' },
      },
    },
  },
});

export const themes = ['shed', 'sun', 'dark'] as const;
export type ThemeName = (typeof themes)[number];

export const themeWords: Record<ThemeName, string> = { shed: 'Shed', sun: 'Sunlight', dark: 'Dark' };

const KEY = 'merganser-theme';

export function savedTheme(): ThemeName {
  const saved = localStorage.getItem(KEY);
  if (themes.includes(saved as ThemeName)) return saved as ThemeName;
  return window.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'dark' : 'shed';
}

export function wearTheme(name: ThemeName): void {
  document.documentElement.dataset.theme = name;
  localStorage.setItem(KEY, name);
}
