import type { BuildDocument } from '@larchwood/format';
import { fixedPart } from '../frame/apart.js';
import { rodsAlong } from '../frame/rods.js';
import { turnsAt } from '../steering/pose.js';
import { THICKNESS } from '../rider/body.js';
import { figureOf, type Figure } from '../rider/figure.js';
import type { RiderPlace } from '../rider/place.js';
import type { Kind, StandingWheel } from '../stance/dimension.js';
import { fullTravel, restTravel, unladen } from '../stance/springs.js';
import { turnedWheel } from '../stance/steering.js';
import { nameInText } from '../words.js';
import { add, along, scale, subtract, type Vector } from '../vector/vector.js';
import { lumpAt } from '../mass/mass.js';
import { ballAt, boxAt, rodFrom, type Rod } from '../proximity/shapes.js';
import type { Body, Moves, Pair, Pose, Rods, Standing } from './part.js';
import { barOf, handParts } from './hands.js';
import { forkBodies, linkageBodies, linkagePairs } from './linkage.js';
import { restOf, type Rest } from './rest.js';
import { withColumns } from '../steering/columnJoints.js';
import { tyre } from '../stance/tyreShape.js';

/** Half of what a seat's edge is taken as, mm. Common practice, no source. */
const EDGE = 10;

/** Everything that could meet, as pairs worth sweeping. */
export function pairsOf(document: Pick<BuildDocument, 'mass' | 'frame'>, plan: Standing, kind: Kind): Pair[] {
  const { stance } = plan;
  const wheels = wheelParts(plan, kind);
  const { pieces } = fixedPart(document, plan.frame);
  const frame = pieces.map((piece): Rods & Body => {
    const { member } = piece;
    const rods = rodsAlong(piece).map(({ from, to, radius }) => rodFrom(from, to, radius));
    // Twins are one: the nearer of the two is told.
    const name = `${nameInText(member.name)} (${member.piece})`;
    return { name, sort: 'metal', moves: {}, at: () => rods };
  });
  const ground: Body = groundPart(plan, kind);
  const several = stance.places.length > 1;
  const places = withColumns(stance.places, plan.steering?.ok ? plan.steering.steering : undefined);
  // A linkage that nobody has begun with is none of the builder's yet.
  const linkage =
    plan.steering?.ok && plan.steering.steering.own
      ? [...linkageBodies(plan.steering.steering, plan.frame.pieces), ...forkBodies(plan)]
      : [];
  const driver = places[0];
  const rest = driver && restOf(plan, driver);
  const riders = places.flatMap((place) =>
    riderPairs(
      place,
      several ? `${place.name}: ` : '',
      wheels,
      [...frame, ...linkage],
      ground,
      place === driver ? rest : undefined,
    ),
  );
  const tubes = pieces.map((piece, index) => ({ piece, body: frame[index]! }));
  const tyres = wheels.flatMap((wheel) => frame.map((tube): Pair => ({ a: tube, b: wheel })));
  return [
    ...riders,
    ...linkagePairs(linkage, tubes, wheels, ground),
    ...stance.places.flatMap((place) =>
      seatParts(place, '').shell.flatMap((shell) => [
        ...linkage.map((part): Pair => ({ a: part, b: shell })),
        ...(rest ? [...rest.hands, ...rest.columns] : []).map((part): Pair => ({ a: shell, b: part })),
      ]),
    ),
    ...restPairs(rest, linkage, frame),
    ...tyres,
    ...barPairs(stance.places, frame),
    ...seatPairs(stance.places, wheels),
    ...boxPairs(document, plan),
  ];
}

/** A rest against what moves beside it, and what is on the column, at both ends of its slot, against the tubes. */
const restPairs = (
  rest: Rest | undefined,
  linkage: readonly (Rods & Body)[],
  frame: readonly (Rods & Body)[],
): Pair[] =>
  rest
    ? [
        ...linkage.filter(({ moves }) => moves.steer).map((part): Pair => ({ a: rest.plate, b: part })),
        ...rest.hands.flatMap((part) => frame.map((tube): Pair => ({ a: tube, b: part }))),
      ]
    : [];

