import { plainInDxf } from '../dxf.js';
import { escaped } from '../svg.js';
import { stampOf } from './edition.js';
import type { Output } from './output.js';

/** Where a text format has a place for a remark. A table of values has none: there the file's name says it alone. */
const PLACES: Readonly<Record<string, (text: string, stamp: string) => string>> = {
  // A comment is a group of its own. Source: the DXF reference, group code 999, from memory.
  dxf: (text, stamp) => `999\n${plainInDxf(stamp)}\n${text}`,
  // Source: ISO 10303-21, comments between tokens.
  step: (text, stamp) =>
    text.replace(';', () => `;\n/* ${stamp.replaceAll('*/', '* /').replace(/[^ -~]/g, '?')} */`),
  svg: (text, stamp) => text.replace('</title>', () => `</title>\n<desc>${escaped(stamp)}</desc>`),
};

/** A text with its stamp, where its format has a place for one. */
export const withStamp = (suffix: string, text: string, stamp: string): string =>
  PLACES[suffix]?.(text, stamp) ?? text;

/** The same output, whose files say of which state of the build they are; of paper the title block does. */
export const stamped = (output: Output): Output => ({
  ...output,
  make: (source, options, kit) => {
    const put = (text: string) => withStamp(output.suffix, text, stampOf(source));
    const made = output.make(source, options, kit);
    return typeof made === 'string'
      ? put(made)
      : made.then((content) => (typeof content === 'string' ? put(content) : content));
  },
});
