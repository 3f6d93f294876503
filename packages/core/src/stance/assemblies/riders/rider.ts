import { SEGMENTS, bodyOf, type Body, type Segment } from '../../../rider/body.js';
import {
  armRaise,
  armSpan,
  elbowAngle,
  farthestCrank,
  figureOf,
  headOf,
  hipOpening,
  kneeAngle,
  legSpans,
  sideAngle,
  type Figure,
} from '../../../rider/figure.js';
import type { Feet, Hands, PostureName, RiderPlace } from '../../../rider/place.js';
import { assembly, entry, worked, type Assembly } from '../../assembly.js';
import type { Vector } from '../../../vector/vector.js';
import type { Adjusters, Dimension, Drawn, Picture, Points, State } from '../../dimension.js';
import { pictured, type Pictured } from '../../pictures/pictured.js';
import { naming, read, type Naming, type Part, type SeatPart } from './part.js';

const SEGMENT_NAMES: Readonly<
  Record<Segment | 'stature', readonly [name: string, symbol: string, meaning: string]>
> = {
  stature: ['Stature', 'st', 'Standing height of the rider.'],
  thigh: ['Thigh', 'tg', 'Hip joint to knee.'],
  shank: ['Shank', 'sn', 'Knee to ankle.'],
  ankleHeight: ['Ankle height', 'ah', 'Ankle above the sole.'],
  trunk: ['Trunk', 'tr', 'Hip joint to shoulder joint.'],
  upperArm: ['Upper arm', 'ua', 'Shoulder to elbow.'],
  forearm: ['Forearm', 'fa', 'Elbow to wrist.'],
};
/** Ids of the entries that a rider gives to the stance. */
export const bodyEntries = (slot: string) => {
  const { id } = naming(slot, 0);
  return [...SEGMENTS, 'stature' as const].map((segment) => [segment, id(segment)] as const);
};

/** The body that a state's entries hold. */
export const bodyIn = (state: object, entries: ReturnType<typeof bodyEntries>): Body =>
  Object.fromEntries(entries.map(([segment, id]) => [segment, read(state, id)])) as unknown as Body;

export interface RiderOptions<S> {
  /** Empty for the first rider. */
  readonly slot: string;
  readonly place: number;
  readonly name: string;
  readonly posture: PostureName;
  readonly seat: SeatPart<S>;
  readonly feet: Part<S, Feet>;
  readonly hands: Part<S, Hands>;
  readonly adjusters: Adjusters;
  /** The feet turn cranks. */
  readonly cranks?: boolean;
  /** A second place beside the first, when there is one. */
  readonly beside?: (state: S, first: RiderPlace) => readonly RiderPlace[];
}

/** A rider in a place: the body that the brief gives, where it is put, and the angles that come of it. */
export function rider<S extends object>(options: RiderOptions<S>): Assembly {
  const { slot, place, name, posture, seat, feet, hands, adjusters, cranks = false, beside } = options;
  const naming_ = naming(slot, place);
  const entries = bodyEntries(slot);
  const besides = beside ? bodyEntries('passenger') : [];
  const placeIn = remembered((state: S): RiderPlace => {
    const body = bodyIn(state, entries);
    return {
      id: slot,
      name,
      posture,
      body,
      ...seat.of(state, body),
      feet: feet.of(state),
      hands: hands.of(state),
    };
  });
  const usual = bodyOf({ stature: 1750 });
  const parts = [seat, feet, hands];
  const pictures = figurePictures(naming_, placeIn, cranks);
  return assembly<S>({
    start: Object.assign(
      Object.fromEntries([...entries, ...besides].map(([segment, id]) => [id, usual[segment]])),
      ...parts.map(({ start }) => start),
    ) as State,
    given: [...entries, ...besides].map(([, id]) => id),
    dimensions: [
      ...entries.map(([segment, id]) => bodyEntry(segment, id, naming_)),
      ...besides.map(([segment, id]) => bodyEntry(segment, id, naming('passenger', place + 1))),
      ...parts.flatMap(({ dimensions }) => dimensions),
      ...figureDimensions(naming_, placeIn, seat.lean, adjusters, cranks),
    ],
    pictured: [pictures, ...parts.flatMap(({ pictured: each }) => each ?? [])],
    seat: {
      slots: [{ id: slot, name, adjusters }, ...(beside ? [{ id: 'passenger', name: 'Passenger' }] : [])],
      places: (state) => [placeIn(state), ...(beside?.(state, placeIn(state)) ?? [])],
      points: (state) =>
        Object.assign(
          figurePoints(naming_, placeIn(state)),
          ...parts.map((part) => part.points?.(state)),
        ) as Points,
      drawn: [...parts.flatMap(({ drawn }) => drawn ?? []), ...figureDrawn(naming_, placeIn)],
      handles: [
        ...parts.flatMap(({ handles }) => handles ?? []),
        {
          point: naming_.id('shoulder'),
          name: naming_.name('Shoulder'),
          views: ['side'],
          moves: [seat.lean],
        },
      ],
    },
  });
}

