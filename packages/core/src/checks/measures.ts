import type { BuildDocument } from '@larchwood/format';
import { keysOf, type KeyId, type KeyPoint, type Keys } from '../fixture/keys.js';
import { measurerOf, type Measurer } from '../fixture/outcomes.js';
import { fixedPart } from '../frame/apart.js';
import type { Frame } from '../frame/frame.js';
import type { Stance } from '../stance/stance.js';
import type { Quantity } from '../units/quantity.js';
import { add, cross, dot, scale, subtract, unit } from '../vector/vector.js';
import { nameInText } from '../words.js';
import type { MeasuringList } from './list.js';
import { ListMaker } from './listMaker.js';
import { CORNERS, measuringPoints, standsAcross } from './points.js';
import { TOLERANCES, type Tolerance } from './tolerances.js';
import { setOffOf } from './setOff.js';
import { sprockets, strings } from './strings.js';

/** What a list is made of. */
export interface Measurable {
  readonly document: Pick<BuildDocument, 'frame' | 'checks' | 'units'>;
  readonly stance: Stance;
  readonly frame: Frame;
}

/** The key points and what follows from them, of the part of a frame that is built as one. */
export function measurerFor({ document, stance, frame }: Measurable): {
  readonly keys: Keys;
  readonly measurer: Measurer;
} {
  const keys = keysOf(stance, fixedPart(document, frame));
  return { keys, measurer: withCentring(measurerOf(stance, keys), keys) };
}

/** Where the rear end lies between the sides of a frame with a seat tube: beside the plane of its main tubes. */
function withCentring(measurer: Measurer, keys: Keys): Measurer {
  if (!keys.bottomBracket || !keys.seatTop || !keys.headLower) return measurer;
  const { bottomBracket, seatTop, headLower, axleLeft, axleRight } = keys;
  return {
    ...measurer,
    definitions: [
      ...measurer.definitions,
      { id: 'centring', name: 'Rear end beside the main frame', quantity: 'length', symmetry: true },
    ],
    at: (places) => {
      const at = (key: KeyPoint | undefined) => places[key!.id] ?? key!.at;
      const foot = at(bottomBracket);
      const left = unit(cross(subtract(at(seatTop), foot), subtract(at(headLower), foot)));
      const middle = scale(add(at(axleLeft), at(axleRight)), 0.5);
      return [...measurer.at(places), dot(subtract(middle, foot), left) * (left[1] < 0 ? -1 : 1)];
    },
  };
}

/**
 * The measuring list of a build: diagonals, pairs, angles, heights and what stands on its wheels, with what the tool shall
 * read and how far it may be off; and the builder's own.
 */
export function measuringList(from: Measurable): MeasuringList {
  const { document, stance, frame: whole } = from;
  const frame = fixedPart(document, whole);
  const { keys, measurer } = measurerFor(from);
  const points = measuringPoints(document, stance, frame, keys);
  const list = new ListMaker(points, document.checks?.tolerances ?? {});
  if (stance.steered.length === 1) singleTrack(list, keys);
  else twoKingpins(list);
  corners(list);
  for (const { id, name } of frame.pieces.filter(standsAcross)) hoop(list, id, nameInText(name));
  donors(list, frame);
  outcomes(list, stance, keys, measurer);
  strings(list, stance, document.units);
  sprockets(list);
  const lost = own(list, document.checks?.own ?? []);
  const { measures, comparisons } = list;
  const setOff = setOffOf(document.checks, measures, points, keys);
  return { points, measures, comparisons, lost, ...(setOff ? { setOff } : {}) };
}