function riderPairs(
  place: RiderPlace,
  whose: string,
  wheels: readonly Body[],
  frame: readonly Body[],
  ground: Body,
  rest: Rest | undefined,
): Pair[] {
  const cranks = place.feet.on === 'cranks';
  const turns: Moves = cranks ? { crank: true } : {};
  const figure = rememberedBy(
    ({ crank }: Pose) => crank,
    ({ crank }) => figureOf(place, { crank, steer: 0 }),
  );
  const { stature } = place.body;
  const rider = (name: string, moves: Moves, rods: (figure: Figure, pose: Pose) => Rod[]): Rods => ({
    name: whose + name,
    sort: 'rider',
    moves,
    at: (pose) => rods(figure(pose), pose),
  });
  const legs = (of: (leg: Figure['legs']['left']) => Rod) => (posed: Figure) => [
    of(posed.legs.left),
    of(posed.legs.right),
  ];
  const thigh = rider(
    'thigh',
    turns,
    legs(({ hip, knee }) => rodFrom(hip, knee, THICKNESS.thighAtKnee * stature)),
  );
  const knee = rider(
    'knee',
    turns,
    legs(({ knee: at }) => ballAt(at, THICKNESS.knee * stature)),
  );
  const calf = rider('calf', turns, ({ legs: { left, right } }) =>
    [left, right].flatMap(({ knee: from, ankle }) => {
      const middle = scale(add(from, ankle), 0.5);
      return [
        rodFrom(from, middle, THICKNESS.calf * stature),
        rodFrom(middle, ankle, THICKNESS.ankle * stature),
      ];
    }),
  );
  const toe = rider(
    'toe',
    turns,
    legs(({ tread, toe: at }) => rodFrom(tread, at, TOE * stature)),
  );
  const heel = rider(
    'heel',
    turns,
    legs(({ heel: at }) => ballAt(along(at, [0, 0, 1], HEEL * stature), HEEL * stature)),
  );
  const trunk = rider('trunk', {}, ({ hip, shoulder }) => [
    rodFrom(hip, shoulder, THICKNESS.trunk * stature),
  ]);
  const steering = [
    ...handParts(place, whose),
    ...(rest ? [rest.plate, ...rest.hands, ...rest.columns] : []),
  ];
  const seat = seatParts(place, whose);
  return [
    ...steering.flatMap((part): Pair[] => [
      { a: knee, b: part },
      { a: thigh, b: part },
      { a: trunk, b: part },
    ]),
    ...seat.edge.map((edge): Pair => ({ a: thigh, b: edge })),
    ...(place.feet.on === 'rests' && place.feet.level ? [] : [{ a: heel, b: ground }]),
    ...wheels.flatMap((wheel): Pair[] => [
      { a: toe, b: wheel },
      { a: calf, b: wheel },
    ]),
    ...frame.flatMap((tube): Pair[] => [
      { a: heel, b: tube },
      { a: calf, b: tube },
    ]),
  ];
}
/** Half thicknesses of heel and toe as fractions of the stature. From memory. */
const HEEL = 0.018;
const TOE = 0.016;

/** Front edge and back of a seat. */
function seatParts(
  { seat }: RiderPlace,
  whose: string,
): { readonly edge: Body[]; readonly shell: (Rods & Body)[] } {
  if (seat.as !== 'shell') return { edge: [], shell: [] };
  const across = (at: Vector, half: number): Rod =>
    rodFrom(add(at, [0, half, 0]), add(at, [0, -half, 0]), EDGE);
  const sunk: Vector = [0, 0, -EDGE];
  const edge: Body = {
    name: `${whose}front edge of the seat`,
    sort: 'metal',
    moves: {},
    at: () => [across(add(seat.base, sunk), seat.half)],
  };
  const rods = [0, 0.5, 1].flatMap((share) => {
    const on = along(seat.corner, subtract(seat.top, seat.corner), share);
    const under = along(seat.corner, subtract(seat.base, seat.corner), share);
    return [across(on, seat.half), across(add(under, [0, 0, -seat.thickness]), seat.half)];
  });
  return { edge: [edge], shell: [{ name: `${whose}seat`, sort: 'metal', moves: {}, at: () => rods }] };
}

/** Bars that turn, against the tubes they swing over; the head tube carries them. */
const barPairs = (places: readonly RiderPlace[], frame: readonly Body[]): Pair[] =>
  places
    .filter(({ hands }) => hands.on === 'bars' && hands.axis)
    .flatMap((place) =>
      frame
        .filter(({ name }) => !name.startsWith('head tube'))
        .map((tube): Pair => ({ a: barOf(place, ''), b: tube })),
    );

