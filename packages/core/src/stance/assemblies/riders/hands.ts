import { toRadians } from '../../../units/angle.js';
import type { Hands } from '../../../rider/place.js';
import { add, along, type Vector } from '../../../vector/vector.js';
import { entry } from '../../assembly.js';
import { pictured } from '../../pictures/pictured.js';
import type { SeatedState, SteeredState } from '../../states.js';
import { axisUp, headTubeTop, onAxis, type Hung } from '../../steeringAxis.js';
import { naming, read, type Naming, type Part } from './part.js';
import type { Dimension } from '../../dimension.js';

const FIRST = naming('', 0);
const widthEntry = ({ id, name, symbol }: Naming): Dimension =>
  entry({
    id: id('barWidth'),
    name: name('Grip width'),
    symbol: symbol('bw'),
    limits: [150, 1100],
    meaning: 'Middle of the left grip to the middle of the right one.',
    feel: 'Wider gives more hold and more air to push.',
  });

/** Grips farther behind the head tube than this have a column of their own, so far ahead of them; mm. Common practice, no source. */
const OWN_COLUMN = -550;
const COLUMN_AHEAD = 40;

/** Bars on the steering axis: grips ahead of, or behind, the top of the head tube. */
export function bars<S extends SteeredState>(
  hung: (state: S) => Hung,
  start: { barReach: number; barRise: number; barWidth: number },
): Part<S, Hands> {
  const grips = (s: S): Vector => {
    const top = headTubeTop(s, hung(s));
    return [top.x + read(s, 'barReach'), 0, top.z + read(s, 'barRise')];
  };
  return {
    start,
    dimensions: [
      entry({
        id: 'barReach',
        name: 'Grips ahead of head tube',
        symbol: 'br',
        limits: [-1600, 500],
        meaning: 'Middle of the grips ahead of the top of the head tube, level; negative when behind it.',
        feel: 'Far behind the axis the grips move sideways more than they turn.',
      }),
      entry({
        id: 'barRise',
        name: 'Grips above head tube',
        symbol: 'bz',
        limits: [-300, 1200],
        meaning: 'Middle of the grips above the top of the head tube.',
      }),
      widthEntry(FIRST),
    ],
    points: (s) => {
      const [middle, half] = [grips(s), read(s, 'barWidth') / 2];
      const top = headTubeTop(s, hung(s));
      return {
        grips: middle,
        gripLeft: add(middle, [0, half, 0]),
        gripRight: add(middle, [0, -half, 0]),
        stemTop: [top.x, 0, top.z],
        stemUnderGrips: [middle[0], 0, top.z],
      };
    },
    drawn: [
      { id: 'barReach', view: 'side', as: 'level', from: 'stemTop', to: 'grips', near: -40 },
      { id: 'barRise', view: 'side', as: 'upright', from: 'stemUnderGrips', to: 'grips', near: 44 },
      { id: 'barWidth', view: 'plan', as: 'aligned', from: 'gripRight', to: 'gripLeft', off: -34 },
    ],
    handles: [{ point: 'grips', name: 'Grips', views: ['side', 'plan'], moves: ['barReach', 'barRise'] }],
    of: (s) => {
      const [middle, half] = [grips(s), read(s, 'barWidth') / 2];
      const [foot, top] = [onAxis(s, hung(s), 0), headTubeTop(s, hung(s))];
      // Bars far behind the fork stand on a column of their own, which a rod ties to it.
      const remote = read(s, 'barReach') < OWN_COLUMN;
      const column: Vector = [middle[0] + COLUMN_AHEAD, 0, middle[2]];
      return {
        on: 'bars',
        left: add(middle, [0, half, 0]),
        right: add(middle, [0, -half, 0]),
        stem: remote ? column : [top.x, 0, top.z],
        axis: { point: remote ? column : [foot.x, 0, foot.z], up: axisUp(s.headAngle) },
      };
    },
  };
}

