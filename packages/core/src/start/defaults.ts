import type { Brief, BuildDocument } from '@larchwood/format';

/** A brief with nothing in it yet. */
export const EMPTY_BRIEF: Brief = {
  purpose: '',
  riders: [],
  shelf: [],
  limits: [],
  school: 'slide-and-post',
};

/** Plan on tiles, a roll of 36 in, a printer that prints true. */
export const USUAL_PAPER = {
  size: 'A4',
  thickness: 0.1,
  planOn: 'tiles',
  rollWidth: 914,
  overlap: 15,
  printer: { x: 1, y: 1 },
} satisfies BuildDocument['paper'];
