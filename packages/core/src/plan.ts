import type { BuildDocument } from '@larchwood/format';
import type { Finding } from './findings/finding.js';
import { fixtureOf } from './fixture/fixture.js';
import type { Fixture } from './fixture/setting.js';
import { frameOf, type Frame } from './frame/frame.js';
import { jointFindings } from './joints/findings.js';
import { frameWeight, type PieceWeight } from './frame/weight.js';
import { findInterferences, type Interference } from './joints/interference.js';
import type { PieceCut } from './joints/cut.js';
import { cutPieces } from './joints/pieceCut.js';
import type { Refusal } from './stance/dimension.js';
import { massOf, type MassModel } from './mass/mass.js';
import { seatFindings } from './seat/findings.js';
import { tippingOf, type Tipping } from './tipping/tipping.js';
import { briefFindings } from './stance/briefFindings.js';
import { stanceFindings } from './stance/findings.js';
import { stanceOf, type Stance } from './stance/stance.js';

/** Everything that follows from a build document; plain readonly data in mm, degrees and kg. */
export interface Plan {
  readonly name: string;
  readonly kind: string;
  readonly units: BuildDocument['units'];
  readonly paper: BuildDocument['paper'];
  readonly stance: Stance;
  readonly frame: Frame;
  readonly cuts: readonly PieceCut[];
  /** Ends of pieces that are there already: bought to length, or part of a donor. */
  readonly given: readonly PieceCut[];
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

/**
 * Computes a whole build, in the order builders work. A stance that no vehicle can have is refused with the dimension and
 * the limit; everything else that is wrong is a finding, and the plan still comes. Given the plan from before a change,
 * cuts that the change does not touch are taken from it.
 */
export function planBuild(document: BuildDocument, before?: Plan): PlanResult {
  const solved = stanceOf(document);
  if (!solved.ok) return solved;
  const { stance } = solved;
  const frame = frameOf(document, stance);
  const ends = cutPieces(frame, before);
  const there = new Set(frame.pieces.flatMap((piece) => (piece.supplied ? [piece.id] : [])));
  const cuts = ends.filter((cut) => !there.has(cut.piece));
  const given = ends.filter((cut) => there.has(cut.piece));
  const interferences = findInterferences(frame, ends, before);
  const weights = frameWeight(frame, ends);
  const fixture = fixtureOf({ document, stance, frame, cuts });
  const mass = massOf(document, stance, weights);
  const tipping = mass.laden.mass > 0 && mass.laden.at[2] > 0 ? tippingOf(mass.laden, stance) : undefined;
  const findings = [
    ...stanceFindings(stance),
    ...briefFindings(document, stance),
    ...seatFindings(document, stance, mass, tipping),
    ...frame.findings,
    ...jointFindings(cuts, frame, interferences, document),
    ...fixture.findings,
  ];
  const { name, kind, units, paper } = document;
  return {
    ok: true,
    plan: {
      name,
      kind,
      units,
      paper,
      stance,
      frame,
      cuts,
      given,
      interferences,
      weights,
      mass,
      tipping,
      fixture,
      findings,
    },
  };
}
