import { createTheme } from '@mui/material/styles';

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
        root: { width: 48, height: 48, color: 'var(--edge)', '&.Mui-checked': { color: 'var(--green)' } },
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
