import { failure, success, type Result } from '@larchwood/core';

/** Hours as a builder says them: `45 min`, `1 h 30`. */
export function hoursText(hours: number): string {
  const minutes = Math.round((hours * 60) / 5) * 5;
  if (hours === 0) return '0 h';
  if (minutes < 5) return '5 min';
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return `${Math.floor(minutes / 60)} h${rest === 0 ? '' : ` ${String(rest).padStart(2, '0')}`}`;
}

/** A pause in minutes, as a watch tells it: to ten seconds, `40 s`, `1 min 20`. */
export function pauseText(minutes: number): string {
  const seconds = Math.max(10, Math.round((minutes * 60) / 10) * 10);
  if (seconds < 60) return `${seconds} s`;
  return `${Math.floor(seconds / 60)} min${seconds % 60 === 0 ? '' : ` ${seconds % 60}`}`;
}

const FORMS = [
  { form: /^(\d+(?:[.,]\d+)?)\s*(?:h|hours?)?$/i, hours: ([, h]: RegExpExecArray) => num(h) },
  { form: /^(\d+(?:[.,]\d+)?)\s*(?:m|min|minutes?)$/i, hours: ([, m]: RegExpExecArray) => num(m) / 60 },
  {
    form: /^(\d+)\s*(?:h|:)\s*(\d{1,2})\s*(?:m|min)?$/i,
    hours: ([, h, m]: RegExpExecArray) => num(h) + num(m) / 60,
  },
] as const;
const num = (text: string | undefined): number => Number(text!.replace(',', '.'));

/** Reads hours in any of those forms: `1.5`, `90 min`, `1 h 30`, `1:30`. */
export function parseHours(text: string): Result<number> {
  const typed = text.trim();
  for (const { form, hours } of FORMS) {
    const found = form.exec(typed);
    if (!found) continue;
    const value = hours(found);
    if (value > 2000) return failure('At most 2000 hours.');
    return success(value);
  }
  return failure(typed === '' ? 'How long does it take?' : `“${typed}” is no time: 1.5, 90 min or 1 h 30.`);
}
