import { rodFrom, type Rod } from '../proximity/shapes.js';
import type { RiderPlace } from '../rider/place.js';
import { columnEnds, leanOf } from '../steering/columnJoints.js';
import { isRested, REST } from '../steering/made/column.js';
import { toRadians } from '../units/angle.js';
import { add, along, subtract, turn, type Vector } from '../vector/vector.js';
import { onColumn } from './hands.js';
import type { Body, Rods, Standing } from './part.js';

/** The strip round a rest's slot is taken as half so wide, mm. */
const HALF = REST.slot / 2 + REST.metal;
/** An arc is taken in straight bits of no more than this, degrees. */
const BIT = 5;

/** A column's rest, and the column with what is on it at both ends of its slot: none where nothing rests it. */
export interface Rest {
  readonly plate: Rods & Body;
  /** Wheel or bars, at its lowest and its highest; and the column there. */
  readonly hands: readonly Body[];
  readonly columns: readonly Body[];
}

/**
 * What a made column's rest is and lets it reach, for the sweep.
 * @param standing with the parts that are made: slot's radius in mm, its ends in degrees from the ground
 * @param place the driver's
 */
export function restOf({ steering, made = [] }: Standing, place: RiderPlace): Rest | undefined {
  const column = made.find(({ what }) => what === 'column');
  const ends = steering?.ok ? columnEnds(steering.steering.built) : undefined;
  if (!column || !ends || !isRested(column.sizes)) return undefined;
  const { restRadius, restLow, restHigh } = column.sizes;
  const [top, hinge] = ends;
  const leans = leanOf(ends);
  const back = top[0] < hinge[0] ? -1 : 1;
  const onArc = (degrees: number): Vector => {
    const angle = toRadians(degrees);
    return along(hinge, [back * Math.cos(angle), 0, Math.sin(angle)], restRadius!);
  };
  const bits = Math.ceil((restHigh! - restLow!) / BIT);
  const strip = Array.from({ length: bits }, (_, bit): Rod => {
    const at = (index: number) => onArc(restLow! + ((restHigh! - restLow!) * index) / bits);
    return rodFrom(at(bit), at(bit + 1), HALF);
  });
  const at = (words: string, angle: number) => {
    // About the hinge, in the vehicle's own plane; a turn about the y axis brings z to x.
    const swung = (v: Vector): Vector => turn(v, [0, 1, 0], back * (leans - angle));
    return onColumn(place, '', {
      words,
      point: (point) => add(hinge, swung(subtract(point, hinge))),
      direction: swung,
    });
  };
  const both = [at(' at its lowest', restLow!), at(' at its highest', restHigh!)];
  return {
    plate: { name: 'rest of the column', sort: 'metal', moves: {}, at: () => strip },
    hands: both.flatMap(({ hands }) => hands),
    columns: both.flatMap(({ columns }) => columns),
  };
}