/** One head tube: rear end between the sides, twist, lengths of the front triangle. */
function singleTrack(list: ListMaker, keys: Keys): void {
  const twins = (from: string) =>
    [
      [from, 'axleLeft'],
      [from, 'axleRight'],
    ] as const;
  const sprung = keys.axleLeft!.name.startsWith('Swing');
  list.distance('spacing', 'axleLeft', 'axleRight', TOLERANCES.spacing, 'plan', 'caliper');
  if (!sprung) facing(list);
  const centred = sprung ? 'Pivot between the sides' : 'Rear end between the sides';
  list.pair('centring', `${centred}, by the head tube`, twins('headLower'), TOLERANCES.centring);
  if (keys.seatTop)
    list.pair('centringSeat', `${centred}, by the seat tube`, twins('seatTop'), TOLERANCES.centring);
  else list.pair('centringUpper', `${centred}, by the head’s top`, twins('headUpper'), TOLERANCES.centring);
  const bracket = keys.rearBracket ? 'rearBracket' : 'bottomBracket';
  list.pair('stays', 'Chainstays, left more than right', twins(bracket), TOLERANCES.centring);
  list.tube('head', 'Head tube', 'headLower', 'headUpper');
  list.tube('seat', 'Seat tube', 'bottomBracket', 'seatTop');
  list.compare('twist', 'Head tube against seat tube', ['lean.head', 'lean.seat'], TOLERANCES.twist);
  list.distance('downTube', 'bottomBracket', 'headLower', TOLERANCES.length);
  list.distance('bracketToHead', 'bottomBracket', 'headUpper', TOLERANCES.length);
  list.distance('topTube', 'seatTop', 'headUpper', TOLERANCES.length);
  list.distance('headTube', 'headLower', 'headUpper', TOLERANCES.length);
  for (const id of ['headLower', 'headUpper', 'seatTop', 'axleLeft', 'axleRight'] as const) list.beside(id);
  for (const id of ['axleLeft', 'axleRight', 'bottomBracket', 'headLower'] as const) list.height(id);
  list.compare(
    'axleHeights',
    `${sprung ? 'Pivot' : 'Rear axle'}, left higher than right`,
    ['height.axleLeft', 'height.axleRight'],
    TOLERANCES.height,
  );
}

/** Dropouts face to face: as far apart at one edge as at the other, both ways. */
function facing(list: ListMaker): void {
  const spacing = list.measures.find(({ id }) => id === 'spacing');
  if (!spacing) return;
  const { nominal } = spacing;
  for (const [id, [one, other]] of Object.entries(FACING)) {
    for (const edge of [one, other])
      list.add(
        `faces.${edge}`,
        {
          name: `Between the dropouts’ faces: ${edge} edge`,
          about: 'Inside caliper on both inner faces, at the same edge of both, clear of the slot.',
          ...{ as: 'gap', points: [], tolerance: TOLERANCES.spacing, tool: 'caliper', view: 'plan' },
        },
        { nominal },
      );
    list.compare(
      `faces.${id}`,
      `Dropouts out of parallel, ${one} more than ${other}`,
      [`faces.${one}`, `faces.${other}`],
      TOLERANCES.parallel,
    );
  }
}
const FACING = { ahead: ['front', 'rear'], upright: ['upper', 'lower'] } as const;

/** A flat frame on its own outline on the floor, turned over: what it is off shows twice. */
function turnedOver(list: ListMaker): void {
  for (const end of ['front', 'rear'] as const)
    list.add(`turned.${end}`, {
      name: `Turned over on its own outline: ${end} to the left by`,
      about:
        'Draw round the frame on a flat floor, or mark its corners in the fixture. Turn it over, left for right, onto the marks. It lies off by twice its error: positive to the left, negative to the right.',
      ...{ as: 'gap', points: [], tolerance: TOLERANCES.turned, tool: 'edge', view: 'plan' },
    });
}

