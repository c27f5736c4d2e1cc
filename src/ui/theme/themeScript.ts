/** The chosen theme, kept across visits and set before the first paint. */
export type Theme = 'dark' | 'daylight';

const KEY = 'wandering-halo-theme';

/** Runs in the head of the page; nothing may flash. */
export const THEME_SCRIPT = `try{var t=localStorage.getItem('${KEY}');if(t==='dark'||t==='daylight')document.documentElement.dataset.theme=t}catch(e){}`;

export const currentTheme = (): Theme =>
  document.documentElement.dataset.theme === 'daylight' ? 'daylight' : 'dark';

export function chooseTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  try {
    localStorage.setItem(KEY, theme);
  } catch {
    // A browser that keeps nothing still shows the theme for this visit.
  }
}
