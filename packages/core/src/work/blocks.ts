import type { WorkData } from '@larchwood/format';
import type { Solid } from '../fixture/solids.js';
import type { PlacedPlate } from '../frame/frame.js';
import { onPlate } from '../frame/plates.js';
import type { Keep } from '../memo/keep.js';
import { boundsOf, apart } from '../proximity/bounds.js';
import { boxAt } from '../proximity/shapes.js';
import { add, scale } from '../vector/vector.js';
import type { Making } from './input.js';
import { obstacleOf, obstacleOfSolid, type Obstacle } from './obstacle.js';
import { weldBefore } from './remedies.js';
import type { Step } from './step.js';
import { seamStep } from './steps/join.js';
import { shutIn } from './torch.js';
import { wayIn, type WayIn } from './wayIn.js';
import type { Seam } from './weld/seams.js';

/** A seam that no torch reaches round when its turn comes. */
export interface ShutSeam {
  readonly seam: string;
  readonly mark: string;
  readonly to: readonly string[];
  /** Of its length, 0 to 1. */
  readonly share: number;
  /** Marks of what shuts it in. */
  readonly by: readonly string[];
  /** Step in which it is welded. */
  readonly step: string;
  /** What would cure it, in the order of work; none where no order does. */
  readonly cure: WorkData['moves'];
}
/** A piece that does not come straight to its place. */
export interface BarredPiece {
  readonly piece: string;
  readonly mark: string;
  readonly step: string;
  readonly way: WayIn;
  readonly by: readonly string[];
  /** Where in the order it would still go in; none where it never does. */
  readonly cure: WorkData['moves'];
}
export interface Blocks {
  readonly shut: readonly ShutSeam[];
  readonly barred: readonly BarredPiece[];
}

/** So much of a seam may be out of a torch's reach: the rest of it closes over; common practice, no source. */
export const SHUT_FROM = 0.15;
/** Hosts give way by so much by hand, mm; common practice, no source. */
export const SPRING_FROM = 10;

/**
 * What is in the way when its turn comes: of torches at seams, of pieces on their way in.
 * @param steps in the order of work: each is looked at with what stands then
 * @param solids of the fixture; they stand until the frame is taken off it
 */
