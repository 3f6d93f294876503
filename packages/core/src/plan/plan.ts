import type { BuildDocument } from '@larchwood/format';
import type { Finding } from '../findings/finding.js';
import type { Fixture } from '../fixture/setting.js';
import type { Frame } from '../frame/frame.js';
import type { PieceCut } from '../joints/cut.js';
import type { Interference } from '../joints/interference.js';
import type { MassModel } from '../mass/mass.js';
import type { PieceWeight } from '../mass/weight.js';
import type { Refusal } from '../stance/dimension.js';
import type { Stance } from '../stance/stance.js';
import type { MadeOne } from '../steering/made/registry.js';
import type { SteeringResult } from '../steering/steering.js';
import type { Tipping } from '../tipping/tipping.js';
import { Planner } from './planner.js';
import { parts, stage, type Stage } from './stage.js';
import type { BendSchedule } from '../bends/schedule.js';
import type { DrilledPiece } from '../holes/holes.js';
import { bends } from './stages/bends.js';
import { holes } from './stages/holes.js';
import { findings, steeringFound } from './stages/findings.js';
import { fixture } from './stages/fixture.js';
import { frame } from './stages/frame.js';
import { cuts, interferences } from './stages/joints.js';
import { made } from './stages/made.js';
import { mass, tipping, weights } from './stages/mass.js';
import { solved, stance } from './stages/stance.js';
import { steering } from './stages/steering.js';

/** Everything that follows from a build document at once; plain readonly data in mm, degrees and kg. */
export interface Plan {
  readonly name: string;
  readonly kind: string;
  readonly units: BuildDocument['units'];
  readonly paper: BuildDocument['paper'];
  readonly stance: Stance;
  /** The linkage, or why it cannot be; none where no linkage suits the vehicle. */
  readonly steering: SteeringResult | undefined;
  /** Parts of the front end that the builder makes. */
  readonly made: readonly MadeOne[];
  readonly frame: Frame;
  readonly cuts: readonly PieceCut[];
  /** Ends of pieces that are there already: bought to length, or part of a donor. */
  readonly given: readonly PieceCut[];
  /** Marks and turns of what is bent. */
  readonly bends: readonly BendSchedule[];
  /** What is drilled or sawn in tubes. */
  readonly holes: readonly DrilledPiece[];
  /** Tubes that overlap where neither is cut for the other. */
  readonly interferences: readonly Interference[];
  /** Mass of every tube as cut, and of every plate. */
  readonly weights: readonly PieceWeight[];
  readonly mass: MassModel;
  /** None where nothing has a weight. */
  readonly tipping: Tipping | undefined;
  /** In the school that is meant; it says why where that one cannot hold the frame. */
  readonly fixture: Fixture;
  readonly findings: readonly Finding[];
}
export type PlanResult =
  { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly refusals: readonly Refusal[] };

/** The plan as one: what every station may look at. */
const plan = stage(
  'plan',
  {
    document: parts('name', 'kind', 'units', 'paper'),
    stance,
    steering,
    made,
    frame,
    cuts,
    bends,
    holes,
    interferences,
    weights,
    mass,
    tipping,
    fixture,
    findings,
  },
  ({ document, cuts: { cuts: own, given }, ...rest }): Plan => ({ ...document, ...rest, cuts: own, given }),
);

/** What may lag behind while something is dragged: it stands in other stations, and costs the buggy half of a frame. */
export const WHILE_DRAGGED: ReadonlySet<Stage<unknown>> = new Set<Stage<unknown>>([
  ...[fixture, interferences, steering, made, steeringFound, bends, holes],
]);

/**
 * Computes a whole build, in the order builders work. A stance that no vehicle can have is refused with the dimension and
 * the limit; everything else that is wrong is a finding, and the plan still comes.
 * @param planner remembers what the builds before were made of, and makes anew only what has changed
 * @param resting stages that may stay as they are for now
 */
export function planBuild(
  document: BuildDocument,
  planner: Planner = new Planner(),
  resting?: ReadonlySet<Stage<unknown>>,
): PlanResult {
  const result = planner.ask(solved, document);
  return result.ok ? { ok: true, plan: planner.ask(plan, document, resting) } : result;
}
