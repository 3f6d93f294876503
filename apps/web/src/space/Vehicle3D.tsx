import { useMemo } from 'react';
import { CylinderGeometry, Quaternion, Vector3 } from 'three';
import {
  add,
  distance,
  figureOf,
  scale,
  THICKNESS,
  type Plan,
  type RiderPlace,
  type StandingWheel,
  type Vector,
} from '@larchwood/core';
import { tinted, wheelGeometry } from './geometry';
import type { Palette } from './palette';
import { useDisposal } from './useDisposal';

/** Wheels as tyres, without spokes. */
export function Wheels({ plan, palette }: { readonly plan: Plan; readonly palette: Palette }) {
  return plan.stance.standing.map((wheel) => <Wheel key={wheel.id} wheel={wheel} palette={palette} />);
}

function Wheel({ wheel, palette }: { readonly wheel: StandingWheel; readonly palette: Palette }) {
  const tyre = useMemo(() => tinted(wheelGeometry(wheel), palette.quiet), [wheel, palette]);
  useDisposal(tyre);
  return (
    <mesh geometry={tyre}>
      <meshBasicMaterial vertexColors />
    </mesh>
  );
}

const UNIT = new CylinderGeometry(1, 1, 1, 10, 1);

function Limb({
  from,
  to,
  radius,
  palette,
}: {
  readonly from: Vector;
  readonly to: Vector;
  readonly radius: number;
  readonly palette: Palette;
}) {
  const [x, y, z] = scale(add(from, to), 0.5);
  const long = distance(from, to);
  const turn = new Quaternion().setFromUnitVectors(
    new Vector3(0, 1, 0),
    new Vector3(to[0] - from[0], to[1] - from[1], to[2] - from[2]).normalize(),
  );
  return (
    <mesh geometry={UNIT} position={[x, y, z]} quaternion={turn} scale={[radius, long, radius]}>
      <meshLambertMaterial color={palette.steel} transparent opacity={0.7} />
    </mesh>
  );
}

/** Riders as rods and a ball, pedals down and straight ahead. */
export function Riders3D({ plan, palette }: { readonly plan: Plan; readonly palette: Palette }) {
  return plan.stance.places.map((place) => <Rider3D key={place.id} place={place} palette={palette} />);
}

function Rider3D({ place, palette }: { readonly place: RiderPlace; readonly palette: Palette }) {
  const { hip, shoulder, head, legs, arms } = figureOf(place, { crank: 75, steer: 0 });
  const { stature } = place.body;
  const limbs: readonly (readonly [Vector, Vector, number])[] = [
    [hip, shoulder, THICKNESS.trunk],
    ...[legs.left, legs.right].flatMap(
      (leg) =>
        [
          [leg.hip, leg.knee, THICKNESS.thighAtKnee],
          [leg.knee, leg.ankle, THICKNESS.calf],
          [leg.heel, leg.toe, THICKNESS.foot],
        ] as const,
    ),
    ...[arms.left, arms.right].flatMap(
      (arm) =>
        [
          [arm.shoulder, arm.elbow, THICKNESS.upperArm],
          [arm.elbow, arm.wrist, THICKNESS.forearm],
        ] as const,
    ),
  ];
  return (
    <>
      {limbs.map(([from, to, thick], index) => (
        <Limb key={index} from={from} to={to} radius={thick * stature} palette={palette} />
      ))}
      <mesh position={[...head]}>
        <sphereGeometry args={[THICKNESS.head * stature, 14, 10]} />
        <meshLambertMaterial color={palette.steel} transparent opacity={0.7} />
      </mesh>
    </>
  );
}
