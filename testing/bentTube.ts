import { pathOf, USUAL_BENDING, type Piece, type PieceCut, type Vector } from '@larchwood/core';
import { bendSchedule } from '../packages/core/src/bends/schedule.js';

/** A round tube through corners, cut square at its ends. */
export function bentTube(corners: readonly Vector[], radii: readonly number[], diameter = 25.4) {
  const path = pathOf(corners, radii);
  const piece = {
    ...{ id: 'tube', mark: '1', name: 'Tube', side: 'middle', path, length: path.length },
    section: { id: 'round', name: 'round', shape: 'round', diameter, wall: 2 },
    member: { id: 'tube', section: 'round', material: 'mild-steel' },
  } as unknown as Piece;
  const end = (station: number) => ({ station, edge: { longest: { at: 0 } } });
  return { piece, cut: { ends: [end(0), end(path.length)] } as unknown as PieceCut };
}
/** Its bends, as its table has them. */
export const scheduleOf = (corners: readonly Vector[], radii: readonly number[], bending = USUAL_BENDING) => {
  const { piece, cut } = bentTube(corners, radii);
  return bendSchedule(piece, cut, bending)!;
};
