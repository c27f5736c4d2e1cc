'use client';
import { useCallback, useSyncExternalStore } from 'react';
import { chooseTheme, currentTheme, type Theme } from './themeScript';

function onThemeChange(tell: () => void): () => void {
  const watcher = new MutationObserver(tell);
  watcher.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
  return () => watcher.disconnect();
}

/** The theme in force and how to turn it over. */
export function useTheme(): [Theme, () => void] {
  const theme = useSyncExternalStore<Theme>(onThemeChange, currentTheme, () => 'dark');
  const turn = useCallback(() => chooseTheme(theme === 'dark' ? 'daylight' : 'dark'), [theme]);
  return [theme, turn];
}
