import { madeOf, type MadeOne } from '../../steering/made/registry.js';
import { parts, stage } from '../stage.js';
import { stance } from './stance.js';
import { steering } from './steering.js';

/** Parts of the front end that the builder makes: their sizes, what they come to, and their outlines. */
export const made = stage(
  'made',
  { document: parts('steering', 'seat'), stance, steering },
  ({ document, stance: on, steering: linked }): readonly MadeOne[] =>
    linked?.ok && document.steering
      ? madeOf(document.steering.made, {
          stance: on,
          steering: linked.steering,
          tyreGap: document.seat.gaps.tyre,
        })
      : [],
);
