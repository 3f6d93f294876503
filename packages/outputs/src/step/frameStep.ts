import {
  cross,
  halvingSide,
  surroundingsOf,
  unit,
  type Piece,
  type PieceCut,
  type Plan,
} from '@larchwood/core';
import { mirroredSolid, pieceSolid, plateSolid, type PieceSolid } from './solids.js';
import { assemblyStep, bodyStep, turnedOver, type Head, type Part, type Place } from './write.js';

/** Colours by section, in the order in which a frame has them; a frame of more begins again. */
const COLOURS: readonly Part['colour'][] = [
  [0.55, 0.58, 0.56],
  [0.31, 0.47, 0.4],
  [0.62, 0.45, 0.26],
  [0.34, 0.42, 0.52],
  [0.5, 0.33, 0.3],
  [0.72, 0.69, 0.58],
];
const PLATE: Part['colour'] = [0.2, 0.22, 0.24];

/** Solids that were made of a plan: its files ask for them one after the other. */
const known = new WeakMap<Plan, Map<string, PieceSolid>>();

/** A piece of the frame as a solid, with its cut. @throws RangeError where there is none of that id */
function solidOf(plan: Plan, id: string): { piece: Piece; cut: PieceCut; solid: PieceSolid } {
  const piece = plan.frame.pieces.find((each) => each.id === id);
  const cut = [...plan.cuts, ...plan.given].find((each) => each.piece === id);
  if (!piece || !cut) throw new RangeError('There is no such piece.');
  let solids = known.get(plan);
  if (!solids) known.set(plan, (solids = new Map()));
  let solid = solids.get(id);
  if (!solid) {
    const bores = plan.holes.find((each) => each.piece === id)?.bores ?? [];
    const left = piece.side === 'right' && cut.handedness ? twinOf(plan, piece, 'left') : undefined;
    solid = left
      ? mirroredSolid(solidOf(plan, left.id).solid)
      : pieceSolid(piece, cut, bores, surroundingsOf(plan.frame));
    solids.set(id, solid);
  }
  return { piece, cut, solid };
}

const twinOf = (plan: Plan, { member }: Piece, side: Piece['side']): Piece | undefined =>
  plan.frame.pieces.find((each) => each.member === member && each.side === side);

const nameOf = ({ mark, name }: { readonly mark: string; readonly name: string }): string =>
  `${mark} ${name}`;

/** Where a left piece lies, by the plane that halves it, if its right twin is the same piece turned over. */
function placeOver(piece: Piece, { ends, handedness }: PieceCut): Place | undefined {
  const side = handedness === 'turned over' ? halvingSide(piece, ends) : undefined;
  return side && { at: piece.start, x: piece.direction, z: unit(cross(piece.direction, side)) };
}

/**
 * The whole frame as a STEP assembly, in the vehicle's axes: each piece by its mark and name, coloured by section; twins
 * that are the same piece turned over are one solid that stands twice. One that no solid can be made of is named at the
 * head of the file, and the rest comes.
 */
export function frameStep(plan: Plan, head: Omit<Head, 'description'>): string {
  const sections = [...new Set(plan.frame.pieces.map(({ section }) => section.id))];
  const faceted: string[] = [];
  const leftOut: string[] = [];
  const cutOnes = new Set([...plan.cuts, ...plan.given].map((cut) => cut.piece));
  const stood = new Set<string>();
  const parts = plan.frame.pieces.flatMap((each): Part[] => {
    if (stood.has(each.id) || !cutOnes.has(each.id)) return [];
    const made = orUndefined(() => solidOf(plan, each.id));
    if (!made) {
      leftOut.push(each.mark);
      return [];
    }
    const { piece, cut, solid } = made;
    if (solid.facets) faceted.push(piece.mark);
    const place = piece.side === 'left' ? placeOver(piece, cut) : undefined;
    const twin = place && twinOf(plan, piece, 'right');
    if (twin) stood.add(twin.id);
    return [
      {
        name: nameOf(piece),
        shape: solid.shape,
        colour: COLOURS[sections.indexOf(piece.section.id) % COLOURS.length]!,
        stands: [
          { name: nameOf(piece) },
          ...(twin ? [{ name: nameOf(twin), from: place, to: turnedOver(place) }] : []),
        ],
      },
    ];
  });
  const plates = plan.frame.plates.flatMap((plate): Part[] => {
    const shape = orUndefined(() => plateSolid(plate));
    if (!shape) leftOut.push(plate.mark);
    return shape ? [{ name: nameOf(plate), shape, colour: PLATE, stands: [{ name: nameOf(plate) }] }] : [];
  });
  return assemblyStep({ ...head, description: described(faceted, leftOut) }, [...parts, ...plates]);
}

/** One piece as STEP, lying along the first axis from its start, its match line up. @throws RangeError where there is none */
export function pieceStep(plan: Plan, id: string, date: string): string {
  const { piece, cut, solid } = solidOf(plan, id);
  const place: Place = { at: piece.start, x: piece.direction, z: cut.ends[0].matchSide };
  const head: Head = {
    name: nameOf(piece),
    description: described(solid.facets ? [piece.mark] : []),
    date,
  };
  return bodyStep(head, solid.shape, place, COLOURS[0]!);
}

/** What the modeller makes; nothing where it gives up. */
function orUndefined<T>(make: () => T): T | undefined {
  try {
    return make();
  } catch {
    return undefined;
  }
}

const described = (faceted: readonly string[], leftOut: readonly string[] = []): string =>
  [
    faceted.length > 0 ? `In flat facets: ${faceted.join(', ')}` : 'Exact surfaces',
    ...(leftOut.length > 0 ? [`left out: ${leftOut.join(', ')}`] : []),
  ].join('; ');
