import { own } from './namedPoint.js';
import type { BuildDocument, RuleLimit, ShelfItem } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { Kind } from './dimension.js';
import { findKind } from './kinds/registry.js';
import type { Stance } from './stance.js';
import { parseTyreMarking } from './tyres.js';
import { rollingWheel } from './wheels.js';

/** What a figure may be beyond its limit and still be taken as on it: less than anyone measures. */
const ON_IT = 1e-6;
/** A part on the shelf is told from another by so much: mm or degrees, and mm of a tyre's radius. */
const OTHER_PART = 0.1;
const OTHER_TYRE = 5;

/** What the brief asked for and the stance does not keep: rule limits, parts on the shelf, an engine longer than its room. */
export function briefFindings(document: Pick<BuildDocument, 'brief' | 'wheels'>, stance: Stance): Finding[] {
  const kind = findKind(stance.kind);
  if (!kind) return [];
  const { limits, shelf } = document.brief;
  return [
    ...limits.flatMap((limit) => limitFinding(limit, stance, kind)),
    ...shelf.flatMap((item) => [
      ...partFindings(item, stance, kind),
      ...wheelFinding(item, document),
      ...engineFinding(item, stance),
    ]),
  ];
}

/** True when the stance keeps a limit. */
export const keepsLimit = ({ bound, value: limit }: RuleLimit, value: number): boolean =>
  bound === 'most' ? value <= limit + ON_IT : value >= limit - ON_IT;

const tell = teller('stance');

function limitFinding(limit: RuleLimit, stance: Stance, kind: Kind): Finding[] {
  const value = own(stance.values, limit.dimension);
  const described = kind.dimensions.find(({ id }) => id === limit.dimension);
  if (value === undefined || !described || keepsLimit(limit, value)) return [];
  return [
    tell('rule-limit', 'stop', limit.dimension, {
      dimension: described.name,
      quantity: described.quantity,
      value,
      limit: limit.value,
      bound: limit.bound === 'most' ? 'at most' : 'at least',
      rule: limit.rule || 'limit set in the brief',
    }),
  ];
}

function partFindings({ name, gives }: ShelfItem, stance: Stance, kind: Kind): Finding[] {
  return Object.entries(gives).flatMap(([id, wanted]): Finding[] => {
    const value = stance.values[id];
    const described = kind.dimensions.find((dimension) => dimension.id === id);
    if (value === undefined || !described || Math.abs(value - wanted) <= OTHER_PART) return [];
    return [
      tell('shelf-differs', 'look', id, {
        part: name,
        dimension: described.name,
        quantity: described.quantity,
        value,
        wanted,
      }),
    ];
  });
}

function wheelFinding(
  { sort, name, marking }: ShelfItem,
  { wheels }: Pick<BuildDocument, 'wheels'>,
): Finding[] {
  if (marking === undefined || !(sort === 'front wheel' || sort === 'rear wheel')) return [];
  const end = sort === 'front wheel' ? 'front' : 'rear';
  const [tyre, rolling] = [parseTyreMarking(marking), rollingWheel(wheels[end])];
  if (!tyre.ok || !rolling.ok) return [];
  const radius = rolling.value.radius + wheels[end].sag;
  if (Math.abs(radius - tyre.value.radius) <= OTHER_TYRE) return [];
  return [
    tell('shelf-wheel-differs', 'look', `wheels.${end}`, {
      part: name,
      end,
      radius,
      wanted: tyre.value.radius,
    }),
  ];
}

function engineFinding({ sort, name, box }: ShelfItem, { values }: Stance): Finding[] {
  const room = values.engineRoom;
  return sort === 'engine' && box && room !== undefined && box[0] > room
    ? [tell('engine-long', 'look', 'engineRoom', { engine: name, long: box[0], room })]
    : [];
}
