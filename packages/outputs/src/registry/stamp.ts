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
    text.replace(/;/, `;\n/* ${stamp.replaceAll('*/', '* /').replace(/[^ -~]/g, '?')} */`),
  svg: (text, stamp) => text.replace('</title>', `</title>\n<desc>${escaped(stamp)}</desc>`),
};

/** The same output, whose files say of which state of the build they are; of paper the title block does. */
export function stamped<O extends Output>(output: O): O {
  const place = PLACES[output.suffix];
  if (!place) return output;
  return {
    ...output,
    make: (source, options, kit) => {
      const put = (made: string | Uint8Array) =>
        typeof made === 'string' ? place(made, stampOf(source)) : made;
      const content = output.make(source, options, kit);
      return typeof content === 'string' ? place(content, stampOf(source)) : content.then(put);
    },
  };
}
