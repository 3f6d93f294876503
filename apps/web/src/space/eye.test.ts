import fc from 'fast-check';
import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { eyeThatSees } from './eye';

const coordinate = fc.double({ min: -2000, max: 2000, noNaN: true });
const size = fc.double({ min: 50, max: 2500, noNaN: true });
/** The corners of a box, and so the bounds of a vehicle. */
const corners = fc
  .tuple(coordinate, coordinate, coordinate, size, size, size)
  .map(([x, y, z, long, wide, high]) =>
    [0, 1, 2, 3, 4, 5, 6, 7].map(
      (corner) =>
        new Vector3(x + long * (corner & 1), y + wide * ((corner >> 1) & 1), z + high * (corner >> 2)),
    ),
  );

describe('the eye that sees all points', () => {
  it('shows every point within its field, by the camera’s own projection, and one at an edge', () => {
    fc.assert(
      fc.property(
        corners,
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: -1.4, max: 1.4, noNaN: true }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        (points, turn, lift, aspect) => {
          const toEye = new Vector3(
            Math.cos(lift) * Math.cos(turn),
            Math.cos(lift) * Math.sin(turn),
            Math.sin(lift),
          );
          const camera = new PerspectiveCamera(32, aspect, 0.01, 1e7);
          camera.up.set(0, 0, 1);
          const up = Math.tan((16 * Math.PI) / 180);
          const { eye, target } = eyeThatSees(points, toEye, up * aspect, up);
          camera.position.copy(eye);
          camera.lookAt(target);
          camera.updateMatrixWorld();
          const seen = points.map((each) => each.clone().project(camera));
          const most = Math.max(...seen.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y))));
          expect(most).toBeLessThan(1.0001);
          expect(most).toBeGreaterThan(0.999);
        },
      ),
    );
  });
});