/** One place a state: the solver and the drawing ask for it many times over. */
function remembered<S extends object, T>(work: (state: S) => T): (state: S) => T {
  const known = new WeakMap<S, T>();
  return (state) => {
    const before = known.get(state);
    if (before !== undefined) return before;
    const result = work(state);
    known.set(state, result);
    return result;
  };
}

function bodyEntry(segment: Segment | 'stature', id: string, { name, symbol }: Naming): Dimension {
  const [title, letters, meaning] = SEGMENT_NAMES[segment];
  return entry({
    id,
    name: name(title),
    symbol: symbol(letters),
    limits: [5, 2600],
    source: 'the rider’s measures in the brief',
    meaning,
  });
}

const POSED = 'two links and the law of cosines; segments by Drillis and Contini (in Winter) unless measured';

/** The angles of the figure. */
function figureDimensions<S extends object>(
  { id, name, symbol }: Naming,
  placeIn: (state: S) => RiderPlace,
  lean: string,
  { legs, arms }: Adjusters,
  cranks: boolean,
): Dimension[] {
  const forLegs = [legs.dimension, 'legRoom', 'seatAhead', 'pedalHeight'];
  const forArms = [lean, arms.dimension];
  const knee = (span: 'most' | 'least', suffix: string) => {
    const sign = symbol(`hs${suffix}`);
    return `acos((${symbol('tg')}² + ${symbol('sn')}² − ${sign}²) / (2·${symbol('tg')}·${symbol('sn')}))`;
  };
  const stretched = cranks ? ', pedal at its farthest' : '';
  return [
    worked<S>({
      id: id('legSpan'),
      name: name('Hip to ankle'),
      symbol: symbol('hs'),
      formula: '',
      source: 'the figure as drawn: shoe 30 mm with half the pedal, ball of the foot on it [common practice]',
      meaning: `Hip joint to ankle, straight${stretched}.`,
      letGo: forLegs,
      limits: [100, 1500],
      of: (s) => legSpans(placeIn(s)).most,
    }),
    worked<S>({
      id: id('kneeAngle'),
      name: name(cranks ? 'Knee, at its straightest' : 'Knee'),
      symbol: symbol('kn'),
      quantity: 'angle',
      formula: `${symbol('kn')} = ${knee('most', '')}`,
      source: POSED,
      limits: [30, 179],
      meaning: `Between thigh and shank${stretched}; 180° is straight. More than that: the foot does not reach.`,
      feel: cranks
        ? 'Straighter strains the back of the knee and rocks the hips; more bent tires the thighs.'
        : 'Straighter leaves no force for the pedal; more bent lifts the knees into wheel and bars.',
      letGo: forLegs,
      of: (s) => kneeAngle(placeIn(s), 'most'),
    }),
    ...(cranks
      ? [
          worked<S>({
            id: id('legSpanTop'),
            name: name('Hip to ankle, folded'),
            symbol: symbol('hst'),
            formula: '',
            source: 'the figure as drawn',
            meaning: 'Hip joint to ankle, straight, pedal at its nearest.',
            letGo: ['crankLength', ...forLegs],
            limits: [50, 1500],
            of: (s) => legSpans(placeIn(s)).least,
          }),
          worked<S>({
            id: id('kneeAngleTop'),
            name: name('Knee, most bent'),
            symbol: symbol('kt'),
            quantity: 'angle',
            formula: `${symbol('kt')} = ${knee('least', 't')}`,
            source: POSED,
            limits: [20, 179],
            meaning: 'Between thigh and shank with the pedal at its nearest.',
            letGo: ['crankLength', ...forLegs],
            of: (s) => kneeAngle(placeIn(s), 'least'),
          }),
        ]
      : []),
    worked<S>({
      id: id('hipAngle'),
      name: name(cranks ? 'Hip opening, least' : 'Hip opening'),
      symbol: symbol('ho'),
      quantity: 'angle',
      formula: '',
      source: POSED,
      limits: [10, 200],
      meaning: `Between trunk and thigh${cranks ? ', pedal at its nearest' : ''}.`,
      feel: 'Too small: the thigh presses the belly, and breath and power go.',
      letGo: [lean, ...forLegs],
      of: (s) => hipOpening(placeIn(s), cranks ? 'least' : 'most'),
    }),
    worked<S>({
      id: id('armSpan'),
      name: name('Shoulder to grip'),
      symbol: symbol('as'),
      formula: '',
      source: 'the figure as drawn',
      meaning: 'Shoulder joint to the middle of the grip, straight, steering straight ahead.',
      letGo: forArms,
      limits: [30, 1200],
      of: (s) => armSpan(placeIn(s)),
    }),
    worked<S>({
      id: id('elbowAngle'),
      name: name('Elbow'),
      symbol: symbol('el'),
      quantity: 'angle',
      formula: `${symbol('el')} = acos((${symbol('ua')}² + (${symbol('fa')} + 0.054648·${symbol('st')})² − ${symbol('as')}²) / (2·${symbol('ua')}·(${symbol('fa')} + 0.054648·${symbol('st')})))`,
      source: `${POSED}; the grip lies 0.506 of the hand beyond the wrist`,
      limits: [30, 179],
      meaning: 'Between upper arm and forearm; 180° is straight. More than that: the hand does not reach.',
      feel: 'Straight arms carry every bump to the shoulders.',
      letGo: forArms,
      of: (s) => elbowAngle(placeIn(s)),
    }),
    worked<S>({
      id: id('armRaise'),
      name: name('Arm raised'),
      symbol: symbol('ar'),
      quantity: 'angle',
      formula: '',
      source: 'the figure as drawn',
      limits: [-60, 150],
      meaning: 'Hand held out from below the shoulder: 0° hangs straight down, 90° is level ahead.',
      feel: 'Arms held up tire soon where nothing carries their weight.',
      letGo: [arms.dimension, lean],
      of: (s) => armRaise(placeIn(s)),
    }),
    worked<S>({
      id: id('eyeHeight'),
      name: name('Eye height'),
      symbol: symbol('ey'),
      formula: '',
      source:
        'the figure as drawn; eye 0.118 of the stature above the shoulder [Drillis and Contini; the rest from memory]',
      meaning: 'Eye above the ground.',
      feel: 'Low eyes see, and are seen, less in traffic.',
      letGo: [lean, 'seatHeight', 'saddleHeight'],
      of: (s) => headOf(placeIn(s)).eye[2],
    }),
    worked<S>({
      id: id('helmetHeight'),
      name: name('Top of helmet'),
      symbol: symbol('tp'),
      formula: '',
      source: 'the figure as drawn; 30 mm of helmet',
      meaning: 'Top of the helmet above the ground.',
      letGo: [lean, 'seatHeight', 'saddleHeight'],
      of: (s) => headOf(placeIn(s)).top[2],
    }),
  ];
}

