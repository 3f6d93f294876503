import { without } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** What the builder of the demo tried first: the first of these that the build holds, moved by so much; degrees and mm. */
const TRIED: readonly (readonly [dimension: string, by: number])[] = [
  ['headAngle', -0.5],
  ['rake', 0.5],
  ['frontTrack', 20],
  ['rearTrack', 20],
];

export interface NamedRevision {
  readonly name: string;
  readonly document: BuildDocument;
}

/** How a demo build came to be what it is: revisions before it, oldest first, each with something to compare. */
export function earlierRevisions(document: BuildDocument): readonly NamedRevision[] {
  const { held } = document.stance;
  const drawn = without(without(document, 'done'), 'measured') as BuildDocument;
  const ready = { ...drawn, fixture: { ...drawn.fixture, readings: [] } };
  const [id, by] = TRIED.find(([dimension]) => dimension in held)!;
  const stance = { ...document.stance, held: { ...held, [id]: held[id]! + by } };
  const first = { ...(without(without(ready, 'cuts'), 'work') as BuildDocument), stance };
  return [
    { name: 'First stance', document: first },
    { name: 'Ready to cut', document: ready },
  ];
}