/** Fixed bars of a rider behind, told from his own saddle; they stand on the seat post ahead of him. */
export function barsBehind<S extends object>(
  { id, name, symbol }: Naming,
  saddle: (state: S) => Vector,
  start: { gripsAhead: number; gripsAbove: number; barWidth: number },
): Part<S, Hands> {
  const [ahead, above, width] = [id('gripsAhead'), id('gripsAbove'), id('barWidth')];
  const grips = (s: S): Vector => add(saddle(s), [read(s, ahead), 0, read(s, above)]);
  return {
    start: { [ahead]: start.gripsAhead, [above]: start.gripsAbove, [width]: start.barWidth },
    dimensions: [
      entry({
        id: ahead,
        name: name('Grips ahead of saddle'),
        symbol: symbol('ga'),
        limits: [150, 1000],
        meaning: 'Middle of the grips ahead of this rider’s saddle, level.',
      }),
      entry({
        id: above,
        name: name('Grips above saddle'),
        symbol: symbol('gz'),
        limits: [-300, 500],
        meaning: 'Middle of the grips above this rider’s saddle.',
      }),
      widthEntry({ id, name, symbol }),
    ],
    points: (s) => {
      const [middle, half] = [grips(s), read(s, width) / 2];
      return {
        [id('grips')]: middle,
        [id('gripLeft')]: add(middle, [0, half, 0]),
        [id('gripRight')]: add(middle, [0, -half, 0]),
        [id('saddleUnderGrips')]: [middle[0], 0, saddle(s)[2]],
      };
    },
    drawn: [
      { id: ahead, view: 'side', as: 'level', from: id('saddle'), to: id('grips'), near: -26 },
      { id: width, view: 'plan', as: 'aligned', from: id('gripRight'), to: id('gripLeft'), off: -34 },
    ],
    handles: [{ point: id('grips'), name: name('Grips'), views: ['side', 'plan'], moves: [ahead, above] }],
    pictured: pictured<S>(
      () => ({}),
      [{ id: above, view: 'side', as: 'upright', from: id('saddleUnderGrips'), to: id('grips'), near: 40 }],
    ),
    of: (s) => {
      const [middle, half] = [grips(s), read(s, width) / 2];
      return {
        on: 'bars',
        left: add(middle, [0, half, 0]),
        right: add(middle, [0, -half, 0]),
        stem: add(middle, [40, 0, -60]),
      };
    },
  };
}

const ofSeat = (s: SeatedState): Vector => [s.seatAhead, 0, 0];
/** Length of a column below its wheel, mm, unless the floor comes first. Common practice, no source. */
const COLUMN = 560;

