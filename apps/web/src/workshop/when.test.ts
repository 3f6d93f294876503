import { expect, it } from 'vitest';
import { whenInWords } from './when';

it('tells how long ago a build was saved, as people say it', () => {
  const now = Date.parse('2026-11-28T12:00:00Z');
  const at = (iso: string) => whenInWords(iso, now);
  expect(at('2026-11-28T11:59:40Z')).toBe('just now');
  expect(at('2026-11-28T11:57:00Z')).toBe('3 minutes ago');
  expect(at('2026-11-27T11:00:00Z')).toBe('yesterday');
  expect(at('2026-11-10T12:00:00Z')).toBe('3 weeks ago');
});
