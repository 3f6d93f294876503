import { namedPoint } from '../stance/namedPoint.js';
import type { BuildDocument, Lump } from '@larchwood/format';
import type { PieceWeight } from './weight.js';
import { figureOf } from '../rider/figure.js';
import type { LumpSort } from '@larchwood/format';
import type { Stance } from '../stance/stance.js';
import { massBothWays } from '../units/mass.js';
import { add, type Vector } from '../vector/vector.js';
import { contactsOf, wheelLoads, type WheelLoad } from './loads.js';
import { riderWeights, together, type Weight } from './rider.js';
import { weighed, type Measured, type ScaleFault, type ScalesResult } from './scales.js';

export interface MassPart extends Weight {
  readonly id: string;
  readonly name: string;
  readonly sort: LumpSort | 'rider' | 'tubes' | 'plates';
}
/** The vehicle as it stands on its wheels. */
export interface Laden extends Weight {
  readonly loads: readonly WheelLoad[];
}
export interface MassModel {
  readonly parts: readonly MassPart[];
  readonly bare: Laden;
  readonly laden: Laden;
  /** What the scales gave, where they were read: it takes the place of the estimate. */
  readonly measured: Measured | undefined;
  readonly faults: readonly ScaleFault[];
}

/** Mass of a rider of whom the brief says nothing, kg. */
export const SET_MASS = 75;
/** Cranks level, steering straight: how riders are weighed. */
const AT_REST = { crank: 0, steer: 0 } as const;

/**
 * Every mass of a build and where it is; total, centre of gravity and wheel loads, with and without riders.
 * @param document lumps and riders, kg and mm
 * @param stance solved, mm
 * @param frame the weight of every piece, kg
 * @returns kg, mm, and the share on each wheel
 */
export function massOf(
  document: Pick<BuildDocument, 'mass' | 'brief' | 'seat'>,
  stance: Stance,
  frame: readonly PieceWeight[],
): MassModel {
  const carried = [
    ...ofFrame(frame, 'tube'),
    ...ofFrame(frame, 'plate'),
    ...document.mass.lumps.map((lump) => lumpAt(lump, stance)),
  ];
  const riders = ridersOf(document, stance);
  const estimate = { bare: together(carried), laden: together([...carried, ...riders]) };
  const contacts = contactsOf(stance.standing);
  const { scales } = document.mass;
  const result = scales && plausible(weighed(scales, stance), together(riders).mass, scales.aboard);
  const measured = result?.ok ? result.measured : undefined;
  const own = measured ? replaced(estimate, together(riders), measured, scales!.aboard) : estimate;
  const standing = (weight: Weight): Laden => ({ ...weight, loads: wheelLoads(weight, contacts) });
  return {
    parts: [...carried, ...riders],
    bare: standing(own.bare),
    laden: standing(own.laden),
    measured,
    faults: result?.ok === false ? result.faults : [],
  };
}

/** With riders aboard, more stands on the scales than they weigh. */
function plausible(result: ScalesResult, riders: number, aboard: boolean): ScalesResult {
  if (!result.ok || !aboard || result.measured.mass > riders) return result;
  const message = `The scales show ${massBothWays(result.measured.mass)}, and the riders alone weigh ${massBothWays(riders)}: were they aboard?`;
  return { ok: false, faults: [{ where: 'level', message }] };
}

/** Where a lump is: with its stance point, or in the vehicle's axes. */
export function lumpAt({ id, name, sort, mass, point, offset }: Lump, stance: Stance): MassPart {
  const from = namedPoint(stance, point) ?? ([0, 0, 0] as const);
  return { id, name, sort, mass, at: add(from, offset as Vector) };
}

const FRAME_PARTS = {
  tube: { id: 'tubes', name: 'Tubes', sort: 'tubes' },
  plate: { id: 'plates', name: 'Plates', sort: 'plates' },
} as const;

function ofFrame(frame: readonly PieceWeight[], sort: PieceWeight['sort']): MassPart[] {
  const parts = frame.filter((part) => part.sort === sort);
  return parts.length === 0 ? [] : [{ ...FRAME_PARTS[sort], ...together(parts) }];
}

function ridersOf({ brief, seat }: Pick<BuildDocument, 'brief' | 'seat'>, stance: Stance): MassPart[] {
  return stance.places.map((place, index) => {
    const rider = brief.riders[seat.aboard[index] ?? index];
    const weights = riderWeights(figureOf(place, AT_REST), rider?.mass ?? SET_MASS);
    const name = rider?.name ?? place.name;
    return { id: place.id === '' ? 'rider' : place.id, name, sort: 'rider', ...together(weights) };
  });
}

/** The measured state in place of the estimated one; the other follows by the riders' share. */
function replaced(
  estimate: { readonly bare: Weight; readonly laden: Weight },
  riders: Weight,
  { mass, at: [x, y, z] }: Measured,
  aboard: boolean,
): { readonly bare: Weight; readonly laden: Weight } {
  const was = aboard ? estimate.laden : estimate.bare;
  const own: Weight = { mass, at: [x, y, z ?? was.at[2]] };
  const others = { mass: aboard ? -riders.mass : riders.mass, at: riders.at };
  return aboard
    ? { laden: own, bare: together([own, others]) }
    : { bare: own, laden: together([own, others]) };
}
