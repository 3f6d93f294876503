import { farthestCrank, figureOf, sideAngle, type Figure } from '../../../rider/figure.js';
import type { RiderPlace } from '../../../rider/place.js';
import type { Vector } from '../../../vector/vector.js';
import type { Drawn, Picture, Points, State } from '../../dimension.js';
import { pictured, type Pictured } from '../../pictures/pictured.js';
import type { Naming } from './part.js';

/** Joints that dimensions stand on: the leg at full stretch, the right-hand side. */
export function figurePoints({ id }: Naming, place: RiderPlace): Points {
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

export function figureDrawn<S extends object>({ id }: Naming, placeIn: (state: S) => RiderPlace): Drawn[] {
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
export function figurePictures<S extends object>(
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