export function blocksOf(
  { build, seams, cutOf, pieceOf, parts, loadOf }: Making,
  steps: readonly Step[],
  solids: readonly Solid[],
  keep: Keep,
): Blocks {
  const at = new Map(steps.map(({ id }, index) => [id, index]));
  const loaded = (id: string): number => at.get(loadOf(id)) ?? Infinity;
  const frame: Obstacle[] = [
    ...build.frame.pieces.map((piece) => obstacleOf(piece)),
    ...build.frame.plates.map(plateObstacle),
  ];
  const boundsOfPiece = new Map(frame.map(({ id, bounds }) => [id, bounds]));
  const placed = frame.map((obstacle) => ({ obstacle, from: loaded(obstacle.id) }));
  const fixture = solids
    .filter(({ bed }) => bed === undefined)
    .map((solid) => ({ obstacle: obstacleOfSolid(solid), touches: solid.touches }));
  const out = at.get('out') ?? Infinity;
  const standingAt = (index: number, own: readonly string[]): Obstacle[] => [
    ...placed.flatMap(({ obstacle, from }) => (from < index ? [obstacle] : [])),
    // What holds a piece's own end is laid aside for its weld.
    ...(index < out
      ? fixture.flatMap(({ obstacle, touches }) =>
          own.some((id) => touches.includes(id)) || touches.includes('*') ? [] : [obstacle],
        )
      : []),
  ];
  const markOf = new Map(
    [...frame, ...fixture.map(({ obstacle }) => obstacle)].map(({ id, mark }) => [id, mark]),
  );
  const named = (ids: readonly string[]) => ids.map((id) => markOf.get(id) ?? id);
  const partOf = new Map(parts.flatMap((part) => part.pieces.map((piece) => [piece, part.id] as const)));
  const weldStepOf = (seam: Seam): string =>
    at.has(seamStep(seam.id)) ? seamStep(seam.id) : `weld:${partOf.get(seam.piece) ?? ''}`;
  const shut = seams.flatMap((seam): ShutSeam[] => {
    const step = weldStepOf(seam);
    const index = at.get(step);
    if (index === undefined || seam.to[0] === 'cap') return [];
    const bounds = boundsOf(seam.points.map(({ at: point }) => point));
    const near = standingAt(index, [seam.piece]).filter((each) => !apart(bounds, each.bounds, NEAR));
    const { share, by } = keep(`shut ${seam.id}`, [seam, near], () => shutIn(seam, near));
    if (share < SHUT_FROM) return [];
    const cure = weldBefore(steps, seam.id, [seam.piece, ...seam.hosts].map(loadOf), by.map(loadOf));
    return [{ seam: seam.id, mark: seam.mark, to: seam.to, share, by: named(by), step, cure }];
  });
  const barred = build.frame.pieces.flatMap((piece): BarredPiece[] => {
    const step = loadOf(piece.id);
    const index = at.get(step);
    const cut = cutOf.get(piece.id);
    if (index === undefined || !cut) return [];
    const bounds = boundsOfPiece.get(piece.id)!;
    const wayAt = (before: number): WayIn | undefined => {
      const standing = placed.filter(({ from }) => from < before);
      const there = new Set(standing.map(({ obstacle }) => obstacle.id));
      const hosts = (['start', 'end'] as const).map((end) =>
        hostsAt(seams, piece.id, end).flatMap((id) => (there.has(id) ? (pieceOf.get(id) ?? []) : [])),
      );
      const near = standing.flatMap(({ obstacle }) =>
        apart(bounds, obstacle.bounds, WAY) ? [] : [obstacle],
      );
      return near.length === 0
        ? undefined
        : keep(`way ${piece.id} ${before === index ? '' : 'earlier'}`, [piece, cut, hosts, near], () =>
            wayIn(piece, cut, hosts, near),
          );
    };
    const way = wayAt(index);
    if (!way || (way.out && way.spring < SPRING_FROM)) return [];
    const last = Math.max(
      -1,
      ...[...hostsAt(seams, piece.id, 'start'), ...hostsAt(seams, piece.id, 'end')]
        .map(loaded)
        .filter(Number.isFinite),
    );
    const goes = !way.out && last >= 0 && last + 1 < index && wayAt(last + 1)?.out !== undefined;
    const cure = goes ? [{ step, after: steps[last]!.id }] : [];
    return [{ piece: piece.id, mark: piece.mark, step, way, by: named(way.by), cure }];
  });
  return { shut, barred };
}
/** Farther than this nothing meets a torch, or a piece on its way; mm. */
const NEAR = 145;
const WAY = 260;

const hostsAt = (seams: readonly Seam[], piece: string, end: 'start' | 'end'): readonly string[] =>
  seams.find(({ id }) => id === `${piece}.${end}`)?.hosts ?? [];

/** A plate as the box round it, in its own plane. */
function plateObstacle(placed: PlacedPlate): Obstacle {
  const { outline, thickness } = placed.plate;
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const middle = (values: readonly number[]) => (Math.min(...values) + Math.max(...values)) / 2;
  const half = (values: readonly number[]) => (Math.max(...values) - Math.min(...values)) / 2;
  const centre = add(placed.at, add(scale(placed.axes[0], middle(xs)), scale(placed.axes[1], middle(ys))));
  return {
    id: placed.id,
    mark: placed.mark,
    shapes: [
      boxAt(centre, [half(xs), half(ys), thickness / 2], [placed.axes[0], placed.axes[1], placed.normal]),
    ],
    bounds: boundsOf(
      outline.map((corner) => onPlate(placed, corner)),
      thickness,
    ),
  };
}
