import { formatLength, INCH, type LengthDisplay } from '../units/length.js';
import type { NoGusset } from './gusset.js';

/** Why a corner takes no gusset, in the build’s units. */
export function noGussetText(no: NoGusset, display: LengthDisplay): string {
  switch (no.why) {
    case 'no-corner':
      return 'These two tubes do not meet in a corner: no gusset fits.';
    case 'in-bend':
      return `The corner lies in a bend of piece ${no.piece}: no gusset fits there.`;
    case 'beside':
      return `Piece ${no.piece} lies beside the plane of the gusset: its edge would touch no wall.`;
    case 'into-bend':
      return `The leg runs into a bend of piece ${no.piece}. ${atMost(no.most, display)}`;
    case 'off-tube':
      return `The leg runs off the end of piece ${no.piece}. ${atMost(no.most, display)}`;
  }
}

/** The most that is taken when it is typed: rounded down to a whole mark of the tape. */
function atMost(most: number, display: LengthDisplay): string {
  const step =
    display.length === 'mm' ? 1 : display.length === 'inch' ? INCH / 100 : INCH / display.denominator;
  const marks = Math.floor(most / step + 1e-6);
  return marks > 0
    ? `It may be ${formatLength(marks * step, display)} long at most.`
    : 'There is no room for one.';
}
