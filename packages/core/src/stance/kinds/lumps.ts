import type { SetLump } from '../dimension.js';
import type { LumpSort } from '@larchwood/format';
import type { Vector } from '../../vector/vector.js';

/** Masses that stand in until the parts are weighed: plausible, from memory; kg and mm. */
const lump = (
  name: string,
  sort: LumpSort,
  mass: number,
  point: string,
  offset?: Vector,
  box?: Vector,
): SetLump => ({ name, sort, mass, point, ...(offset ? { offset } : {}), ...(box ? { box } : {}) });

export const bicycleLumps = (
  front: number,
  rear: number,
  luggage: readonly SetLump[] = [],
): readonly SetLump[] => [
  lump('Front wheel', 'wheel', front, 'frontAxle'),
  lump('Rear wheel', 'wheel', rear, 'rearAxle'),
  lump('Fork', 'part', 0.9, 'crown', [10, 0, -120]),
  lump('Cranks, pedals and chain', 'part', 1.4, 'bottomBracket'),
  lump('Bars, stem and levers', 'part', 0.9, 'headTubeUpper', [60, 0, 40]),
  lump('Saddle and post', 'part', 0.6, 'seatTubeTop', [-30, 0, 120]),
  ...luggage,
];
export const cargo = (name: string, mass: number, point: string, offset: Vector): SetLump =>
  lump(name, 'cargo', mass, point, offset);
export const luggage: readonly SetLump[] = [
  lump('Rear bags', 'cargo', 12, 'rearAxle', [-20, 0, 120]),
  lump('Front bags', 'cargo', 6, 'frontAxle', [0, 0, 20]),
];
export const frameLump = (mass: number, point: string, offset: Vector): SetLump =>
  lump('Frame, until it has tubes', 'frame', mass, point, offset);

export const MOTORCYCLE_LUMPS: readonly SetLump[] = [
  lump('Front wheel', 'wheel', 11, 'frontAxle'),
  lump('Rear wheel', 'wheel', 14, 'rearAxle'),
  lump('Fork, clamps and bars', 'part', 16, 'crown', [30, 0, -60]),
  lump('Swing-arm and shock', 'part', 8, 'pivot', [-220, 0, -20]),
  lump('Engine', 'motor', 38, 'pivot', [240, 0, 90], [360, 320, 400]),
  lump('Tank, part full', 'tank', 9, 'pivot', [300, 0, 400]),
  lump('Battery', 'battery', 3, 'pivot', [-20, 0, 230]),
  frameLump(20, 'pivot', [230, 0, 220]),
];
export const LOW_MOTORCYCLE_LUMPS: readonly SetLump[] = [
  lump('Front wheel', 'wheel', 12, 'frontAxle'),
  lump('Rear wheel', 'wheel', 16, 'rearAxle'),
  lump('Fork, clamps and bars', 'part', 17, 'crown', [30, 0, -60]),
  lump('Swing-arm and shock', 'part', 9, 'pivot', [-220, 0, -20]),
  lump('Engine', 'motor', 52, 'pivot', [-30, 0, -115], [340, 380, 190]),
  lump('Tank, part full', 'tank', 10, 'seat', [60, 0, -120]),
  frameLump(28, 'seat', [300, 0, -60]),
];
export const SCOOTER_LUMPS: readonly SetLump[] = [
  lump('Front wheel', 'wheel', 1.6, 'frontAxle'),
  lump('Rear wheel', 'wheel', 1.3, 'rearAxle'),
  lump('Fork and bars', 'part', 2.2, 'headTubeUpper'),
  frameLump(4, 'deckMiddle', [60, 0, -10]),
];
export const trikeLumps = (frame: number): readonly SetLump[] => [
  frameLump(frame, 'seat', [250, 0, -20]),
  lump('Seat', 'part', 2, 'seat', [20, 0, 150]),
  lump('Cranks, pedals and chain', 'part', 2.4, 'pedals', [-200, 0, -40]),
];
export const pairLumps = (end: 'front' | 'rear', each: number, steering = 0): readonly SetLump[] => [
  lump(end === 'front' ? 'Front wheels' : 'Rear wheels', 'wheel', 2 * each, `${end}Axle`),
  ...(steering > 0 ? [lump('Steering', 'part', steering, 'frontAxle', [-150, 0, 30])] : []),
];
export const singleLump = (end: 'front' | 'rear', mass: number): SetLump =>
  lump(end === 'front' ? 'Front wheel' : 'Rear wheel', 'wheel', mass, `${end}Axle`);

export const KART_LUMPS: readonly SetLump[] = [
  lump('Front wheels and stubs', 'wheel', 8, 'frontAxle'),
  lump('Rear wheels, axle and brake', 'wheel', 19, 'rearAxle'),
  lump('Engine', 'motor', 18, 'seat', [40, -360, 90], [300, 260, 260]),
  lump('Steering and pedals', 'part', 7, 'frontAxle', [-120, 0, 60]),
  lump('Tank, part full', 'tank', 4, 'seat', [420, 0, 60]),
  frameLump(26, 'floorMiddle', [0, 0, 20]),
];
export const LADDER_LUMPS: readonly SetLump[] = [
  lump('Front wheels and stubs', 'wheel', 14, 'frontAxle'),
  lump('Rear wheels, axle and brake', 'wheel', 24, 'rearAxle'),
  lump('Engine', 'motor', 20, 'rearAxle', [140, 0, 80], [240, 320, 260]),
  lump('Steering and pedals', 'part', 8, 'frontAxle', [-150, 0, 60]),
  frameLump(34, 'floorMiddle', [0, 0, 40]),
];
export const BUGGY_LUMPS: readonly SetLump[] = [
  lump('Front wheels and uprights', 'wheel', 44, 'frontAxle'),
  lump('Rear wheels and uprights', 'wheel', 56, 'rearAxle'),
  lump('Engine and gearbox', 'motor', 88, 'rearAxle', [120, 0, 130], [480, 460, 420]),
  lump('Tank, part full', 'tank', 16, 'rearAxle', [480, 0, 120]),
  lump('Battery', 'battery', 9, 'frontAxle', [-330, 0, 120]),
  lump('Steering and pedals', 'part', 14, 'frontAxle', [-220, 0, 180]),
  frameLump(150, 'floorMiddle', [-60, 0, 330]),
];
export const OFF_ROAD_KART_LUMPS: readonly SetLump[] = [
  lump('Front wheels and uprights', 'wheel', 22, 'frontAxle'),
  lump('Rear wheels and axle', 'wheel', 34, 'rearAxle'),
  lump('Engine', 'motor', 30, 'rearAxle', [60, 0, 120], [260, 320, 280]),
  lump('Steering and pedals', 'part', 10, 'frontAxle', [-180, 0, 110]),
  frameLump(68, 'floorMiddle', [-40, 0, 220]),
];
