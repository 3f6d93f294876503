import type { BuildDocument } from '@larchwood/format';
import type { AsBuiltFigure } from './figure.js';

/**
 * The build as it came out, to be planned like any other: what it holds is held as it was measured, and all else follows.
 * A fork, a wheel and a rider are as drawn.
 */
export function builtDocument<T extends Pick<BuildDocument, 'stance'>>(
  document: T,
  figures: readonly Pick<AsBuiltFigure, 'id' | 'value' | 'told'>[],
): T {
  const measured = figures
    .filter(({ id, told }) => told && Object.hasOwn(document.stance.held, id))
    .map(({ id, value }) => [id, value] as const);
  return {
    ...document,
    stance: { ...document.stance, held: { ...document.stance.held, ...Object.fromEntries(measured) } },
  };
}
