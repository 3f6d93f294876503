import type { Brief } from '../document/schema.js';
import type { Finding } from '../findings/finding.js';
import { findKind } from './kinds/registry.js';
import type { Stance } from './stance.js';

/** What a figure may be beyond its limit and still be taken as on it: less than anyone measures. */
const ON_IT = 1e-6;

/** What the brief asked for and the stance does not keep: rule limits, and an engine longer than its room. */
export function briefFindings(brief: Brief, stance: Stance): Finding[] {
  const kind = findKind(stance.kind);
  const limits = brief.limits.flatMap(({ dimension, bound, value: limit, rule }, index): Finding[] => {
    const value = stance.values[dimension];
    const described = kind?.dimensions.find(({ id }) => id === dimension);
    if (value === undefined || !described) return [];
    const broken = bound === 'most' ? value > limit + ON_IT : value < limit - ON_IT;
    if (!broken) return [];
    return [
      {
        code: 'rule-limit',
        severity: 'stop',
        where: { station: 'stance', ref: dimension },
        values: {
          index,
          dimension: described.name,
          quantity: described.quantity,
          value,
          limit,
          bound: bound === 'most' ? 'at most' : 'at least',
          rule: rule || 'limit set in the brief',
        },
      },
    ];
  });
  const room = stance.values.engineRoom;
  const engines = brief.shelf.flatMap(({ sort, name, box }): Finding[] =>
    sort === 'engine' && box && room !== undefined && box[0] > room
      ? [
          {
            code: 'engine-long',
            severity: 'look',
            where: { station: 'stance', ref: 'engineRoom' },
            values: { engine: name, long: box[0], room },
          },
        ]
      : [],
  );
  return [...limits, ...engines];
}
