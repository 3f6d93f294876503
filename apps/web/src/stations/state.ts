import type { Finding } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import type { Seen, StationEntry } from './station';

export const findingsAt = (plan: Pick<Seen, 'findings'> | undefined, station: string): readonly Finding[] =>
  plan?.findings.filter((finding) => finding.where.station === station) ?? [];

export interface StationState {
  readonly is: 'settled' | 'findings' | 'none';
  /** Of findings that are to be looked at. */
  readonly count: number;
}

/**
 * Settled, something to look at, or not started. Notes do not unsettle a station.
 * @param swept what takes longer to find: gaps through all that moves, and what of the fixture is in the way
 */
export function stateOf(
  { id, empty }: StationEntry,
  document: BuildDocument,
  plan: Seen | undefined,
  swept: readonly Finding[] = [],
): StationState {
  const found = [...findingsAt(plan, id), ...findingsAt(plan && { findings: swept }, id)];
  const count = found.filter(({ severity }) => severity !== 'note').length;
  if (count > 0) return { is: 'findings', count };
  // A stance that makes no vehicle is where to look.
  if (!plan && id === 'stance') return { is: 'findings', count: 0 };
  return { is: empty(document) ? 'none' : 'settled', count: 0 };
}
