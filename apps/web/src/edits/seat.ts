import type { BuildDocument, Lump } from '@larchwood/format';

type Change = (document: BuildDocument) => BuildDocument;

export const setSeat =
  (part: Partial<BuildDocument['seat']>): Change =>
  (document) => ({ ...document, seat: { ...document.seat, ...part } });

export const setMass =
  (part: Partial<BuildDocument['mass']>): Change =>
  (document) => ({ ...document, mass: { ...document.mass, ...part } });

export const setLump =
  (id: string, part: Partial<Lump>): Change =>
  (document) =>
    setMass({ lumps: document.mass.lumps.map((lump) => (lump.id === id ? { ...lump, ...part } : lump)) })(
      document,
    );

/** Puts somebody of the brief's list into a place; whoever sat there moves to where he came from. */
export const setAboard =
  (place: number, rider: number, places: number): Change =>
  (document) => {
    const now = Array.from({ length: places }, (_, index) => document.seat.aboard[index] ?? index);
    const came = now.indexOf(rider);
    const next = now.map((each, index) => (index === place ? rider : index === came ? now[place]! : each));
    return setSeat({ aboard: next })(document);
  };

/** A new id that no lump has. */
export function freeId({ mass: { lumps } }: BuildDocument): string {
  let number = lumps.length + 1;
  while (lumps.some(({ id }) => id === `lump${number}`)) number += 1;
  return `lump${number}`;
}
