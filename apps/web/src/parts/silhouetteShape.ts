import { pieceOutline, type Plan, type ViewName } from '@larchwood/core';
import { fitView, vehicleExtent } from '../sheet/view';

export const SILHOUETTE = { width: 320, height: 150 } as const;
const MARGIN = { left: 10, right: 10, top: 10, bottom: 12 };

/** A vehicle as its shadow, in the pixels of a small picture. */
export interface SilhouetteShape {
  /** Height of the ground. */
  readonly ground: number;
  readonly wheels: readonly {
    readonly id: string;
    readonly x: number;
    readonly y: number;
    readonly radius: number;
    readonly thick: number;
  }[];
  /** Outlines of the tubes. */
  readonly paths: readonly string[];
}

/** The shadow of a plan: wheels as rings, the frame filled in. */
export function silhouetteOf(plan: Plan, name: ViewName = 'side'): SilhouetteShape {
  const view = fitView(vehicleExtent(plan, name), SILHOUETTE.width, SILHOUETTE.height, name, MARGIN);
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  return {
    ground: view.y(0),
    wheels: plan.stance.standing.map(({ id, centre, radius, width }) => {
      const [x, y] = view.at(centre);
      const thick = Math.max(2, Math.min(width, radius * 0.3) * view.scale);
      return { id, x, y, radius: Math.max(1, radius * view.scale - thick / 2), thick };
    }),
    paths: plan.frame.pieces.flatMap((piece) => {
      const cut = cuts.get(piece.id);
      if (!cut) return [];
      const points = pieceOutline(piece, cut, view).map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`);
      return [`M${points.join('L')}Z`];
    }),
  };
}
