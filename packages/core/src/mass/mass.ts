import { polygonArea, polygonCentroid } from 'd3-polygon';
import type { BuildDocument, Lump } from '../document/schema.js';
import type { Frame, PlacedPlate } from '../frame/frame.js';
import { findMaterial } from '../frame/materials.js';
import { figureOf } from '../rider/figure.js';
import type { LumpSort } from '../stance/dimension.js';
import type { Stance } from '../stance/stance.js';
import { add, scale, type Vector } from '../vector/vector.js';
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

/** Every mass of a build and where it is; total, centre of gravity and wheel loads, with and without riders. */
export function massOf(document: BuildDocument, stance: Stance, frame: Frame): MassModel {
  const carried = [
    ...tubes(frame),
    ...plates(frame),
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
  const message = `The scales show ${result.measured.mass.toFixed(1)} kg, and the riders alone weigh ${riders.toFixed(1)} kg: were they aboard?`;
  return { ok: false, faults: [{ where: 'level', message }] };
}

/** Where a lump is: with its stance point, or in the vehicle's axes. */
export function lumpAt({ id, name, sort, mass, point, offset }: Lump, stance: Stance): MassPart {
  const from = stance.points[point] ?? stance.seatPoints[point] ?? ([0, 0, 0] as const);
  return { id, name, sort, mass, at: add(from, offset as Vector) };
}

function tubes({ pieces }: Frame): MassPart[] {
  if (pieces.length === 0) return [];
  const whole = together(pieces.map(({ mass, start, end }) => ({ mass, at: scale(add(start, end), 0.5) })));
  return [{ id: 'tubes', name: 'Tubes', sort: 'tubes', ...whole }];
}

function plates({ plates: placed }: Frame): MassPart[] {
  if (placed.length === 0) return [];
  return [{ id: 'plates', name: 'Plates', sort: 'plates', ...together(placed.map(plateWeight)) }];
}

/** Outline less its holes, times thickness and density. */
function plateWeight({ plate, at }: PlacedPlate): Weight {
  const density = findMaterial(plate.material)?.density ?? 0;
  const area = Math.abs(polygonArea(plate.outline));
  const holes = plate.holes.reduce((total, { diameter }) => total + (Math.PI * diameter ** 2) / 4, 0);
  const [x, z] = polygonCentroid(plate.outline);
  return { mass: Math.max(0, area - holes) * plate.thickness * density * 1e-9, at: add(at, [x, 0, z]) };
}

function ridersOf({ brief, seat }: BuildDocument, stance: Stance): MassPart[] {
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
