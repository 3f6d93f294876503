/** Figures are kept to a thousandth of a millimetre or a degree: a hundred times finer than anything that is measured. */
const DECIMALS = 3;
/** Ids and marks tell what a figure is of; words for people are others' concern. */
const ID = /^[A-Za-z0-9._:>~-]{1,40}$/;
const WORDS = new Set([
  'name',
  'about',
  'title',
  'text',
  'note',
  'check',
  'meaning',
  'feel',
  'formula',
  'source',
]);

/**
 * Plain data as text, one element of a list a line, for files of figures that were found right once and are kept: whatever
 * changes one of them by more than a thousandth shows as a changed line.
 * @param data what is told, by a name for each part
 */
export function figuresText(data: Readonly<Record<string, unknown>>): string {
  const lines = Object.entries(data).flatMap(([key, value]) =>
    Array.isArray(value)
      ? [`${key} ${value.length}`, ...value.map((each, index) => `${key}.${index} ${told(each)}`)]
      : [`${key} ${told(value)}`],
  );
  return `${lines.join('\n')}\n`;
}

function told(value: unknown): string {
  if (typeof value === 'number') return String(Number(value.toFixed(DECIMALS)) || 0);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return ID.test(value) ? value : '~';
  if (Array.isArray(value)) return `(${value.map(told).join(' ')})`;
  if (value === null || typeof value !== 'object') return '-';
  return Object.entries(value)
    .filter(([key, each]) => !WORDS.has(key) && typeof each !== 'function')
    .map(([key, each]) => `${key}=${told(each)}`)
    .join(' ');
}
