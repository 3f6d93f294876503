import type { Finding, Plan } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

export interface StationEntry {
  readonly id: string;
  readonly name: string;
  readonly group: 'Plan' | 'Frame' | 'Shop' | 'Record';
}

/** The stations, in the order of work. */
export const STATIONS: readonly StationEntry[] = [
  { id: 'brief', name: 'Brief', group: 'Plan' },
  { id: 'stance', name: 'Stance', group: 'Plan' },
  { id: 'seat', name: 'Seat', group: 'Plan' },
  { id: 'tubes', name: 'Tubes', group: 'Frame' },
  { id: 'joints', name: 'Joints', group: 'Frame' },
  { id: 'patterns', name: 'Patterns', group: 'Shop' },
  { id: 'fixture', name: 'Fixture', group: 'Shop' },
  { id: 'history', name: 'History', group: 'Record' },
];
export const GROUPS = ['Plan', 'Frame', 'Shop', 'Record'] as const;

export const findingsAt = (plan: Plan | undefined, station: string): readonly Finding[] =>
  plan?.findings.filter((finding) => finding.where.station === station) ?? [];

/** Settled, something to look at, or not to be had yet. Notes do not unsettle a station. */
export function stateOf(
  { brief }: BuildDocument,
  plan: Plan | undefined,
  station: string,
  /** What the sweep of everything that moves has found. */
  swept: readonly Finding[] = [],
): { readonly is: 'settled' | 'findings' | 'none'; readonly count: number } {
  if (station === 'brief') return { is: isEmpty(brief) ? 'none' : 'settled', count: 0 };
  if (!plan) return { is: station === 'stance' ? 'findings' : 'none', count: 0 };
  const found = [...findingsAt(plan, station), ...swept.filter(({ where }) => where.station === station)];
  const count = found.filter(({ severity }) => severity !== 'note').length;
  if (count > 0) return { is: 'findings', count };
  const empty =
    (plan.cuts.length === 0 && ['tubes', 'joints', 'patterns'].includes(station)) ||
    (plan.fixture.refused !== undefined && station === 'fixture');
  return { is: empty ? 'none' : 'settled', count: 0 };
}

const isEmpty = ({ purpose, riders, shelf, limits }: BuildDocument['brief']): boolean =>
  purpose === '' && riders.length + shelf.length + limits.length === 0;
