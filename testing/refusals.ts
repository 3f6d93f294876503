import type { SchoolId } from '@larchwood/format';

/** Which starting sets each school refuses, by kind or by kind and set, with a word of the reason. */
const REFUSED: Readonly<Record<SchoolId, Readonly<Record<string, RegExp>>>> = {
  'wall-board': {
    ...{ scooter: /Only 2 of its tubes/, 'motorcycle sport': /Only 1 of its tubes/ },
    ...{
      'low-motorcycle': /Only 1 of its tubes/,
      'tadpole-trike': /kingpins/,
      kart: /kingpins/,
      buggy: /kingpins/,
    },
  },
  'slide-and-post': {
    ...{ scooter: /lacks/, motorcycle: /lacks/, 'low-motorcycle': /lacks/, 'delta-trike': /lacks/ },
    ...{ 'tadpole-trike': /head tube/, kart: /head tube/, buggy: /head tube/ },
  },
  stay: {
    ...{ scooter: /No pair of tubes/, motorcycle: /swing-arm/, 'low-motorcycle': /swing-arm/ },
    ...{ 'delta-trike': /two wheels/, kart: /two wheels/, buggy: /two wheels/ },
  },
  ...{ table: {}, spine: {}, plan: {}, none: {} },
};

/** Why a school must refuse the first frame of a starting set; undefined where it must hold it. */
export const refusalOf = (school: SchoolId, kind: string, set: string): RegExp | undefined =>
  REFUSED[school][`${kind} ${set}`] ?? REFUSED[school][kind];