/** A steering wheel on a column. */
export function steeringWheel<S extends SeatedState>(
  start: { wheelAhead: number; wheelHeight: number; steeringWheelDiameter: number; columnAngle: number },
  across: (state: S) => number,
): Part<S, Hands> {
  const centre = (s: S): Vector => add(ofSeat(s), [read(s, 'wheelAhead'), across(s), read(s, 'wheelHeight')]);
  const up = (s: S): Vector => axisUp(read(s, 'columnAngle'));
  const foot = (s: S): Vector => {
    const room = (centre(s)[2] - 60) / up(s)[2];
    return along(centre(s), up(s), -Math.min(COLUMN, room));
  };
  const half = (s: S) => read(s, 'steeringWheelDiameter') / 2;
  const rim = (s: S, side: 1 | -1): Vector => {
    const angle = toRadians(read(s, 'columnAngle'));
    return add(centre(s), [side * half(s) * Math.sin(angle), 0, side * half(s) * Math.cos(angle)]);
  };
  return {
    start,
    dimensions: [
      entry({
        id: 'wheelAhead',
        name: 'Steering wheel ahead of seat',
        symbol: 'wa',
        limits: [50, 1300],
        meaning: 'Middle of the steering wheel ahead of where seat base and back rest meet.',
      }),
      entry({
        id: 'wheelHeight',
        name: 'Steering wheel height',
        symbol: 'wh',
        limits: [100, 1600],
        meaning: 'Middle of the steering wheel above the ground.',
      }),
      entry({
        id: 'steeringWheelDiameter',
        name: 'Steering wheel diameter',
        symbol: 'wd',
        limits: [150, 500],
        meaning: 'Over the rim’s middle, where the hands are.',
        feel: 'Larger turns lighter and takes room from the knees.',
      }),
      entry({
        id: 'columnAngle',
        name: 'Column angle',
        symbol: 'ca',
        quantity: 'angle',
        limits: [5, 85],
        meaning: 'Steering column from the ground, rising to the rider.',
      }),
    ],
    points: (s) => ({
      steeringWheel: centre(s),
      steeringWheelGround: [centre(s)[0], centre(s)[1], 0],
      columnFoot: foot(s),
      rimLow: rim(s, -1),
      rimHigh: rim(s, 1),
      seatUnderWheel: [s.seatAhead, 0, read(s, 'wheelHeight')],
    }),
    drawn: [
      { id: 'wheelAhead', view: 'side', as: 'level', from: 'seatUnderWheel', to: 'steeringWheel', near: -70 },
      {
        id: 'wheelHeight',
        view: 'side',
        as: 'upright',
        from: 'steeringWheelGround',
        to: 'steeringWheel',
        near: 30,
      },
    ],
    handles: [
      {
        point: 'steeringWheel',
        name: 'Steering wheel',
        views: ['side'],
        moves: ['wheelAhead', 'wheelHeight'],
      },
    ],
    pictured: pictured<S>(
      () => ({}),
      [
        { id: 'steeringWheelDiameter', view: 'side', as: 'aligned', from: 'rimLow', to: 'rimHigh', off: 30 },
        {
          id: 'columnAngle',
          view: 'side',
          as: 'angle',
          at: 'columnFoot',
          from: 180,
          turn: (value) => 180 - value,
          radius: 90,
        },
      ],
    ),
    of: (s) => ({ on: 'wheel', centre: centre(s), axis: up(s), radius: half(s), columnFoot: foot(s) }),
  };
}

/** Fore-and-aft travel radius of a side-stick's grip about its pivot, mm. Common practice, no source. */
const STICK = 260;

/** A stick each side of the seat. */
export function sideSticks<S extends SeatedState>(start: {
  gripsAhead: number;
  gripsHeight: number;
  barWidth: number;
}): Part<S, Hands> {
  const grips = (s: S): Vector => add(ofSeat(s), [read(s, 'gripsAhead'), 0, read(s, 'gripsHeight')]);
  const side = (s: S, of: 1 | -1): Vector => add(grips(s), [0, (of * read(s, 'barWidth')) / 2, 0]);
  return {
    start,
    dimensions: [
      entry({
        id: 'gripsAhead',
        name: 'Grips ahead of seat',
        symbol: 'ga',
        limits: [-200, 900],
        meaning: 'Middle of the grips ahead of where seat base and back rest meet.',
      }),
      entry({
        id: 'gripsHeight',
        name: 'Grips height',
        symbol: 'gz',
        limits: [50, 1300],
        meaning: 'Middle of the grips above the ground.',
      }),
      widthEntry(FIRST),
    ],
    points: (s) => ({
      grips: grips(s),
      gripsGround: [grips(s)[0], 0, 0],
      gripLeft: side(s, 1),
      gripRight: side(s, -1),
      seatUnderGrips: [s.seatAhead, 0, grips(s)[2]],
    }),
    drawn: [
      { id: 'gripsAhead', view: 'side', as: 'level', from: 'seatUnderGrips', to: 'grips', near: 34 },
      { id: 'gripsHeight', view: 'side', as: 'upright', from: 'gripsGround', to: 'grips', near: 0 },
      { id: 'barWidth', view: 'plan', as: 'aligned', from: 'gripRight', to: 'gripLeft', off: -34 },
    ],
    handles: [
      { point: 'grips', name: 'Grips', views: ['side', 'plan'], moves: ['gripsAhead', 'gripsHeight'] },
    ],
    of: (s) => ({ on: 'sticks', left: side(s, 1), right: side(s, -1), pivot: STICK }),
  };
}
