import { useSyncExternalStore } from 'react';

/** The theme's colours, for what is drawn outside the style sheet's reach. */
export interface Palette {
  readonly paper: string;
  readonly sheet: string;
  readonly ink: string;
  readonly quiet: string;
  readonly larch: string;
  readonly brick: string;
  readonly steel: string;
  readonly rule: string;
}
/** Bare tube, in both themes. */
export const STEEL = '#b9beb8';

const NAMES = ['paper', 'sheet', 'ink', 'quiet', 'larch', 'brick', 'steel', 'rule'] as const;

const themeOf = () => document.documentElement.dataset.theme ?? 'day';
const watch = (changed: () => void) => {
  const observer = new MutationObserver(changed);
  observer.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
  return () => observer.disconnect();
};
const known = new Map<string, Palette>();

export function usePalette(): Palette {
  const theme = useSyncExternalStore(watch, themeOf);
  let palette = known.get(theme);
  if (!palette) {
    const style = getComputedStyle(document.documentElement);
    palette = Object.fromEntries(
      NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()]),
    ) as unknown as Palette;
    known.set(theme, palette);
  }
  return palette;
}
