import type { Stance } from '../../stance/stance.js';
import type { Linkage } from '../linkage.js';
import { RACK } from './rack.js';
import { SIDE_STICKS } from './sideSticks.js';
import { BARS, PUSH_ROD, STICKS_TO_FORK } from './single.js';
import { DRAG_LINK, TRACK_ROD } from './trackRods.js';
import { TWO_RODS } from './twoRods.js';
import { UNDER_SEAT_BAR } from './underSeatBar.js';

/** Every linkage. */
export const LINKAGES: readonly Linkage[] = [
  BARS,
  PUSH_ROD,
  STICKS_TO_FORK,
  TWO_RODS,
  RACK,
  DRAG_LINK,
  TRACK_ROD,
  SIDE_STICKS,
  UNDER_SEAT_BAR,
];

export const findLinkage = (id: string): Linkage | undefined => LINKAGES.find((linkage) => linkage.id === id);

/** What can be built for a stance, what its builders use first. */
export const linkagesFor = (stance: Stance): readonly Linkage[] =>
  LINKAGES.map((linkage) => ({ linkage, rank: linkage.suits(stance) }))
    .filter((each): each is { linkage: Linkage; rank: number } => each.rank !== undefined)
    .sort((a, b) => b.rank - a.rank)
    .map(({ linkage }) => linkage);
