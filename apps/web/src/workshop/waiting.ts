import { findingText } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { stateOf, type StationState } from '../stations/state';
import type { Seen } from '../stations/station';
import { STATIONS } from '../stations/stations';

export interface Waiting {
  readonly stations: readonly (StationState & { readonly id: string; readonly name: string })[];
  /** What to do next, in words, and where. */
  readonly next: { readonly station: string; readonly words: string };
}

/** How each station of a build stands, and what waits. */
export function waitingAt(document: BuildDocument, seen: Seen | undefined): Waiting {
  const stations = STATIONS.filter(({ isRecord }) => !isRecord).map((station) => ({
    id: station.id,
    name: station.name,
    ...stateOf(station, document, seen),
  }));
  // What was left as it began before something that was settled was good as it began.
  const settled = stations.findLastIndex(({ is }) => is === 'settled');
  const open =
    stations.find(({ is }) => is === 'findings') ??
    stations.find(({ is }, place) => is === 'none' && place > settled);
  const done = document.done?.filter(({ done: is }) => is).length ?? 0;
  if (done > 0 && open?.is !== 'findings')
    return {
      stations,
      next: { station: 'bench', words: `${done} ${done === 1 ? 'step' : 'steps'} done: go on` },
    };
  if (!open) return { stations, next: { station: 'fixture', words: 'All settled: set the fixture' } };
  const finding = seen?.findings.find(
    ({ where, severity }) => where.station === open.id && severity !== 'note',
  );
  const words = finding
    ? findingText(finding, document.units).title
    : open.is === 'none'
      ? 'not started'
      : 'has no shape yet';
  return { stations, next: { station: open.id, words: `${open.name}: ${words}` } };
}
