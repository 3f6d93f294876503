import { findingText, planBuild, Planner, sweptFindings } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { silhouetteOf, type SilhouetteShape } from '../parts/silhouetteShape';
import { stateOf, STATIONS } from '../stations/stations';

/** What the shelf shows of a build: from its own plan. */
export interface Look {
  readonly silhouette: SilhouetteShape | undefined;
  readonly stations: readonly {
    readonly id: string;
    readonly name: string;
    readonly is: 'settled' | 'findings' | 'none';
    readonly count: number;
  }[];
  /** What to do next, in words, and where. */
  readonly next: { readonly station: string; readonly words: string };
  readonly tubes: number;
  /** Of tubes and plates, kg. */
  readonly mass: number;
}

/**
 * Looks a build over.
 * @param closely also at what the sweep of all that moves finds, and what of the fixture is in the way: that takes longer
 */
export function lookAt(document: BuildDocument, closely: boolean): Look {
  const planner = new Planner();
  const planned = planBuild(document, planner);
  const plan = planned.ok ? planned.plan : undefined;
  const swept = planned.ok && closely ? planner.ask(sweptFindings, document) : [];
  const stations = STATIONS.filter(({ id }) => id !== 'history').map(({ id, name }) => ({
    id,
    name,
    ...stateOf(document, plan, id, swept),
  }));
  const open = stations.find(({ is }) => is === 'findings') ?? stations.find(({ is }) => is === 'none');
  const finding = [...(plan?.findings ?? []), ...swept].find(
    ({ where, severity }) => where.station === open?.id && severity !== 'note',
  );
  return {
    silhouette: plan && silhouetteOf(plan),
    stations,
    next: !open
      ? { station: 'fixture', words: 'All settled: set the fixture' }
      : {
          station: open.id,
          words: finding
            ? `${open.name}: ${findingText(finding, document.units).title}`
            : open.is === 'none'
              ? `${open.name}: not started`
              : `${open.name}: has no shape yet`,
        },
    tubes: plan?.frame.pieces.length ?? 0,
    mass: plan?.weights.reduce((sum, { mass }) => sum + mass, 0) ?? 0,
  };
}
