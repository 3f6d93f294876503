import type { Piece } from '../frame/frame.js';
import { acrossOf } from '../frame/sections.js';
import { onPlate, type PlacedPlate } from '../frame/plates.js';
import { rodsAlong } from '../frame/rods.js';
import { rodFrom, type Rod } from '../proximity/shapes.js';
import { positionsAt } from '../steering/pose.js';
import { moved, type Positions } from '../steering/chain.js';
import type { LinkagePart } from '../steering/linkage.js';
import type { Steering } from '../steering/steering.js';
import {
  add,
  cross,
  distance,
  dot,
  length,
  squareTo,
  subtract,
  turn,
  type Vector,
} from '../vector/vector.js';
import { nameInText } from '../words.js';
import type { Body, Pair, Pose, Rods, Standing } from './part.js';

/** Half thicknesses of a linkage's parts until they are made, mm. Common practice, no source. */
const HALF = { rod: 8, arm: 6, shaft: 10 } as const;
/** An arm is fastened to what lies so near to its root, mm. */
const AT_ROOT = 45;
/** A tube that holds a shaft lies along it: nearer than this, mm, and turned no more than so much. */
const CARRIES = { away: 15, cosine: 0.985 } as const;

type LinkageBody = Rods &
  Body & {
    /** What it is fastened to, or runs in, does not count. */
    readonly touches: (piece: Piece) => boolean;
    /** It stands beside the wheel that it turns, on a leg of its fork. */
    readonly besideWheel: boolean;
  };
interface PartOfLinkage {
  readonly as: LinkagePart['as'];
  /** Where it is when the bodies of the linkage have gone so far. */
  readonly when: (positions: Positions) => Rod;
}

/** Rods, arms and shafts of a linkage as they move with the steering; of twins both are one. */
export function linkageBodies(
  { built, sweep }: Pick<Steering, 'built' | 'sweep'>,
  pieces: readonly Piece[],
): readonly (LinkageBody & PartOfLinkage)[] {
  const { chain, parts, points } = built;
  const wheels = Object.values(chain.wheels);
  const placeOf = (name: string, positions: Positions): Vector => {
    const { body, at } = points[name]!;
    return body === undefined ? at : moved(chain, { body, at }, positions);
  };
  const carriers = (start: Vector, end: Vector) =>
    pieces.filter((piece) => carries(piece, start, end)).map(({ member }) => member.id);
  return parts.map(({ id, name, as, from, to }) => {
    const made = pieces.find(({ member }) => member.id === `steering-${id.replace(/Right$/, 'Left')}`);
    const half = made?.section.shape === 'round' ? made.section.diameter / 2 : HALF[as];
    const still = points[from]!.body === undefined && points[to]!.body === undefined;
    const [start, end] = [points[from]!.at, points[to]!.at];
    const when = (positions: Positions) => rodFrom(placeOf(from, positions), placeOf(to, positions), half);
    return {
      // The steering's own, not of a side: the nearer of two twins is told.
      name: nameInText(name).replace(/^(left|right) /, ''),
      sort: 'metal',
      moves: still ? {} : { steer: true },
      at: ({ steer }) => [when(positionsAt(sweep, wheels, steer))],
      ...{ as, when, ofLinkage: true },
      // A shaft turns where it stands: what holds it may come as near as it likes.
      ...(as === 'shaft' && still ? { wanted: 0 } : {}),
      touches: (piece) =>
        as === 'shaft'
          ? carries(piece, start, end) ||
            endsOn(piece, carriers(start, end)) ||
            (still && standsIn(piece, start, end))
          : as === 'arm' && nearPiece(piece, start) < AT_ROOT,
      besideWheel: as === 'arm' && points[to]!.body === 'fork',
    };
  });
}

