import type { BuildDocument } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { MassModel } from '../mass/mass.js';
import { frontShare } from '../mass/loads.js';
import { inseamOf } from '../rider/body.js';
import { ARMS_TIRE, figureOf, farthestCrank, armRaise } from '../rider/figure.js';
import type { RiderPlace } from '../rider/place.js';
import type { Adjusters, Kind } from '../stance/dimension.js';
import type { Quantity } from '../units/quantity.js';
import { findKind } from '../stance/kinds/registry.js';
import { solveStance } from '../stance/solve.js';
import type { Stance } from '../stance/stance.js';
import { FRICTION, type Tipping } from '../tipping/tipping.js';
import { without } from '../without.js';

/** Just short of straight: the nearest at which a limb still reaches, degrees. */
const REACHES = 178;
/** Saddle height by the rule, and how far from it is told, mm. Common practice, no source. */
const SADDLE = { ofInseam: 0.883, tell: 25 };
/** Usual share of the front wheels by kind (kart 40 to 45 %; common practice, no source). */
const FRONT_SHARE: Readonly<Record<string, readonly [low: number, high: number]>> = { kart: [0.4, 0.45] };

type SeatParts = Pick<BuildDocument, 'brief' | 'seat' | 'mass'>;

/** What is wrong with how riders sit, and with where the weight is. */
export function seatFindings(
  document: SeatParts,
  stance: Stance,
  mass: MassModel,
  tipping: Tipping | undefined,
): Finding[] {
  const kind = findKind(stance.kind);
  if (!kind) return [];
  return [
    ...stance.places.flatMap((place, index) => placeFindings(document, stance, kind, place, index)),
    ...massFindings(document, stance, mass, tipping),
  ];
}

const tell = teller('seat');

const riderOf = ({ brief, seat }: SeatParts, index: number) => brief.riders[seat.aboard[index] ?? index];

function placeFindings(
  document: SeatParts,
  stance: Stance,
  kind: Kind,
  place: RiderPlace,
  index: number,
): Finding[] {
  const name = riderOf(document, index)?.name ?? place.name;
  const adjusters = kind.seat.slots.find(({ id }) => id === place.id)?.adjusters;
  const { legs, arms } = figureOf(place, { crank: farthestCrank(place), steer: 0 });
  const found: Finding[] = [];
  const reach = (limb: 'legs' | 'arms', beyond: number) => {
    if (Math.abs(beyond) < 0.5) return;
    const nearest = adjusters && nearestReach(kind, stance, place, limb, adjusters);
    found.push(
      tell(beyond > 0 ? `${limb}-do-not-reach` : `${limb}-too-near`, 'stop', nearest?.id ?? place.id, {
        rider: name,
        short: Math.abs(beyond),
        id: nearest?.id ?? '',
        ...(nearest ? { dimension: nearest.name, value: nearest.value, quantity: nearest.quantity } : {}),
      }),
    );
  };
  // Nobody says who the passenger is: feet and hands go where there is room.
  if (index === 0 || riderOf(document, index)) {
    reach('legs', legs.right.beyond);
    reach('arms', larger(arms.left.beyond, arms.right.beyond));
  }
  found.push(...saddleFinding(document, stance, place, index, name));
  const raised = armRaise(place);
  if (raised > ARMS_TIRE && place.hands.on !== 'lap' && place.hands.on !== 'sticks')
    found.push(
      tell('arms-held-up', 'look', prefixed(place.id, 'armRaise'), {
        rider: name,
        angle: raised,
        wanted: ARMS_TIRE,
      }),
    );
  return found;
}

const larger = (a: number, b: number): number => (Math.abs(a) > Math.abs(b) ? a : b);
const prefixed = (slot: string, id: string): string =>
  slot === '' ? id : slot + id[0]!.toUpperCase() + id.slice(1);

/** Where what is slid for a limb must go for it just to reach. */
function nearestReach(
  kind: Kind,
  { held, state }: Stance,
  place: RiderPlace,
  limb: 'legs' | 'arms',
  adjusters: Adjusters,
):
  | { readonly id: string; readonly name: string; readonly value: number; readonly quantity: Quantity }
  | undefined {
  const { dimension } = adjusters[limb];
  if (!(dimension in held)) return undefined;
  const angle = prefixed(place.id, limb === 'legs' ? 'kneeAngle' : 'elbowAngle');
  const solved = solveStance(kind, { ...without(held, dimension), [angle]: REACHES }, state);
  const described = kind.dimensions.find(({ id }) => id === dimension);
  if (!solved.ok || !described) return undefined;
  const { name, quantity } = described;
  return { id: dimension, name, value: solved.values[dimension]!, quantity };
}

/** A saddle far from the usual rule. */
function saddleFinding(
  document: SeatParts,
  { values }: Stance,
  place: RiderPlace,
  index: number,
  name: string,
): Finding[] {
  const rider = riderOf(document, index);
  const id = prefixed(place.id, 'saddleHeight');
  const height = values[id];
  if (height === undefined || !rider) return [];
  const wanted = SADDLE.ofInseam * inseamOf(rider);
  if (Math.abs(height - wanted) <= SADDLE.tell) return [];
  return [tell('saddle-rule', 'note', id, { rider: name, value: height, wanted, inseam: inseamOf(rider) })];
}

/** Words for a direction in which a vehicle falls, from its own seat. */
export function directionWord(degrees: number): string {
  const words = ['forwards', 'forwards to the left', 'to the left', 'backwards to the left', 'backwards'];
  const turned = Math.round(Math.abs(((degrees + 540) % 360) - 180) / 45);
  const left = ((degrees + 540) % 360) - 180 >= 0;
  return left ? words[turned]! : words[turned]!.replace('left', 'right');
}

function massFindings(
  document: SeatParts,
  stance: Stance,
  mass: MassModel,
  tipping: Tipping | undefined,
): Finding[] {
  const found = mass.faults
    .filter(({ waiting }) => !waiting)
    .map(({ where, message }) => tell('scales-impossible', 'look', `scales.${where}`, { message }));
  if (mass.bare.mass <= 0) found.push(tell('no-mass', 'note', 'lumps', {}));
  for (const { id, name, mass: weight } of document.mass.lumps)
    if (weight === 0) found.push(tell('lump-weighs-nothing', 'note', `lumps.${id}`, { name }));
  if (!tipping) return found;
  if (tipping.falls !== undefined)
    found.push(tell('falls-over', 'stop', 'cg', { direction: directionWord(tipping.falls) }));
  else if (tipping.sideways !== undefined && tipping.sideways < FRICTION.dry)
    found.push(
      // Under the grip of loose ground it tips first everywhere; between the two it is as most trikes are.
      tell('tips-first', tipping.sideways < FRICTION.loose ? 'look' : 'note', 'sideways', {
        limit: tipping.sideways,
        friction: FRICTION.dry,
        change: CHANGES[tipping.gains[0]?.change ?? 'track'],
      }),
    );
  const usual = FRONT_SHARE[stance.kind];
  const share = frontShare(mass.laden.loads);
  if (usual && tipping.falls === undefined && (share < usual[0] || share > usual[1]))
    found.push(tell('front-share', 'note', 'cg', { share, low: usual[0], high: usual[1] }));
  return found;
}
/** The changes that raise the sideways limit, as something to do. */
export const CHANGES = {
  track: 'Widen the track',
  lower: 'Bring the weight lower',
  forward: 'Move the weight forward',
  back: 'Move the weight back',
} as const;
