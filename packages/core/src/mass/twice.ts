import type { BuildDocument, Lump } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import { STEERING_GROUP } from '../steering/parts.js';
import type { PieceWeight } from './weight.js';

/** What stands for parts until they are made, by its name, and which pieces of the frame are those parts. */
const STAND_INS: readonly { readonly name: RegExp; readonly isOf: (weight: PieceWeight) => boolean }[] = [
  { name: /^fork\b/i, isOf: ({ member }) => isFork(member) },
  { name: /^steering\b/i, isOf: ({ member, group }) => group === STEERING_GROUP && !isFork(member) },
];
const isFork = (member: string): boolean => member.startsWith('steering-fork');
/** Ends the name of one from which its pieces were taken off. */
const REST = ', the rest';
/** Less than this is nothing, kg. */
const LEAST = 0.02;

/** A mass that also counts pieces which are weighed by themselves; kg. */
export interface Twice {
  readonly lump: Lump;
  readonly pieces: number;
}

/** Masses of a starting set that stand for what is made in the frame by now. */
export const weighedTwice = (
  { mass: { lumps } }: Pick<BuildDocument, 'mass'>,
  weights: readonly PieceWeight[],
): readonly Twice[] =>
  STAND_INS.flatMap(({ name, isOf }) => {
    const pieces = weights.filter(isOf).reduce((sum, { mass }) => sum + mass, 0);
    const lump = lumps.find(
      (each) => each.sort === 'part' && name.test(each.name) && !each.name.endsWith(REST),
    );
    return lump && pieces > LEAST && lump.mass > LEAST ? [{ lump, pieces }] : [];
  });

/** What is left of a mass without its pieces; nothing left, it is taken out. */
export const withoutPieces = (document: BuildDocument, id: string, pieces: number): BuildDocument => ({
  ...document,
  mass: {
    ...document.mass,
    lumps: document.mass.lumps.flatMap((each) => {
      if (each.id !== id) return [each];
      const mass = Math.round((each.mass - pieces) * 100) / 100;
      return mass > LEAST ? [{ ...each, mass, name: `${each.name.slice(0, 100)}${REST}` }] : [];
    }),
  },
});

const tell = teller('seat');
export const twiceFindings = (
  document: Pick<BuildDocument, 'mass'>,
  weights: readonly PieceWeight[],
): Finding[] =>
  weighedTwice(document, weights).map(({ lump: { id, name, mass }, pieces }) =>
    tell('weighed-twice', 'note', `lumps.${id}`, { id, name, mass, pieces }),
  );
