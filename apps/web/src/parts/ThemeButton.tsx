import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { IconButton } from './Button';

/** Day shop or night shop; kept in this browser. */
export function ThemeButton() {
  const [theme, setTheme] = useState(() => document.documentElement.dataset.theme ?? 'day');
  const other = theme === 'night' ? 'day' : 'night';
  const turn = () => {
    document.documentElement.dataset.theme = other;
    localStorage.setItem('larchwood:theme', other);
    setTheme(other);
  };
  return (
    <IconButton name={other === 'night' ? 'Night shop' : 'Day shop'} onClick={turn}>
      {other === 'night' ? <Moon size={17} aria-hidden /> : <Sun size={17} aria-hidden />}
    </IconButton>
  );
}
