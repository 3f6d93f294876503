import { planBuild, weighedTwice, withoutPieces, withSteeringParts, type Plan } from '@larchwood/core';
import type { BuildDocument, LinkageId, Made } from '@larchwood/format';

/** A linkage that is begun, with its sizes where the usual ones would meet something; mm and degrees. */
export interface Begun {
  readonly id: LinkageId;
  readonly sizes: Readonly<Record<string, number>>;
  /** What is made besides, with the sizes that are its own. */
  readonly made?: readonly Pick<Made, 'what' | 'sizes'>[];
}

export function steered(document: BuildDocument, linkage: Begun | undefined): BuildDocument {
  if (!linkage) return document;
  const held = { ...linkage.sizes, lock: document.seat.lock };
  const made = (linkage.made ?? []).map((part): Made => ({ ...part, choices: {}, found: {} }));
  return { ...document, steering: { linkage: linkage.id, held, made } };
}

/** Rods, shafts and arms stand in the frame where the linkage is begun. */
export const withPieces = (document: BuildDocument, { stance, steering }: Plan): BuildDocument =>
  document.steering && steering?.ok
    ? weighedOnce(withSteeringParts(document, stance, steering.steering))
    : document;

/** What stood for those pieces is taken off what is weighed besides. */
function weighedOnce(document: BuildDocument): BuildDocument {
  const planned = planBuild(document);
  if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
  return weighedTwice(document, planned.plan.weights).reduce(
    (next, { lump, pieces }) => withoutPieces(next, lump.id, pieces),
    document,
  );
}
