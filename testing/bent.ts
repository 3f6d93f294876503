import { randomNormal } from 'd3-random';
import type { CheckStage, Measured } from '@larchwood/format';
import { BEFORE } from '../packages/core/src/checks/adjust.js';
import { readingOf, type At } from '../packages/core/src/checks/measure.js';
import type { MeasuringList } from '../packages/core/src/checks/list.js';
import { networkOf } from '../packages/core/src/checks/asBuilt.js';
import type { Measurable } from '../packages/core/src/checks/measures.js';
import { along, distance, subtract, unit, type Vector } from '../packages/core/src/vector/vector.js';

/** Short straight tubes keep their length to some tenths: the second of each pair is put where the first leaves it. */
const STIFF = [
  ['headLower', 'headUpper'],
  ['kingpinLowLeft', 'kingpinTopLeft'],
  ['kingpinLowRight', 'kingpinTopRight'],
] as const;

/** A frame whose points have come to lie anywhere, by chance, as far from where they are drawn as frames do. */
export function bentFrame({ points }: MeasuringList, random: () => number, spread: number = BEFORE.bent): At {
  const by = randomNormal.source(random)(0, 1);
  const at = new Map<string, Vector>(
    Object.values(points).map(({ id, at: drawn }) => [
      id,
      [drawn[0] + by() * spread, drawn[1] + by() * spread, drawn[2] + by() * spread],
    ]),
  );
  for (const [a, b] of STIFF) {
    const [from, to] = [at.get(a), at.get(b)];
    if (!from || !to) continue;
    const long = distance(points[a]!.at, points[b]!.at) + by() * BEFORE.rigid;
    at.set(b, along(from, unit(subtract(to, from)), long));
  }
  return (id) => at.get(id)!;
}

/** What a builder would read of it, as well as each tool is read. */
export function readOff(
  from: Measurable,
  list: MeasuringList,
  at: At,
  stage: CheckStage,
  whole: boolean,
  random?: () => number,
): Measured[] {
  const network = networkOf(from, list);
  const noise = random && randomNormal.source(random)(0, 1);
  return list.measures
    .filter((measure) => measure.whole === whole)
    .map((measure) => ({
      ...{ stage, measure: measure.id },
      value:
        (measure.as === 'outcome' ? network.outcome(measure.outcome!, at) : readingOf(measure, at)) +
        (noise ? noise() * measure.reads : 0),
    }));
}
