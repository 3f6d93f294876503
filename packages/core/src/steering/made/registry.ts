import type { Made, MadeId } from '@larchwood/format';
import type { Sizes } from '../linkage.js';
import { linkageParts, type GraphParts } from '../parts.js';
import type { Steering } from '../steering.js';
import { COLLAR } from './collar.js';
import { COLUMN } from './column.js';
import { DONOR_FORK } from './donorFork.js';
import { FORK } from './fork.js';
import { KNUCKLES } from './knuckles.js';
import type { MadeFrom, MadePart, MadeResult } from './madePart.js';

/** Every part of a front end that can be made. */
export const MADE_PARTS: readonly MadePart[] = [COLUMN, FORK, DONOR_FORK, KNUCKLES, COLLAR];

export const findMadePart = (id: MadeId): MadePart => MADE_PARTS.find((part) => part.id === id)!;

/** Sizes of a part as they are cut: as the stance gives them or as they were typed, and mended by what the trial found. */
export function sizesOf(
  part: MadePart,
  from: MadeFrom,
  { sizes, found }: Pick<Made, 'sizes' | 'found'>,
): Sizes {
  const start = part.start(from);
  return Object.fromEntries(
    part.sizes.map(({ id, limits: [low, high] }) => {
      const value = (sizes[id] ?? start[id]!) + (found[id] ?? 0);
      return [id, Math.min(high, Math.max(low, value))];
    }),
  );
}

/** A part that a build makes, with what comes of it. */
export interface MadeOne {
  readonly what: MadeId;
  readonly name: string;
  readonly sizes: Sizes;
  readonly result: MadeResult;
}

/** Every part that a build makes and that suits it. */
export const madeOf = (made: readonly Made[], from: MadeFrom): readonly MadeOne[] =>
  made.flatMap((each) => {
    const part = findMadePart(each.what);
    if (!part.suits(from)) return [];
    const sizes = sizesOf(part, from, each);
    return [{ what: part.id, name: part.name, sizes, result: part.make(from, sizes, each.choices) }];
  });

/** Pieces of the linkage and of what is made besides, as they stand in the frame. */
export function steeringGraph(steering: Steering, made: readonly MadeOne[]): GraphParts {
  const all = [linkageParts(steering), ...made.flatMap(({ result }) => result.parts ?? [])];
  return {
    nodes: all.flatMap(({ nodes }) => nodes),
    members: all.flatMap(({ members }) => members),
    plates: all.flatMap(({ plates }) => plates),
    sections: all.flatMap(({ sections }) => sections ?? []),
  };
}