/** Tubes and plates of a made fork, which turn with their wheel. */
export function forkBodies({ stance, steering, frame }: Standing): readonly LinkageBody[] {
  const wheel = stance.steered[0];
  if (!wheel || stance.steered.length !== 1 || !steering?.ok) return [];
  const turning = (name: string, rods: ReturnType<typeof rodsAlong>) => ({
    name: nameInText(name),
    sort: 'metal' as const,
    moves: { steer: true } as const,
    at: ({ steer }: Pose) =>
      rods.map(({ from, to, radius }) => {
        const about = (at: Vector) =>
          add(wheel.axisPoint, turn(subtract(at, wheel.axisPoint), wheel.axis, steer));
        return rodFrom(about(from), about(to), radius);
      }),
  });
  const carried = (from: Vector, to: Vector) => frame.pieces.filter((each) => carries(each, from, to));
  const steerer = frame.pieces.find(({ member }) => member.id === 'steering-fork-steerer');
  const heads = steerer ? carried(steerer.start, steerer.end) : [];
  const plates = frame.plates
    .filter(({ plate }) => /^steering-fork-(lower|upper)$/.test(plate.id))
    .map((plate) => ({
      ...turning(plate.name, edgeOf(plate)),
      // Bearings stand between it and the head tube.
      touches: (other: Piece) => heads.includes(other),
      besideWheel: false,
    }));
  const tubes = frame.pieces
    .filter(({ member }) => member.id.startsWith('steering-fork'))
    .map((piece): LinkageBody => ({
      ...turning(piece.member.name, rodsAlong(piece)),
      // A steerer runs in its head tube, and what is cut to fit that stops at its outside.
      touches: (other) => {
        const head = frame.pieces.filter(
          (each) => carries(each, piece.start, piece.end) && piece.side === 'middle',
        );
        return (
          head.includes(other) ||
          endsOn(
            other,
            head.map(({ member }) => member.id),
          )
        );
      },
      besideWheel: true,
    }));
  return [...tubes, ...plates];
}

/** A plate's edge has at most so many straight bits where it is swept. */
const BITS = 16;

/** The edge of a plate as rods as thick as it is; what a plate meets, it meets there. */
function edgeOf(plate: PlacedPlate): ReturnType<typeof rodsAlong> {
  const { outline, thickness } = plate.plate;
  const step = Math.max(1, Math.ceil(outline.length / BITS));
  const corners = outline.filter((_, index) => index % step === 0).map((at) => onPlate(plate, at));
  return corners.map((from, index) => ({
    from,
    to: corners[(index + 1) % corners.length]!,
    radius: thickness / 2,
  }));
}

/** A linkage against tubes, tyres, the ground and what of the riders is given. */
export function linkagePairs(
  bodies: readonly LinkageBody[],
  tubes: readonly { readonly piece: Piece; readonly body: Body }[],
  wheels: readonly Body[],
  ground: Body,
): Pair[] {
  return bodies.flatMap((body) => [
    { a: body, b: ground },
    ...tubes
      .filter(({ piece }) => !body.touches(piece))
      .map(({ body: tube }): Pair => ({ a: body, b: tube })),
    ...(body.besideWheel ? [] : wheels.map((wheel): Pair => ({ a: body, b: wheel }))),
  ]);
}

function carries({ direction, start }: Piece, from: Vector, to: Vector): boolean {
  const way = subtract(to, from);
  if (Math.abs(dot(way, direction)) < CARRIES.cosine * length(way)) return false;
  return length(squareTo(subtract(from, start), direction)) < CARRIES.away;
}

/** Whether an end of a shaft stands in a tube: it is fastened there, as a pivot is in a spine. */
const standsIn = (piece: Piece, start: Vector, end: Vector): boolean =>
  [start, end].some((at) => nearPiece(piece, at) < acrossOf(piece.section) / 2);

/** Whether a piece is cut to fit one of these members: it stops at its outside. */
const endsOn = ({ member: { ends } }: Piece, members: readonly string[]): boolean =>
  [ends.start, ends.end].some(
    (end) => end.cut === 'coped' && end.hosts.some(({ member }) => members.includes(member)),
  );

/** Distance of a point from a piece's straight line between its nodes, mm. */
function nearPiece({ start, end }: Piece, at: Vector): number {
  const way = subtract(end, start);
  const share = Math.min(1, Math.max(0, dot(subtract(at, start), way) / dot(way, way)));
  return share === 0 || share === 1
    ? distance(at, share === 0 ? start : end)
    : length(cross(subtract(at, start), way)) / length(way);
}
