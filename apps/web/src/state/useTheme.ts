import { useEffect } from 'react';
import { useDispatch } from 'react-redux';
import { type Theme, themeChosen } from './viewSlice.ts';
import { useAppSelector } from './hooks.ts';

const KEY = 'lattice-theme';

/** The theme last chosen in this browser, or what the system prefers. */
export function firstTheme(): Theme {
  try {
    const kept = localStorage.getItem(KEY);
    if (kept === 'day' || kept === 'evening') return kept;
  } catch {
    // A browser that keeps nothing follows the system.
  }
  return window.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'evening' : 'day';
}

/** The theme in force, and how to choose the other. Keeps the page and the browser's memory in step. */
export function useTheme(): [Theme, () => void] {
  const theme = useAppSelector((s) => s.view.theme);
  const dispatch = useDispatch();
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  const toggle = () => {
    const next = theme === 'day' ? 'evening' : 'day';
    dispatch(themeChosen(next));
    try {
      localStorage.setItem(KEY, next);
    } catch {
      // Chosen for this visit only.
    }
  };
  return [theme, toggle];
}
