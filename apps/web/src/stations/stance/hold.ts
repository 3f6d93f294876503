import { findKind, type BuildDocument } from '@larchwood/core';

type Change = (document: BuildDocument) => BuildDocument;

export const holdDimension =
  (id: string, value: number): Change =>
  (document) => ({
    ...document,
    stance: { ...document.stance, held: { ...document.stance.held, [id]: value } },
  });

/** Holds one of an exchange group at its present value and lets the one that was held follow. */
export const exchangeHeld =
  (id: string, value: number): Change =>
  (document) => {
    const group = findKind(document.kind)?.exchange.find((members) => members.includes(id)) ?? [];
    const others = Object.entries(document.stance.held).filter(([held]) => !group.includes(held));
    return {
      ...document,
      stance: { ...document.stance, held: Object.fromEntries([...others, [id, value]]) },
    };
  };

export const setWheel =
  (end: 'front' | 'rear', wheel: BuildDocument['wheels']['front']): Change =>
  (document) => ({ ...document, wheels: { ...document.wheels, [end]: wheel } });

export const setForkMeasured =
  (forkMeasured: BuildDocument['stance']['forkMeasured']): Change =>
  (document) => ({ ...document, stance: { ...document.stance, forkMeasured } });
