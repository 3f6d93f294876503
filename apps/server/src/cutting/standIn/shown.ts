import { readDrawing, type CutItem } from '@larchwood/core';
import { strFromU8 } from 'fflate';

/** A drawing is the piece when its outline is as large, mm. */
const ALIKE = 0.2;

/**
 * Looks whether a file shows the piece that it stands for.
 * @returns what is wrong with it, in words; undefined where nothing is
 */
export const wrongWith = (item: CutItem, file: string, bytes: Uint8Array | undefined): string | undefined => {
  if (bytes === undefined) return `${file} is missing.`;
  const text = strFromU8(bytes);
  return item.form === 'plate' ? wrongDrawing(item, file, text) : wrongSolid(item, file, text);
};

/** Source of the form: ISO 10303-21. */
function wrongSolid({ mark }: CutItem, file: string, text: string): string | undefined {
  if (!/^ISO-10303-21;/.test(text) || !/END-ISO-10303-21;\s*$/.test(text))
    return `${file} is no STEP file, or not all of one.`;
  const [, name] = /\bPRODUCT\s*\(\s*'([^']*)'/.exec(text) ?? [];
  return name?.split(' ')[0] === mark ? undefined : `${file} shows ${name ?? 'nothing'}, not piece ${mark}.`;
}

function wrongDrawing({ size }: CutItem, file: string, text: string): string | undefined {
  const read = readDrawing(text);
  if (!read.ok) return `${file} cannot be read: ${read.message}`;
  const points = read.value.strokes
    .filter(({ layer }) => layer === 'CUT')
    .flatMap(({ from, to }) => [from, to]);
  if (points.length === 0) return `${file} has no outline on the layer CUT.`;
  const wide = ([0, 1] as const).map((axis) => {
    const all = points.map((point) => point[axis]);
    return Math.max(...all) - Math.min(...all);
  });
  return size.every((given, axis) => Math.abs(given - wide[axis]!) <= ALIKE)
    ? undefined
    : `${file} is not as large as the piece was said to be.`;
}