/** Joints that dimensions stand on: the leg at full stretch, the right-hand side. */
function figurePoints({ id }: Naming, place: RiderPlace): Points {
  const { hip, shoulder, eye, top, legs, arms } = figureOf(place, { crank: farthestCrank(place), steer: 0 });
  return {
    [id('hip')]: hip,
    [id('shoulder')]: shoulder,
    [id('knee')]: legs.right.knee,
    [id('ankle')]: legs.right.ankle,
    [id('elbow')]: arms.right.elbow,
    [id('hand')]: arms.right.grip,
    [id('helmet')]: top,
    [id('eye')]: eye,
  };
}

function figureDrawn<S extends object>({ id }: Naming, placeIn: (state: S) => RiderPlace): Drawn[] {
  const posed = (state: State) => {
    const place = placeIn(state as unknown as S);
    return figureOf(place, { crank: farthestCrank(place), steer: 0 });
  };
  const thigh = (state: State) => {
    const { knee, hip } = posed(state).legs.right;
    return sideAngle(knee, hip);
  };
  const upperArm = (state: State) => {
    const { elbow, shoulder } = posed(state).arms.right;
    return sideAngle(elbow, shoulder);
  };
  return [
    {
      id: id('kneeAngle'),
      view: 'side',
      as: 'angle',
      at: id('knee'),
      from: thigh,
      turn: (value, state) => thigh(state) + value,
      radius: 70,
    },
    {
      id: id('elbowAngle'),
      view: 'side',
      as: 'angle',
      at: id('elbow'),
      from: upperArm,
      turn: (value, state) => upperArm(state) - value,
      radius: 60,
    },
  ];
}

