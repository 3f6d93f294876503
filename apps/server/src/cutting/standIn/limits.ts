import { findMaterial, formatExactly, type CutItem, type LengthDisplay } from '@larchwood/core';
import type { CuttingTerms, Refusal } from '@larchwood/contract';

/** What the stand-in takes: of its own invention, about as a small tube laser has it. */
export const TERMS = {
  name: 'Stand-in cutting service',
  across: [12, 130],
  length: [60, 3000],
  sheet: [1250, 1000],
  smallestHole: 2.5,
  smallestWeb: 3,
  sharpest: 30,
  materials: {
    'mild-steel': { tube: [1, 6], plate: [1, 12] },
    'chromoly-4130': { tube: [0.7, 4], plate: [1, 6] },
    'dom-1020': { tube: [1.2, 6] },
    'stainless-304': { tube: [0.8, 4], plate: [0.8, 8] },
    'aluminium-6061': { tube: [1.5, 5], plate: [1, 10] },
  },
  tolerance: 0.3,
  edges: 'Square to the wall and sharp, a little slag inside; cable holes are not rounded.',
} as const satisfies CuttingTerms;

type Rule = (item: CutItem, say: (mm: number) => string) => Refusal | undefined;
const WITHIN = 1e-6;
const takes = ({ material }: CutItem) => (TERMS.materials as CuttingTerms['materials'])[material];

const isTube = ({ form }: CutItem): boolean => form !== 'plate';
/** No hole comes out clean that is smaller than the wall is thick. */
const smallestOf = ({ wall }: CutItem) => Math.max(TERMS.smallestHole, wall);

/** One after the other, so that each is said that stands in the way. */
const RULES: readonly Rule[] = [
  (item) =>
    takes(item)?.[isTube(item) ? 'tube' : 'plate']
      ? undefined
      : {
          about: 'material',
          text: `We do not cut ${isTube(item) ? 'tube' : 'plate'} of this metal (${findMaterial(item.material)?.name ?? item.material}).`,
        },
  (item, say) => {
    const list = takes(item)?.[isTube(item) ? 'tube' : 'plate'];
    if (!list || (item.wall >= list[0] - WITHIN && item.wall <= list[1] + WITHIN)) return undefined;
    const what = isTube(item) ? 'A wall of' : 'Plate of';
    return {
      about: 'section',
      text: `${what} ${say(item.wall)} is not on our list: ${say(list[0])} to ${say(list[1])} in this metal.`,
    };
  },
  (item, say) => {
    if (!isTube(item)) return undefined;
    const [least, most] = TERMS.across;
    const [small, large] = [Math.min(...item.size), Math.max(...item.size)];
    if (large > most + WITHIN)
      return { about: 'section', text: `${say(large)} does not go through our chuck: ${say(most)} at most.` };
    return small < least - WITHIN
      ? { about: 'section', text: `${say(small)} is too thin for our chuck: ${say(least)} at least.` }
      : undefined;
  },
  (item, say) => {
    if (isTube(item)) {
      const [least, most] = TERMS.length;
      if (item.length > most + WITHIN)
        return { about: 'length', text: `${say(item.length)} is longer than our bed: ${say(most)} at most.` };
      return item.length < least - WITHIN
        ? { about: 'length', text: `${say(item.length)} is too short to hold: ${say(least)} at least.` }
        : undefined;
    }
    const [long, wide] = TERMS.sheet;
    return Math.max(...item.size) > long + WITHIN || Math.min(...item.size) > wide + WITHIN
      ? {
          about: 'outline',
          text: `It is larger than our sheets of ${say(long)} by ${say(wide)}.`,
        }
      : undefined;
  },
  ({ bent }) => (bent ? { about: 'shape', text: 'It is bent: we cut straight tubes only.' } : undefined),
  ({ even }) =>
    even
      ? undefined
      : { about: 'shape', text: 'Its wall or size is not the same from end to end: our cut would be off.' },
  ({ sharpest }) =>
    sharpest < TERMS.sharpest - WITHIN
      ? {
          about: 'ends',
          text: `An end as sharp as ${sharpest.toFixed(1)}° burns away: ${TERMS.sharpest}° to the tube at least.`,
        }
      : undefined,
  (item, say) => {
    const least = smallestOf(item);
    const small = item.holes.filter(({ diameter }) => diameter < least - WITHIN);
    return small.length === 0
      ? undefined
      : {
          about: 'holes',
          text: `${names(small)}: ${say(Math.min(...small.map(({ diameter }) => diameter)))} is too small for our beam, ${say(least)} at least in this wall.`,
        };
  },
  (item, say) => {
    const thin = item.holes.filter(({ web }) => web < TERMS.smallestWeb - WITHIN);
    return thin.length === 0
      ? undefined
      : {
          about: 'holes',
          text: `${names(thin)}: less than ${say(TERMS.smallestWeb)} of metal to the next hole or edge would melt.`,
        };
  },
];

const names = (holes: readonly { readonly name: string }[]): string =>
  [...new Set(holes.map(({ name }) => name))]
    .slice(0, 3)
    .join(', ')
    .replace(/^./, (first) => first.toUpperCase());

/** Everything that stands in the way of cutting a piece, in words. */
export const refusalsOf = (item: CutItem, display: LengthDisplay): readonly Refusal[] =>
  RULES.flatMap((rule) => rule(item, (mm) => formatExactly(mm, display)) ?? []);
