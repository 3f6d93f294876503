const STEPS: readonly (readonly [unit: Intl.RelativeTimeFormatUnit, seconds: number])[] = [
  ['year', 31_556_952],
  ['month', 2_629_746],
  ['week', 604_800],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
];
const WORDS = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });

/** How long ago something was, in words: `3 minutes ago`, `yesterday`. */
export function whenInWords(iso: string, now: number): string {
  const seconds = (Date.parse(iso) - now) / 1000;
  const step = STEPS.find(([, size]) => Math.abs(seconds) >= size);
  return step ? WORDS.format(Math.round(seconds / step[1]), step[0]) : 'just now';
}
