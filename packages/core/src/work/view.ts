import type { Frame } from '../frame/frame.js';
import { onPlate } from '../frame/plates.js';
import { pointOn } from '../frame/path.js';
import { VIEW_AXES } from '../stance/drag.js';
import type { ViewName } from '../stance/dimension.js';
import type { Vector } from '../vector/vector.js';

const VIEWS: readonly ViewName[] = ['side', 'plan', 'front'];
/** A tube seen from its side counts with so much of its width, mm: a line alone has no area. */
const WIDE = 60;
/** Another view must show so much more before it takes the place of the one before. */
const CLEARER = 1.05;
const SAMPLES = 6;

/**
 * The view that shows pieces and plates largest; all of the frame where none is named.
 * @param wanted their ids
 */
export function clearestView({ pieces, plates }: Frame, wanted: readonly string[]): ViewName {
  const ids = new Set(wanted);
  const all = (id: string) => ids.size === 0 || ids.has(id);
  const points: Vector[] = [
    ...pieces.flatMap((piece) =>
      all(piece.id)
        ? Array.from(
            { length: SAMPLES + 1 },
            (_, at) => pointOn(piece.path, (at / SAMPLES) * piece.length).at,
          )
        : [],
    ),
    ...plates.flatMap((plate) =>
      all(plate.id) ? plate.plate.outline.map((corner) => onPlate(plate, corner)) : [],
    ),
  ];
  const span = (axis: 0 | 1 | 2) => {
    const values = points.map((point) => point[axis]);
    return points.length === 0 ? 0 : Math.max(...values) - Math.min(...values);
  };
  const shown = (name: ViewName) => {
    const [across, up] = VIEW_AXES[name];
    return (span(across) + WIDE) * (span(up) + WIDE);
  };
  return VIEWS.reduce((best, view) => (shown(view) > shown(best) * CLEARER ? view : best));
}
