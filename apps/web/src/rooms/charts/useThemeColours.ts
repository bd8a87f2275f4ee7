import { useMemo } from 'react';
import { useAppSelector } from '../../state/hooks.ts';

/** Colours of the theme as it is now, by their names, for what is drawn on a canvas. */
export function useThemeColours<const Name extends string>(...names: readonly Name[]): Record<Name, string> {
  const theme = useAppSelector((s) => s.view.theme);
  const asked = names.join(' ');
  return useMemo(() => {
    const style = getComputedStyle(document.documentElement, theme && null);
    return Object.fromEntries(
      asked.split(' ').map((name) => [name, style.getPropertyValue(`--${name}`).trim()]),
    ) as Record<Name, string>;
  }, [theme, asked]);
}
