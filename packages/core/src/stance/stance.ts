import type { BuildDocument } from '../document/schema.js';
import type { Vector } from '../vector/vector.js';
import { straightAxleToCrown } from './singleTrack.js';
import type { Band, Kind, Refusal } from './dimension.js';
import { findKind } from './kinds/registry.js';
import { solveStance } from './solve.js';
import { rollingWheel, type RollingWheel } from './wheels.js';

export interface Stance {
  readonly kind: string;
  /** Every dimension's value by id; mm and degrees. */
  readonly values: Readonly<Record<string, number>>;
  readonly held: readonly string[];
  readonly points: Readonly<Record<string, Vector>>;
  readonly wheels: { readonly front: RollingWheel; readonly rear: RollingWheel };
  readonly bands: Readonly<Record<string, Band>>;
  /** Unit vector up the steering axis. */
  readonly steeringAxis: Vector;
}
export type StanceResult =
  | { readonly ok: true; readonly stance: Stance }
  | { readonly ok: false; readonly refusals: readonly Refusal[] };

/** Solves the stance a document describes. Wheels give the two radii; everything else is held in the document. */
export function stanceOf(document: BuildDocument): StanceResult {
  const kind = findKind(document.kind);
  if (!kind)
    return {
      ok: false,
      refusals: [{ where: 'kind', message: `“${document.kind}” is not a kind this version knows.` }],
    };
  const front = rollingWheel(document.wheels.front);
  const rear = rollingWheel(document.wheels.rear);
  if (!front.ok || !rear.ok) {
    const refusals: Refusal[] = [];
    if (!front.ok) refusals.push({ where: 'wheels.front', message: front.message });
    if (!rear.ok) refusals.push({ where: 'wheels.rear', message: rear.message });
    return { ok: false, refusals };
  }
  const held = { ...document.stance.held, rearRadius: rear.value.radius, frontRadius: front.value.radius };
  const solved = solveStance(kind, withStraightFork(held, document.stance.forkMeasured));
  if (!solved.ok) return solved;
  const { values } = solved;
  const angle = ((values.headAngle ?? 90) * Math.PI) / 180;
  return {
    ok: true,
    stance: {
      kind: kind.id,
      values: { ...values, axleToCrown: document.stance.held.axleToCrown ?? values.axleToCrown! },
      held: Object.keys(held),
      points: kind.points(solved.state),
      wheels: { front: front.value, rear: rear.value },
      bands: bandsFor(kind, document.startingSet),
      steeringAxis: [-Math.cos(angle), 0, Math.sin(angle)],
    },
  };
}

/** The kind's geometry uses the straight axle-to-crown length; a length measured along the axis is turned into it. */
function withStraightFork(
  held: Readonly<Record<string, number>>,
  measured: 'straight' | 'alongAxis',
): Readonly<Record<string, number>> {
  const { axleToCrown, forkOffset } = held;
  if (measured === 'straight' || axleToCrown === undefined || forkOffset === undefined) return held;
  return { ...held, axleToCrown: straightAxleToCrown(axleToCrown, forkOffset) };
}

function bandsFor(kind: Kind, startingSet: string | undefined): Readonly<Record<string, Band>> {
  const set = kind.startingSets.find((candidate) => candidate.id === startingSet) ?? kind.startingSets[0];
  return set ? (kind.bands[set.bands] ?? {}) : {};
}
