import { glMatrix, quat, vec3 } from 'gl-matrix';
import type { Fixture, Keys, Stance, Vector } from '@larchwood/core';

// Numbers of full length: a fixture is read to hundredths over metres.
glMatrix.setMatrixArrayType(Array);

type Points = Record<string, Vector>;
const DEGREE = Math.PI / 180;

/**
 * Sets up a fixture from what is printed and nothing else: the names and readings of its settings, as a builder would with
 * tape and protractor. Gives the key points in a frame of the fixture's own; written apart from the schools, from their words.
 */
export function pointsFromPrint(
  fixture: Fixture,
  size: (id: string) => number,
  /** Of the head tube, as it was cut. */
  headLength: number,
): Points {
  const read = new Map(fixture.settings.map(({ id, reading }) => [id, reading]));
  const of = (id: string): number => {
    const value = read.get(id);
    if (value === undefined) throw new Error(`Nothing is printed for ${id}.`);
    return value;
  };
  const plumb = (): Points => {
    const names = [...read.keys()].filter((id) => id.endsWith('.z') && read.has(`${id.slice(0, -2)}.y`));
    return Object.fromEntries(
      names.map((id) => {
        const name = id.slice(0, -2);
        return [name, [of(`${name}.x`), of(`${name}.y`), of(`${name}.z`)] as Vector];
      }),
    );
  };
  switch (fixture.school) {
    case 'slide-and-post': {
      const tilt = of('headAngle') * DEGREE;
      const post = (way: number): Vector => [
        of('headCarriage') - way * Math.cos(tilt),
        0,
        size('pivotHeight') + way * Math.sin(tilt),
      ];
      const lower = of('lowerCone') - 250 + size('lowerConeHeight');
      const upper = of('upperCone') - 250 - size('upperConeHeight');
      const seat = of('seatAngle') * DEGREE;
      const up = of('seatCone') - size('seatConeHeight');
      return {
        bottomBracket: [0, 0, 0],
        axle: [-of('axleBehind'), 0, of('axleAbove') - 100],
        seatTop: [-up * Math.cos(seat), 0, up * Math.sin(seat)],
        headLower: post(lower),
        headUpper: post(upper),
      };
    }
    case 'wall-board': {
      // Each centre line through its two marks on the border: a x + b y = c.
      const mark = (id: string): readonly [number, number] => {
        const { name } = fixture.settings.find((setting) => setting.id === id)!;
        const at = of(id);
        if (name.includes('base edge')) return [at, 0];
        if (name.includes('top edge')) return [at, size('height')];
        return name.includes('rear edge') ? [0, at] : [size('width'), at];
      };
      const at = (head: string, height: number): Vector => {
        const [[x0, y0], [x1, y1]] = [mark(`${head}.a`), mark(`${head}.b`)];
        const [a, b] = [y1 - y0, x0 - x1];
        return [(a * x0 + b * y0 - b * height) / a, 0, height];
      };
      const lineOf = (group: string) =>
        fixture.settings.find((each) => each.group === group && each.id.endsWith('.a'))!.id.slice(0, -2);
      const headGroup = fixture.settings.find(({ id }) => id === 'headFace')!.group;
      const lower = at(lineOf(headGroup), of('headFace'));
      const ends = [mark(`${lineOf(headGroup)}.a`), mark(`${lineOf(headGroup)}.b`)].sort(
        (p, q) => p[1] - q[1],
      );
      const way = [ends[1]![0] - ends[0]![0], ends[1]![1] - ends[0]![1]] as const;
      const share = headLength / Math.hypot(...way);
      return {
        axle: [of('axle.x'), 0, of('axle.z')],
        ...(read.has('bb.x') ? { bottomBracket: [of('bb.x'), 0, of('bb.z')] as Vector } : {}),
        headLower: lower,
        headUpper: [lower[0] + share * way[0], 0, lower[2] + share * way[1]],
      };
    }
    case 'spine': {
      const names = [...read.keys()].filter((id) => id.endsWith('.station')).map((id) => id.slice(0, -8));
      return Object.fromEntries(
        names.map((name) => {
          const [radius, turn] = [of(`${name}.radius`), of(`${name}.turn`) * DEGREE];
          return [name, [of(`${name}.station`), radius * Math.sin(turn), radius * Math.cos(turn)] as Vector];
        }),
      );
    }
    default:
      return plumb();
  }
}

/** A rigid part as it hangs on a line through two points, turned as the line turns. */
function hung(rest: Vector, before: Vector, after: Vector): vec3 {
  const axis = vec3.cross(vec3.create(), unit(before), unit(after));
  const angle = Math.asin(Math.min(1, vec3.length(axis)));
  const turn = quat.setAxisAngle(quat.create(), vec3.normalize(axis, axis), angle);
  return vec3.transformQuat(vec3.create(), vec3.fromValues(...rest), turn);
}
const unit = (v: Vector): vec3 => vec3.normalize(vec3.create(), vec3.fromValues(...v));
const less = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

/**
 * Wheelbase and lean of the steering axis that three or more points give, from distances and angles between them alone, so
 * that it does not matter how the fixture stands. The fork or knuckle is hung on its axis by a quaternion.
 */
export function measuredFrame(
  stance: Stance,
  keys: Keys,
  points: Points,
): { readonly wheelbase: number; readonly headAngle: number; readonly trail: number } {
  const [lower, upper] = keys.headLower
    ? (['headLower', 'headUpper'] as const)
    : (['kingpinLowLeft', 'kingpinTopLeft'] as const);
  const wheel = stance.steered[0]!;
  const nominal = less(keys[upper]!.at, keys[lower]!.at);
  const set = less(points[upper]!, points[lower]!);
  // Wheel centre from the axis' lower point, in the turned frame.
  const centre = hung(less(wheel.centre, keys[lower]!.at), nominal, set);
  const front: Vector = [
    points[lower]![0] + centre[0]!,
    points[lower]![1] + centre[1]!,
    points[lower]![2] + centre[2]!,
  ];
  const rearWheel = stance.standing.find(({ end }) => end === 'rear')!;
  const rear: Vector = [
    points.axle![0] + rearWheel.centre[0] - keys.axleLeft!.at[0],
    0,
    points.axle![2] + rearWheel.centre[2] - keys.axleLeft!.at[2],
  ];
  // Both wheels of a side stand on the ground: turn until their bottoms are level, by halving.
  const [rearHeight, frontHeight] = [rearWheel.centre[2], wheel.centre[2]];
  const turned = (v: Vector, pitch: number): Vector => [
    v[0] * Math.cos(pitch) + v[2] * Math.sin(pitch),
    v[1],
    -v[0] * Math.sin(pitch) + v[2] * Math.cos(pitch),
  ];
  const over = (pitch: number) =>
    turned(front, pitch)[2] - frontHeight - (turned(rear, pitch)[2] - rearHeight);
  let [low, high] = [-0.2, 0.2];
  for (let round = 0; round < 60; round += 1) {
    const mid = (low + high) / 2;
    if (over(mid) > 0) low = mid;
    else high = mid;
  }
  const [f, r, axis, foot] = [front, rear, set, points[lower]!].map((v) => turned(v, low)) as [
    Vector,
    Vector,
    Vector,
    Vector,
  ];
  const ground = f[2] - frontHeight;
  const meets = foot[0] + (axis[0] * (ground - foot[2])) / axis[2];
  return {
    wheelbase: f[0] - r[0],
    headAngle: Math.atan2(axis[2], -axis[0]) / DEGREE,
    trail: meets - f[0],
  };
}
