import { failure, success, type Result } from '../result.js';
import { releases } from '../stance/exchange.js';
import { findKind } from '../stance/kinds/registry.js';
import { stanceOf } from '../stance/stance.js';
import { parseTyreMarking } from '../stance/tyres.js';
import { without } from '../without.js';
import { frameFromPattern } from './create.js';
import type { BuildDocument } from './schema.js';

/** Why a wheel or a dimension of a starting stance is as it is. */
export interface Reason {
  /** `wheels.front`, `wheels.rear`, or a dimension's id. */
  readonly where: string;
  readonly from: 'set' | 'shelf' | 'given up';
  /** Name of the set or of the part on the shelf. */
  readonly name: string;
  /** What was let go for it, or why it could not be kept. */
  readonly note?: string;
}

/**
 * The build with its stance started again from its brief: the starting set's dimensions, and over them what the parts on
 * the shelf settle. A part's dimension that the set lets follow is pinned, and the best one is let go for it. Everything
 * but stance, wheels and frame stays.
 */
export function startFromBrief(
  build: BuildDocument,
): Result<{ readonly document: BuildDocument; readonly reasons: readonly Reason[] }> {
  const kind = findKind(build.kind);
  const set = kind?.startingSets.find(({ id }) => id === build.startingSet);
  if (!kind || !set) return failure('The brief names no starting set of this kind of vehicle.');
  let stance: BuildDocument['stance'] = { held: { ...set.held } };
  let wheels = wheelsOf(set.wheels);
  const reasons = new Map<string, Reason>(
    ['wheels.front', 'wheels.rear', ...Object.keys(set.held)].map((where) => [
      where,
      { where, from: 'set', name: set.name },
    ]),
  );
  const take = (next: { stance?: BuildDocument['stance']; wheels?: BuildDocument['wheels'] }): boolean => {
    const solved = stanceOf({ ...build, wheels, stance, ...next });
    if (solved.ok) {
      stance = next.stance ?? stance;
      wheels = next.wheels ?? wheels;
    }
    return solved.ok;
  };
  const pinned = new Set<string>();
  for (const item of build.brief.shelf) {
    const reason = (where: string, from: Reason['from'], note?: string) =>
      reasons.set(where, { where, from, name: item.name, ...(note === undefined ? {} : { note }) });
    if (item.marking !== undefined && item.sort.endsWith('wheel')) {
      const end = item.sort === 'front wheel' ? 'front' : 'rear';
      const read = parseTyreMarking(item.marking);
      const marked = { by: 'marking' as const, marking: item.marking, sag: 0 };
      const taken = read.ok && take({ wheels: { ...wheels, [end]: marked } });
      reason(`wheels.${end}`, taken ? 'shelf' : 'given up', read.ok ? undefined : read.message);
    }
    for (const [id, value] of Object.entries(item.gives)) {
      if (id in stance.held) {
        pinned.add(id);
        const taken = take({ stance: { ...stance, held: { ...stance.held, [id]: value } } });
        reason(id, taken ? 'shelf' : 'given up', taken ? undefined : 'No vehicle comes of it with the rest.');
        continue;
      }
      const now = stanceOf({ ...build, wheels, stance });
      const offered = now.ok ? releases(kind, now.stance.state, now.stance.held, id) : [];
      const free = offered.filter((release) => !pinned.has(release.id));
      const found = free.find(({ id: letGo }) => {
        return take({ stance: { held: { ...without(stance.held, letGo), [id]: value } } });
      });
      if (found) {
        pinned.add(id);
        reasons.delete(found.id);
        const name = kind.dimensions.find((each) => each.id === found.id)?.name ?? found.id;
        reason(id, 'shelf', `${name} was let go and follows.`);
      } else reason(id, 'given up', 'No vehicle comes of it with the rest.');
    }
  }
  const framed = frameFromPattern({ ...build, wheels, stance });
  return success({
    document: framed.ok ? framed.value : { ...build, wheels, stance },
    reasons: [...reasons.values()],
  });
}

const wheelsOf = ({ front, rear }: { front: string; rear: string }): BuildDocument['wheels'] => ({
  front: { by: 'marking', marking: front, sag: 0 },
  rear: { by: 'marking', marking: rear, sag: 0 },
});
