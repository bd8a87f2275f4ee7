import { Moon, Sun } from 'lucide-react';
import { Button } from '../../design/controls/Button.tsx';
import { useTheme } from '../../state/useTheme.ts';

/** Between daylight and the light of an evening. */
export function ThemeButton() {
  const [theme, toggle] = useTheme();
  return (
    <Button aria-label={theme === 'day' ? 'Evening light' : 'Daylight'} onPress={toggle}>
      {theme === 'day' ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
    </Button>
  );
}