/** Two steering axes: diagonals, sides, caster and inclination of both. */
function twoKingpins(list: ListMaker): void {
  const sides = ['Left', 'Right'] as const;
  const crossed = (level: 'Low' | 'Top') =>
    [
      [`kingpin${level}Left`, 'axleRight'],
      [`kingpin${level}Right`, 'axleLeft'],
    ] as const;
  list.pair('diagonal', 'Diagonals, kingpin’s foot to axle', crossed('Low'), TOLERANCES.diagonal);
  list.pair('diagonalTop', 'Diagonals, kingpin’s top to axle', crossed('Top'), TOLERANCES.diagonal);
  list.pair(
    'side',
    'Sides, kingpin’s foot to axle',
    [
      ['kingpinLowLeft', 'axleLeft'],
      ['kingpinLowRight', 'axleRight'],
    ],
    TOLERANCES.diagonal,
  );
  list.pair(
    'front',
    'Diagonals of the front, kingpin’s foot to the other’s top',
    [
      ['kingpinLowLeft', 'kingpinTopRight'],
      ['kingpinLowRight', 'kingpinTopLeft'],
    ],
    TOLERANCES.diagonal,
    'front',
  );
  list.distance('spacing', 'axleLeft', 'axleRight', TOLERANCES.length, 'plan');
  list.distance('kingpinFeet', 'kingpinLowLeft', 'kingpinLowRight', TOLERANCES.length, 'front');
  list.distance('kingpinTops', 'kingpinTopLeft', 'kingpinTopRight', TOLERANCES.length, 'front');
  for (const side of sides)
    list.tube(`kingpin${side}`, `Kingpin, ${side.toLowerCase()}`, `kingpinLow${side}`, `kingpinTop${side}`);
  list.compare(
    'casters',
    'Caster, left more than right',
    ['level.kingpinRight', 'level.kingpinLeft'],
    TOLERANCES.angle,
  );
  for (const side of sides) list.height(`kingpinLow${side}`);
  for (const side of sides) list.height(`axle${side}`);
  list.compare(
    'axleHeights',
    'Rear axle, left higher than right',
    ['height.axleLeft', 'height.axleRight'],
    TOLERANCES.height,
  );
  list.compare(
    'level',
    'Four heights out of one plane',
    ['height.kingpinLowLeft', 'height.kingpinLowRight', 'height.axleRight', 'height.axleLeft'],
    TOLERANCES.flat,
    'flat',
  );
}

/** The four corners of a flat frame, on their outer edges. */
function corners(list: ListMaker): void {
  const [rearLeft, rearRight, frontLeft, frontRight] = CORNERS;
  if (!list.has(...CORNERS)) return;
  list.pair(
    'corners',
    'Corner diagonals',
    [
      [frontLeft, rearRight],
      [frontRight, rearLeft],
    ],
    TOLERANCES.diagonal,
  );
  list.pair(
    'cornerSides',
    'Corner to corner along both sides',
    [
      [frontLeft, rearLeft],
      [frontRight, rearRight],
    ],
    TOLERANCES.diagonal,
  );
  list.distance('cornersFront', frontLeft, frontRight, TOLERANCES.length, 'plan');
  list.distance('cornersRear', rearLeft, rearRight, TOLERANCES.length, 'plan');
  for (const corner of CORNERS) list.height(corner, TOLERANCES.flat);
  turnedOver(list);
  list.compare(
    'flat',
    'Four corners out of one plane',
    [frontLeft, frontRight, rearRight, rearLeft].map((id) => `height.${id}`),
    TOLERANCES.flat,
    'flat',
  );
}

/** A hoop: its diagonals, its feet, and that it stands plumb. */
function hoop(list: ListMaker, id: string, name: string): void {
  const at = (what: string) => `hoop:${id}:${what}`;
  list.pair(
    `hoop:${id}`,
    `Diagonals of the ${name}`,
    [
      [at('foot'), at('otherBend')],
      [at('otherFoot'), at('bend')],
    ],
    TOLERANCES.hoop,
    'front',
  );
  list.distance(`feet:${id}`, at('foot'), at('otherFoot'), TOLERANCES.hoop, 'front');
  for (const [what, from, to] of [
    ['left', 'foot', 'bend'],
    ['right', 'otherFoot', 'otherBend'],
  ] as const)
    list.add(`plumb:${id}.${what}`, {
      name: `Plumb of the ${name}, ${what}`,
      about: 'Gauge on the upright from the side, against level.',
      ...{
        as: 'level',
        points: [at(from), at(to)],
        tolerance: TOLERANCES.angle,
        tool: 'gauge',
        view: 'side',
      },
    });
  list.compare(
    `plumb:${id}`,
    `Plumb of the ${name}, left more than right`,
    [`plumb:${id}.left`, `plumb:${id}.right`],
    TOLERANCES.angle,
  );
}

