import { toDegrees, toRadians } from '../../units/angle.js';
import { along, mirror, scale, subtract, turn, unit, type Vector } from '../../vector/vector.js';
import { assembly, entry, worked, type Assembly } from '../assembly.js';
import type { SteeredWheel } from '../dimension.js';
import { axisAtHeight, contactOf, downInPlane, steered } from '../steering.js';
import { twoTrackPictures } from '../pictures/twoTrack.js';
import type { TwoTrackState, WheelbaseState } from '../states.js';

/**
 * The left front wheel and its steering axis. The patch stands at half the track; camber and toe turn the disc about it.
 * The axis passes through the point on the spindle that lies `spindleLength` inward of the wheel's centre, moved back
 * so that the wheel leads the axis by `spindleOffset`, square to the axis in the side view.
 */
export function leftFront(s: TwoTrackState): SteeredWheel {
  const [camber, toe] = [toRadians(s.camber), toRadians(s.toe)];
  const [caster, inclination] = [Math.tan(toRadians(s.caster)), Math.tan(toRadians(s.kingpinInclination))];
  const spindle: Vector = [
    Math.sin(toe) * Math.cos(camber),
    Math.cos(toe) * Math.cos(camber),
    -Math.sin(camber),
  ];
  const patch: Vector = [s.wheelbase, s.frontTrack / 2, 0];
  const centre = along(patch, downInPlane(spindle), -s.frontRadius);
  const inward = along(centre, spindle, -s.spindleLength);
  const back = s.spindleOffset / Math.cos(toRadians(s.caster));
  return {
    id: 'frontLeft',
    end: 'front',
    centre,
    spindle,
    radius: s.frontRadius,
    width: s.frontWidth,
    axisPoint: subtract(inward, [back, 0, 0]),
    axis: unit([-caster, -inclination, 1]),
  };
}

/** The right wheel: the left one's mirror twin, its spindle still pointing left. */
export function rightFront(s: TwoTrackState): SteeredWheel {
  const left = leftFront(s);
  return {
    ...left,
    id: 'frontRight',
    centre: mirror(left.centre),
    spindle: scale(mirror(left.spindle), -1),
    axisPoint: mirror(left.axisPoint),
    axis: mirror(left.axis),
  };
}

const axisGround = (s: TwoTrackState): Vector => axisAtHeight(leftFront(s), 0);
const ROTATION = 'exact rotation about the steering axis; thin disc, rigid tyre';
/** Steering angle at which camber and drop are told as readings. */
const TOLD_AT = 20;

/** All points that this end adds move with its wheels. */
const UNSPRUNG = [
  'frontLeftAxle',
  'frontRightAxle',
  'frontLeftContact',
  'frontRightContact',
  'kingpin',
  'kingpinRight',
  'kingpinLow',
  'kingpinLowRight',
  'kingpinTop',
  'kingpinTopRight',
  'axisGround',
  'axisGroundRight',
  'axisGroundSide',
];