const seatPairs = (places: readonly RiderPlace[], wheels: readonly Body[]): Pair[] =>
  places.flatMap((place) =>
    seatParts(place, '').shell.flatMap((shell) => wheels.map((wheel): Pair => ({ a: shell, b: wheel }))),
  );

/** Boxes of engines and the like against seats. */
function boxPairs(document: Pick<BuildDocument, 'mass'>, { stance }: Standing): Pair[] {
  const boxes = document.mass.lumps.flatMap((lump): Body[] => {
    const { box } = lump;
    if (!box) return [];
    const half: Vector = [box[0] / 2, box[1] / 2, box[2] / 2];
    const shape = boxAt(lumpAt(lump, stance).at, half);
    return [{ name: nameInText(lump.name), sort: 'metal', moves: {}, at: () => [shape] }];
  });
  return stance.places.flatMap((place) =>
    seatParts(place, '').shell.flatMap((shell) => boxes.map((box): Pair => ({ a: shell, b: box }))),
  );
}

/** Where each end's wheels have gone, against ride height. */
function shiftsOf(
  { stance: { state } }: Pick<Standing, 'stance'>,
  kind: Kind,
): (travel: number) => { front: Vector; rear: Vector } {
  const springs = state as Record<'frontTravel' | 'frontSag' | 'rearTravel' | 'rearSag', number>;
  const [low, high] = [unladen(springs), fullTravel(springs)];
  const ride = kind.axles(state, { front: 0, rear: 0 });
  const rest = restTravel(state);
  return (travel) => {
    // Each end goes its own way from unladen to ride height, and on to pressed home.
    const of = (end: 'front' | 'rear') =>
      travel < rest
        ? low[end] * (1 - travel / rest)
        : rest < 1
          ? (high[end] * (travel - rest)) / (1 - rest)
          : 0;
    const axles = kind.axles(state, { front: of('front'), rear: of('rear') });
    const by = (end: 'front' | 'rear'): Vector => [axles[end].x - ride[end].x, 0, axles[end].z - ride[end].z];
    return { front: by('front'), rear: by('rear') };
  };
}

/** Every wheel as it stands in a pose, in the frame's own axes. */
export function wheelsIn(
  plan: Pick<Standing, 'stance' | 'steering'>,
  kind: Kind,
  { steer, travel }: Omit<Pose, 'crank'>,
): StandingWheel[] {
  const { standing, steered, postures } = plan.stance;
  const turn = turnsAt(plan, steer);
  const shift = postures && shiftsOf(plan, kind)(travel);
  return standing.map((wheel) => {
    const turning = steered.find(({ id }) => id === wheel.id);
    const centre = shift ? add(wheel.centre, shift[wheel.end]) : wheel.centre;
    return turning ? turnedWheel({ ...turning, centre }, turn(wheel.id)) : { ...wheel, centre };
  });
}

function wheelParts(plan: Standing, kind: Kind): Body[] {
  const { standing, steered, postures } = plan.stance;
  const springs: Moves = postures ? { travel: true } : {};
  return standing.map((wheel, index): Body => {
    const turning = steered.some(({ id }) => id === wheel.id);
    return {
      name: `${nameOfWheel(wheel.id)} tyre`,
      sort: 'tyre',
      moves: turning ? { ...springs, steer: true } : springs,
      at: (pose) => [tyre(wheelsIn(plan, kind, pose)[index]!)],
    };
  });
}
const nameOfWheel = (id: string): string => id.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

function groundPart(plan: Standing, kind: Kind): Body {
  const shifts = shiftsOf(plan, kind);
  const wheelbase = plan.stance.values.wheelbase!;
  const springs = plan.stance.postures !== undefined;
  return {
    name: 'ground',
    sort: 'metal',
    moves: springs ? { travel: true } : {},
    at: ({ travel }) => {
      const by = springs ? shifts(travel) : { rear: [0, 0, 0] as const, front: [0, 0, 0] as const };
      return [{ as: 'ground', rear: by.rear, front: add([wheelbase, 0, 0], by.front) }];
    },
  };
}

/** One figure a crank angle: several parts ask for it. */
function rememberedBy<A, K, T>(key: (given: A) => K, work: (given: A) => T): (given: A) => T {
  const known = new Map<K, T>();
  return (given) => {
    const k = key(given);
    let found = known.get(k);
    if (found === undefined) {
      found = work(given);
      known.set(k, found);
    }
    return found;
  };
}
