import { planBuild, Planner, sweptFindings } from '@larchwood/core';
import { renewed, type BuildDocument } from '@larchwood/format';
import { silhouetteOf, type SilhouetteShape } from '../sheet/silhouetteShape';
import type { Seen } from '../stations/station';

/** What the shelf shows of a build: from its own plan. */
export interface Look {
  readonly silhouette: SilhouetteShape | undefined;
  /** As much of its plan as says what waits at which station; none where the stance makes no vehicle. */
  readonly seen: Seen | undefined;
  readonly tubes: number;
  /** Of tubes and plates, kg. */
  readonly mass: number;
}

/**
 * Looks a build over.
 * @param closely also at what the sweep of all that moves finds, and what of the fixture is in the way: that takes longer
 */
export function lookAt(sent: BuildDocument, closely: boolean): Look {
  const document = renewed(sent);
  const planner = new Planner();
  const planned = planBuild(document, planner);
  if (!planned.ok) return { silhouette: undefined, seen: undefined, tubes: 0, mass: 0 };
  const { plan } = planned;
  const swept = closely ? planner.ask(sweptFindings, document) : [];
  return {
    silhouette: silhouetteOf(plan),
    seen: {
      findings: [...plan.findings, ...swept],
    },
    tubes: plan.frame.pieces.length,
    mass: plan.weights.reduce((sum, { mass }) => sum + mass, 0),
  };
}