/** Two steered wheels on leaning kingpins: tadpole trikes, karts, buggies. */
export const twoTrackFront = (start: Omit<TwoTrackState, keyof WheelbaseState>): Assembly =>
  assembly<TwoTrackState>({
    start: { ...start },
    dimensions: [
      entry({
        id: 'frontTrack',
        name: 'Front track',
        symbol: 'Tf',
        limits: [200, 2500],
        meaning: 'Middle of one front contact patch to the other.',
        feel: 'Wider resists tipping and asks for more room.',
        letGo: ['pinTrack'],
      }),
      entry({
        id: 'caster',
        name: 'Caster',
        symbol: 'c',
        quantity: 'angle',
        limits: [-10, 40],
        meaning: 'Steering axis from the vertical in the side view; positive when its top leans rearward.',
        feel: 'More caster: heavier steering and a stronger return to straight ahead.',
        otherWord:
          'Some builders call this same lean negative: go by the picture, not the sign. Bicycle builders would say a head angle of 90° − c.',
      }),
      entry({
        id: 'kingpinInclination',
        name: 'Kingpin inclination',
        symbol: 'k',
        quantity: 'angle',
        limits: [-10, 40],
        meaning: 'Steering axis from the vertical in the front view; positive when its top leans inward.',
        feel: 'Aimed at the contact patch, bumps and braking do not pull at the steering.',
      }),
      entry({
        id: 'spindleOffset',
        name: 'Spindle offset',
        symbol: 'e',
        limits: [-150, 150],
        meaning:
          'Wheel centre ahead of the steering axis, square to it in the side view, before toe is set; negative when behind.',
        feel: 'Ahead takes caster trail away, behind adds to it.',
      }),
      entry({
        id: 'spindleLength',
        name: 'Spindle length',
        symbol: 'b',
        limits: [0, 400],
        meaning: 'Wheel centre out from the steering axis, along the spindle.',
        letGo: ['scrubRadius'],
      }),
      entry({
        id: 'camber',
        name: 'Camber',
        symbol: 'g',
        quantity: 'angle',
        limits: [-15, 15],
        meaning: 'Lean of the wheel straight ahead; positive when its top leans outward.',
      }),
      entry({
        id: 'toe',
        name: 'Toe of each wheel',
        symbol: 'p',
        quantity: 'angle',
        limits: [-5, 5],
        meaning: 'Front of the wheel turned inward, straight ahead; negative when turned outward.',
        letGo: ['toeDifference'],
      }),
      worked<TwoTrackState>({
        id: 'casterTrail',
        name: 'Caster trail',
        symbol: 't',
        formula: 't = (Rf·cos g + b·sin g)·tan c − (b·cos g − Rf·sin g)·sin p − e / cos c',
        source: 'plane trigonometry; with neither camber nor toe it is Rf·tan c − e / cos c',
        meaning: 'Contact patch behind the point where the steering axis meets the ground.',
        feel: 'More trail: heavier steering and a stronger return.',
        letGo: ['spindleOffset', 'caster'],
        of: (s) => axisGround(s)[0] - s.wheelbase,
      }),
      worked<TwoTrackState>({
        id: 'scrubRadius',
        name: 'Scrub radius',
        symbol: 'sc',
        formula: 'sc = (b·cos g − Rf·sin g)·cos p − (Rf·cos g + b·sin g)·tan k',
        source: 'plane trigonometry; with neither camber nor toe it is b − Rf·tan k',
        meaning: 'Contact patch out from the point where the steering axis meets the ground.',
        feel: 'Small: braking on one wheel and bumps hardly pull. Large: they do, and the wheels steer heavier at rest.',
        letGo: ['spindleLength', 'kingpinInclination'],
        of: (s) => s.frontTrack / 2 - axisGround(s)[1],
      }),
      worked<TwoTrackState>({
        id: 'pinTrack',
        name: 'Pin track',
        symbol: 'Tp',
        formula: 'Tp = Tf − 2·sc',
        source: ROTATION,
        meaning: 'From one steering axis to the other, at the ground.',
        letGo: ['frontTrack', 'spindleLength'],
        of: (s) => 2 * axisGround(s)[1],
      }),
      worked<TwoTrackState>({
        id: 'toeDifference',
        name: 'Toe across the tyres',
        symbol: 'TD',
        formula: 'TD = 4·Rf·sin p',
        meaning: 'Rear tyre edges further apart than the front ones, at axle height.',
        otherWord: 'Toe-in as read with a tape; negative is toe-out.',
        letGo: ['toe'],
        of: (s) => 4 * s.frontRadius * Math.sin(toRadians(s.toe)),
      }),
      worked<TwoTrackState>({
        id: 'frontOverWheels',
        name: 'Width over front wheels',
        symbol: 'WF',
        formula: 'WF = Tf + wf',
        meaning: 'Outside of one front tyre to the outside of the other, at the ground.',
        letGo: ['frontTrack'],
        of: (s) => s.frontTrack + s.frontWidth,
      }),
      worked<TwoTrackState>({
        id: 'insideDrop',
        name: `Inner drop at ${TOLD_AT}°`,
        symbol: 'zi',
        formula: '',
        source: ROTATION,
        meaning: `How far the inside wheel’s patch comes down when its axis is turned ${TOLD_AT}°. With the outside one rising it lifts the inside rear wheel of a kart.`,
        feel: 'More drop: the inside rear wheel lifts sooner and a locked axle turns more freely.',
        letGo: ['caster', 'spindleLength'],
        of: (s) => steered(leftFront(s), TOLD_AT).drop,
      }),
      worked<TwoTrackState>({
        id: 'outsideCamber',
        name: `Outer camber at ${TOLD_AT}°`,
        symbol: 'go',
        quantity: 'angle',
        formula: '',
        source: ROTATION,
        meaning: `Lean of the outside wheel when its axis is turned ${TOLD_AT}°; negative leans into the bend.`,
        letGo: ['caster', 'camber'],
        of: (s) => steered(leftFront(s), -TOLD_AT).camber,
      }),
    ],
    points: (s) => {
      const left = leftFront(s);
      const ground = axisAtHeight(left, 0);
      const top = axisAtHeight(left, s.frontRadius * 1.5);
      const low = axisAtHeight(left, s.frontRadius * 0.6);
      const patch = contactOf(left);
      return {
        frontLeftAxle: left.centre,
        frontRightAxle: mirror(left.centre),
        frontLeftContact: patch,
        frontRightContact: mirror(patch),
        kingpin: left.axisPoint,
        kingpinRight: mirror(left.axisPoint),
        kingpinLow: low,
        kingpinLowRight: mirror(low),
        kingpinTop: top,
        kingpinTopRight: mirror(top),
        axisGround: ground,
        axisGroundRight: mirror(ground),
        axisGroundSide: [ground[0], 0, 0],
      };
    },
    pictured: [twoTrackPictures(TOLD_AT, (s) => leftFront(s).axisPoint)],
    unsprung: Object.fromEntries(UNSPRUNG.map((name) => [name, 'front' as const])),
    wheels: (s) => [leftFront(s), rightFront(s)],
    steered: (s) => [leftFront(s), rightFront(s)],
    front: {
      // The wheels go straight up until links of their own are drawn.
      axle: (s, compression) => ({ x: s.wheelbase, z: s.frontRadius + compression }),
      travels: 'straight up at the wheels',
      lean: { id: 'caster', name: 'Caster', symbol: 'c' },
      pitched: casterAtPitch,
    },
    outline: [
      { from: 'axisGround', to: 'kingpinTop', as: 'axis' },
      { from: 'axisGroundRight', to: 'kingpinTopRight', as: 'axis' },
      { from: 'kingpin', to: 'frontLeftAxle', as: 'fork' },
      { from: 'kingpinRight', to: 'frontRightAxle', as: 'fork' },
      { from: 'kingpinLow', to: 'kingpinTop', as: 'part', stays: true },
      { from: 'kingpinLowRight', to: 'kingpinTopRight', as: 'part', stays: true },
      { from: 'kingpin', to: 'kingpinRight', as: 'axle' },
    ],
    drawn: [
      { id: 'casterTrail', view: 'side', as: 'level', from: 'frontContact', to: 'axisGroundSide', row: 1 },
      {
        id: 'caster',
        view: 'side',
        as: 'angle',
        at: 'axisGround',
        from: 90,
        turn: (value) => 90 + value,
        radius: 130,
      },
      {
        id: 'frontTrack',
        view: 'plan',
        as: 'upright',
        from: 'frontRightContact',
        to: 'frontLeftContact',
        column: 2,
      },
      { id: 'pinTrack', view: 'plan', as: 'upright', from: 'axisGroundRight', to: 'axisGround', column: 1 },
      {
        id: 'frontTrack',
        view: 'front',
        as: 'level',
        from: 'frontRightContact',
        to: 'frontLeftContact',
        row: 2,
      },
      { id: 'pinTrack', view: 'front', as: 'level', from: 'axisGroundRight', to: 'axisGround', row: 1 },
      { id: 'scrubRadius', view: 'front', as: 'level', from: 'axisGround', to: 'frontLeftContact', row: 1 },
      { id: 'spindleLength', view: 'front', as: 'aligned', from: 'kingpin', to: 'frontLeftAxle', off: 34 },
      {
        id: 'kingpinInclination',
        view: 'front',
        as: 'angle',
        at: 'axisGround',
        from: 90,
        turn: (value) => 90 + value,
        radius: 120,
      },
    ],
    handles: [
      {
        point: 'frontLeftContact',
        name: 'Front contact patch',
        views: ['plan', 'front'],
        moves: ['frontTrack', 'wheelbase', 'frontOverWheels', 'pedalsAhead'],
      },
      {
        point: 'axisGround',
        name: 'Foot of the steering axis',
        views: ['side', 'front'],
        moves: ['spindleOffset', 'casterTrail', 'caster', 'kingpinInclination', 'scrubRadius'],
      },
    ],
  });

/** Caster and caster trail when the whole vehicle is pitched nose up by so many degrees. */
function casterAtPitch(s: TwoTrackState, pitch: number): { lean: number; trail: number } {
  const left = leftFront(s);
  const turned = (direction: Vector) => turn(direction, [0, 1, 0], -pitch);
  const axis = turned(left.axis);
  const turnedWheel = { ...left, centre: [0, 0, 0] as const, spindle: turned(left.spindle) };
  const patch = contactOf(turnedWheel);
  const ground = axisAtHeight({ axis, axisPoint: turned(subtract(left.axisPoint, left.centre)) }, patch[2]);
  return { lean: toDegrees(Math.atan2(-axis[0], axis[2])), trail: ground[0] - patch[0] };
}