/** Donor parts as they shall be before anything is cut off them: end to end. */
function donors(list: ListMaker, frame: Frame): void {
  for (const piece of frame.pieces.filter(({ supplied, side }) => supplied && side !== 'right')) {
    const [from, to] = [`piece:${piece.id}:start`, `piece:${piece.id}:end`];
    if (list.has(from, to)) list.distance(`donor:${piece.id}`, from, to, TOLERANCES.length);
  }
}

/** What a whole vehicle has on its wheels. */
function outcomes(list: ListMaker, stance: Stance, keys: Keys, measurer: Measurer): void {
  const drawn = measurer.at(Object.fromEntries(Object.values(keys).map(({ id, at }) => [id, at])));
  const points = Object.keys(keys) as KeyId[];
  measurer.definitions.forEach(({ id, name, quantity }, index) => {
    if (id === 'centring') return;
    list.add(
      `wheels.${id}`,
      {
        name: `${name}, on its wheels`,
        about: ON_WHEELS[id] ?? 'On a level floor, tyres up to pressure, bars straight.',
        ...{ as: 'outcome', points, tool: quantity === 'angle' ? 'gauge' : 'plumb', view: 'side' },
        tolerance: usualTolerance(id, quantity),
      },
      { outcome: id, quantity, nominal: drawn[index]!, whole: true },
    );
  });
}
/** Usual tolerance of what comes out. */
const usualTolerance = (outcome: string, quantity: Quantity): Tolerance =>
  OUTCOME_TOLERANCES[outcome] ?? (quantity === 'angle' ? TOLERANCES.angle : TOLERANCES.length);
/** How far a figure may be off: as the builder has it for its measure, else as is usual. */
export const figureTolerance = (
  { measures, comparisons }: Pick<MeasuringList, 'measures' | 'comparisons'>,
  { id, quantity }: { readonly id: string; readonly quantity: Quantity },
): Tolerance =>
  measures.find(({ outcome }) => outcome === id)?.tolerance ??
  comparisons.find((comparison) => comparison.id === id)?.tolerance ??
  usualTolerance(id, quantity);
const OUTCOME_TOLERANCES: Readonly<Record<string, Tolerance>> = {
  trail: TOLERANCES.trail,
  casterTrail: TOLERANCES.trail,
  wheelbase: TOLERANCES.wheelbase,
  wheelbaseDifference: TOLERANCES.diagonal,
  offset: TOLERANCES.tracking,
  lift: TOLERANCES.flat,
  twist: TOLERANCES.twist,
  centring: TOLERANCES.centring,
};
const ON_WHEELS: Readonly<Record<string, string>> = {
  trail:
    'A straight-edge along the steering axis to the floor, a plumb line from the axle: between the two marks.',
  wheelbase: 'Plumb from both axles to the floor; tape between the marks.',
  wheelbaseDifference: 'Plumb from all axles to the floor; left more than right.',
  offset:
    'A string along both sides of the rear wheel, or of both rear wheels: where the front lies between them.',
  lift: 'On four blocks of one height on a level floor: the gap under the front wheel that hangs. Under the left one it counts as positive, under the right one as negative.',
};

/** The builder's own measures; those whose points are gone are told. */
function own(list: ListMaker, all: NonNullable<BuildDocument['checks']>['own']) {
  return all.filter(({ id, name, as, from, to, tolerance }) => {
    const points = as === 'distance' && to !== undefined ? [from, to] : [from];
    if (!list.has(...points) || (as === 'distance' && (to === undefined || to === from))) return true;
    list.add(
      id,
      {
        ...{ name, as, points, tool: as === 'height' ? 'height' : as === 'beside' ? 'string' : 'tape' },
        about: points.map((point) => `${list.points[point]!.name}: ${list.points[point]!.touch}`).join('. '),
        tolerance: { value: tolerance, source: 'the builder’s own' },
        view: 'side',
      },
      { own: true },
    );
    return false;
  });
}
