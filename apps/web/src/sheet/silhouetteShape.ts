import { pieceOutline, type Plan, type StandingWheel, type ViewName } from '@larchwood/core';
import { pathOf } from './path';
import { fitView, vehicleExtent, type View } from './view';
import { wheelOutline } from './wheelOutline';

export const SILHOUETTE = { width: 320, height: 150 } as const;
const MARGIN = { left: 10, right: 10, top: 10, bottom: 12 };
/** Tubes that rise by less than this share of their length, all together, show nothing from the side: they are seen from above. */
const FLAT = 0.2;
/** A wheel seen square on is a ring: its hole, as a share of the radius. */
const HOLE = 0.74;

/** A vehicle as its shadow, in the pixels of a small picture. */
export interface SilhouetteShape {
  readonly seen: ViewName;
  /** Height of the ground, where it is seen from the side. */
  readonly ground?: number;
  /** Outlines of the wheels, each with its hole where it is seen square on. */
  readonly wheels: readonly string[];
  /** Outlines of the tubes. */
  readonly tubes: readonly string[];
}

/** The shadow of a plan, from the side; from above where its frame lies flat. */
export function silhouetteOf(plan: Plan): SilhouetteShape {
  const seen: ViewName = isFlat(plan) ? 'plan' : 'side';
  const view = fitView(vehicleExtent(plan, seen), SILHOUETTE.width, SILHOUETTE.height, seen, MARGIN);
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  return {
    seen,
    ...(seen === 'side' ? { ground: view.y(0) } : {}),
    wheels: plan.stance.standing.map((wheel) => wheelPath(wheel, view)),
    tubes: plan.frame.pieces.flatMap((piece) => {
      const cut = cuts.get(piece.id);
      return cut ? [pathOf(pieceOutline(piece, cut, view))] : [];
    }),
  };
}

/** Whether its tubes rise so little, all together, that they hide behind each other from the side. */
function isFlat({ frame }: Plan): boolean {
  let [length, rise] = [0, 0];
  for (const { start, end } of frame.pieces) {
    length += Math.hypot(end[0] - start[0], end[1] - start[1], end[2] - start[2]);
    rise += Math.abs(end[2] - start[2]);
  }
  return length > 0 && rise < FLAT * length;
}

function wheelPath(wheel: StandingWheel, view: View): string {
  const outline = pathOf(wheelOutline(wheel, view));
  return view.name === 'side'
    ? outline + pathOf(wheelOutline({ ...wheel, radius: wheel.radius * HOLE }, view))
    : outline;
}
