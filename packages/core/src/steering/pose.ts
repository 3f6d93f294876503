import type { Positions } from './chain.js';
import type { SteeringResult } from './steering.js';
import type { SteeringSweep } from './sweep.js';

/**
 * Where everything is when the wheel that turns further is turned so far, between the steps of the sweep in proportion;
 * at the end of the sweep where the steering goes no further.
 * @param steer degrees about its steering axis, to the left
 */
export function positionsAt({ steps }: SteeringSweep, wheels: readonly string[], steer: number): Positions {
  const middle = Math.floor(steps.length / 2);
  const side = steer < 0 ? -1 : 1;
  const turned = (index: number) =>
    Math.max(...wheels.map((body) => side * (steps[index]?.positions[body] ?? 0)));
  const wanted = Math.abs(steer);
  let [near, far] = [middle, side > 0 ? steps.length - 1 : 0];
  const end = steps[far];
  if (!end) return {};
  if (turned(far) <= wanted) return end.positions;
  while (Math.abs(far - near) > 1) {
    const between = Math.round((near + far) / 2);
    if (turned(between) <= wanted) near = between;
    else far = between;
  }
  const [a, b] = [turned(near), turned(far)];
  const share = b > a ? (wanted - a) / (b - a) : 0;
  const [from, to] = [steps[near]!.positions, steps[far]!.positions];
  return Object.fromEntries(
    Object.entries(from).map(([body, at]) => [body, at + share * ((to[body] ?? at) - at)]),
  );
}

/** Turn of each steered wheel about its axis, by its id, when the one that turns further is turned so far; degrees. */
export function turnsAt(
  { steering }: { readonly steering?: SteeringResult | undefined },
  steer: number,
): (wheel: string) => number {
  if (!steering?.ok) return () => steer;
  const { chain } = steering.steering.built;
  const positions = positionsAt(steering.steering.sweep, Object.values(chain.wheels), steer);
  return (wheel) => positions[chain.wheels[wheel] ?? ''] ?? steer;
}
