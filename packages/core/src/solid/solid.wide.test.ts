import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { findMaterial, type Mesh } from '../index.js';
import { pieceMesh } from './pieceMesh.js';
import { plateMesh } from './plateMesh.js';

/** Corners nearer than this are one, mm. */
const ONE = 1e-4;

/** Edges that are not run through once in each direction, and the volume inside; mm3. */
function measured({ positions, indices }: Mesh): { readonly open: number; readonly volume: number } {
  const key = (corner: number) =>
    [0, 1, 2].map((axis) => Math.round(positions[3 * corner + axis]! / ONE)).join();
  const edges = new Map<string, number>();
  let volume = 0;
  for (let at = 0; at < indices.length; at += 3) {
    const corners = [indices[at]!, indices[at + 1]!, indices[at + 2]!];
    const names = corners.map(key);
    // A triangle whose corners fall together closes nothing.
    if (new Set(names).size < 3) continue;
    names.forEach((name, index) => {
      const next = names[(index + 1) % 3]!;
      const [there, back] = [`${name} ${next}`, `${next} ${name}`];
      const other = edges.get(back);
      if (other === undefined) edges.set(there, (edges.get(there) ?? 0) + 1);
      else if (other === 1) edges.delete(back);
      else edges.set(back, other - 1);
    });
    const [a, b, c] = corners.map((corner) => positions.subarray(3 * corner, 3 * corner + 3)) as [
      Float32Array,
      Float32Array,
      Float32Array,
    ];
    volume +=
      (a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) +
        a[1]! * (b[2]! * c[0]! - b[0]! * c[2]!) +
        a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!)) /
      6;
  }
  return { open: edges.size, volume };
}

describe('pieces as solids', () => {
  it.each(EVERY_SET)('%s %s: each is closed, and holds as much metal as it weighs', (kind, set) => {
    const { frame, cuts, given } = planMade(made(kind, set));
    const cutOf = new Map([...cuts, ...given].map((cut) => [cut.piece, cut]));
    for (const piece of frame.pieces) {
      const cut = cutOf.get(piece.id)!;
      const { open, volume } = measured(pieceMesh(piece, cut, 5));
      expect(open, piece.mark).toBe(0);
      const metal = cut.mass / (findMaterial(piece.member.material)!.density * 1e-9);
      // Chords between every fifth wall line lie a little inside of rounds; an end that is pressed flat is told by its tube.
      const flat = cut.ends.some((end) => end.cut === 'flattened');
      expect(volume / metal, piece.mark).toBeGreaterThan(flat ? 0.97 : 0.99);
      expect(volume / metal, piece.mark).toBeLessThan(flat ? 1.03 : 1.003);
    }
    for (const plate of frame.plates) {
      const { open, volume } = measured(plateMesh(plate));
      expect(open, plate.mark).toBe(0);
      const metal = plate.mass / (findMaterial(plate.plate.material)!.density * 1e-9);
      expect(volume / metal, plate.mark).toBeCloseTo(1, 2);
    }
  });
});
