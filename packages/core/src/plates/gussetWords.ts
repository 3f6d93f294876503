import { formatLength, type LengthDisplay } from '../units/length.js';
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
      return `The leg runs into a bend of piece ${no.piece}. It may be ${formatLength(no.most, display, 1, true)} long at most.`;
    case 'off-tube':
      return `The leg runs off the end of piece ${no.piece}. It may be ${formatLength(no.most, display, 1, true)} long at most.`;
  }
}
