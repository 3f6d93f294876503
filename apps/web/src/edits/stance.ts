import { stanceOf, without } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

type Change = (document: BuildDocument) => BuildDocument;

export const holdDimension =
  (id: string, value: number): Change =>
  (document) => ({
    ...document,
    stance: { ...document.stance, held: { ...document.stance.held, [id]: value } },
  });

/**
 * Holds a dimension and lets another follow. The state as it is now is kept to set out from: where two vehicles meet the
 * same dimensions, the build stays with the one it is.
 */
export const exchangeHeld =
  (id: string, value: number, letGo: string): Change =>
  (document) => {
    const held = { ...without(document.stance.held, letGo), [id]: value };
    const solved = stanceOf(document);
    const near = solved.ok ? { ...solved.stance.state } : document.stance.near;
    return { ...document, stance: near ? { held, near } : { held } };
  };

export const setWheel =
  (end: 'front' | 'rear', wheel: BuildDocument['wheels']['front']): Change =>
  (document) => ({ ...document, wheels: { ...document.wheels, [end]: wheel } });

/** Values of many held dimensions at once, such as a pull at the drawing comes to. */
export const holdAll =
  (values: Readonly<Record<string, number>>): Change =>
  (document) => ({
    ...document,
    stance: {
      ...document.stance,
      held: Object.fromEntries(
        Object.keys(document.stance.held).map((id) => [id, values[id] ?? document.stance.held[id]!]),
      ),
    },
  });