/** Pictures of what is not drawn on the sheet. */
function figurePictures<S extends object>(
  { id }: Naming,
  placeIn: (state: S) => RiderPlace,
  cranks: boolean,
): Pictured {
  const mark = (name: string) => id(`${name}Mark`);
  const at = (state: S, on: number) => {
    const place = placeIn(state);
    return figureOf(place, { crank: farthestCrank(place) + on, steer: 0 });
  };
  /** From one joint towards another of the right-hand side, for the arc of an angle. */
  const from = (on: number, ends: (figure: Figure) => readonly [Vector, Vector]) => (state: State) =>
    sideAngle(...ends(at(state as unknown as S, on)));
  const thigh = from(180, ({ legs: { right } }) => [right.knee, right.hip]);
  const trunk = from(cranks ? 180 : 0, ({ hip, shoulder }) => [hip, shoulder]);
  const ground = ([x, y]: Vector): Vector => [x, y, 0];
  return pictured<S>(
    (state) => {
      const [still, bent] = [at(state, 0), at(state, 180)];
      return {
        [mark('hip')]: still.legs.right.hip,
        [mark('ankle')]: still.legs.right.ankle,
        [mark('kneeTop')]: bent.legs.right.knee,
        [mark('ankleTop')]: bent.legs.right.ankle,
        [mark('shoulder')]: still.shoulder,
        [mark('hand')]: still.arms.right.grip,
        [mark('eye')]: still.eye,
        [mark('eyeGround')]: ground(still.eye),
        [mark('helmet')]: still.top,
        [mark('helmetGround')]: ground(still.top),
      };
    },
    [
      { id: id('legSpan'), view: 'side', as: 'aligned', from: mark('hip'), to: mark('ankle'), off: 40 },
      ...(cranks
        ? ([
            {
              id: id('legSpanTop'),
              view: 'side',
              as: 'aligned',
              from: mark('hip'),
              to: mark('ankleTop'),
              off: 40,
            },
            {
              id: id('kneeAngleTop'),
              view: 'side',
              as: 'angle',
              at: mark('kneeTop'),
              from: thigh,
              turn: (value, state) => thigh(state) + value,
              radius: 70,
            },
          ] satisfies Picture[])
        : []),
      {
        id: id('hipAngle'),
        view: 'side',
        as: 'angle',
        at: mark('hip'),
        from: trunk,
        turn: (value, state) => trunk(state) - value,
        radius: 80,
      },
      { id: id('armSpan'), view: 'side', as: 'aligned', from: mark('shoulder'), to: mark('hand'), off: 40 },
      {
        id: id('armRaise'),
        view: 'side',
        as: 'angle',
        at: mark('shoulder'),
        from: 270,
        turn: (value) => 270 + value,
        radius: 90,
      },
      {
        id: id('eyeHeight'),
        view: 'side',
        as: 'upright',
        from: mark('eyeGround'),
        to: mark('eye'),
        near: 40,
      },
      {
        id: id('helmetHeight'),
        view: 'side',
        as: 'upright',
        from: mark('helmetGround'),
        to: mark('helmet'),
        near: 40,
      },
    ],
  );
}
