import { BufferAttribute, BufferGeometry, Matrix4, Vector3 } from 'three';
import { MeshBVH } from 'three-mesh-bvh';
import { describe, expect, it } from 'vitest';
import { DEMO } from '../../../../testing/demo.js';
import { made, planMade } from '../../../../testing/made.js';
import { fixedPart } from '../frame/apart.js';
import { hostsOf } from '../joints/endCut.js';
import { pieceMesh } from '../solid/pieceMesh.js';
import type { Plan } from '../plan/plan.js';
import { along, scale, turn, type Vector } from '../vector/vector.js';
import { obstacleOf } from './obstacle.js';
import { shutIn, TORCH } from './torch.js';
import { wayIn } from './wayIn.js';
import { seamsOf, type Seam } from './weld/seams.js';

/** Each piece as a mesh of triangles, for a general mesh-collision package (three-mesh-bvh). */
function meshes(plan: Plan): ReadonlyMap<string, BufferGeometry> {
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  return new Map(
    plan.frame.pieces.map((piece) => {
      const { positions, indices } = pieceMesh(piece, cuts.get(piece.id)!, 10);
      const geometry = new BufferGeometry();
      geometry.setAttribute('position', new BufferAttribute(positions, 3));
      geometry.setIndex(new BufferAttribute(indices, 1));
      geometry.boundsTree = new MeshBVH(geometry);
      return [piece.id, geometry] as const;
    }),
  );
}
const treeOf = (geometry: BufferGeometry): MeshBVH => geometry.boundsTree as MeshBVH;
const three = ([x, y, z]: Vector): Vector3 => new Vector3(x, y, z);

/** Least distance from the torch's own line to a mesh, looked at every 6 mm; what is farther off than it could matter counts as far. */
function nearest(tree: MeshBVH, at: Vector, lean: Vector): number {
  let least = Infinity;
  for (let way = TORCH.standOff + TORCH.radius; way <= TORCH.reach; way += 6)
    least = Math.min(
      least,
      tree.closestPointToPoint(three(along(at, lean, way)), {} as never, 0, FAR)?.distance ?? FAR,
    );
  return least;
}

const FAR = 60;

const FRAMES = [
  ['bicycle', 'road'],
  ['motorcycle', 'sport'],
  ['kart', 'kart'],
] as const;

describe('a torch at a seam', () => {
  it.each(FRAMES)('%s %s: a place that is open has a lean that meets no mesh', (kind, set) => {
    const plan = planMade(made(kind, set));
    const all = meshes(plan);
    const seams = seamsOf(plan.frame, plan.cuts);
    const obstacles = plan.frame.pieces.map((piece) => obstacleOf(piece));
    let looked = 0;
    for (const seam of seams.slice(0, 17)) {
      const joined = new Set([seam.piece, ...seam.hosts]);
      for (const place of [0, 7, 13, 19]) {
        const point = seam.points[place % seam.points.length]!;
        const one = { ...seam, points: [point] };
        const { share, by } = shutIn(one, obstacles);
        const beside = Math.abs(point.open[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
        const axis = perpendicular(point.open, beside as unknown as Vector);
        const leans = [point.open, ...[15, 30].flatMap((angle) => ring(point.open, axis, angle))];
        const near = [...all]
          .filter(([id]) => !joined.has(id))
          .map(([, mesh]) => treeOf(mesh))
          .filter((tree) => tree.closestPointToPoint(three(point.at), {} as never, 0, 200) !== null);
        // The least that the freest lean leaves to any mesh that is not joined here.
        const freest = Math.max(
          ...leans.map((lean) => Math.min(FAR, ...near.map((tree) => nearest(tree, point.at, lean)))),
        );
        looked += 1;
        // A rod stands for a tube: its ends are round and reach to the node, so it may shut what is open, by so much.
        if (share === 0) expect(freest, `${seam.id} open`).toBeGreaterThan(TORCH.radius - 1);
        else expect(freest, `${seam.id} shut by ${by.join()}`).toBeLessThan(TORCH.radius + 22);
      }
    }
    expect(looked).toBeGreaterThan(30);
  });
  it('a rod across a seam shuts the places under it, and none when it is moved away', () => {
    const [seam] = seamsOf(planMade(made()).frame, planMade(made()).cuts) as [Seam];
    const over = (off: number) => {
      const { at, open } = seam.points[0]!;
      const from = along(at, open, off);
      const across = perpendicular(open, [0, 0, 1]);
      const rod = {
        as: 'rod' as const,
        from: along(from, across, 200),
        to: along(from, across, -200),
        radius: 60,
      };
      const bounds = { low: [-9e3, -9e3, -9e3] as const, high: [9e3, 9e3, 9e3] as const };
      return shutIn({ ...seam, points: [seam.points[0]!] }, [{ id: 'x', mark: 'X', shapes: [rod], bounds }]);
    };
    expect(over(80)).toEqual({ share: 1, by: ['x'] });
    // Leaning 30 degrees it passes beside what stands twice as far off as both are thick (half over the sine of 30), not nearer.
    const twice = 2 * (60 + TORCH.radius);
    expect(over(twice - 1).share).toBe(1);
    expect(over(twice + 1).share).toBe(0);
  });
});

const perpendicular = (a: Vector, b: Vector): Vector => {
  const v = new Vector3().crossVectors(three(a), three(b)).normalize();
  return [v.x, v.y, v.z];
};
const ring = (open: Vector, axis: Vector, angle: number): Vector[] =>
  Array.from({ length: 8 }, (_, index) => turn(turn(open, axis, angle), open, index * 45));

describe('a piece on its way in', () => {
  it.each(FRAMES)('%s %s: where a way is said to be free, the mesh comes out along it', (kind, set) => {
    const document = made(kind, set);
    const plan = planMade(document);
    const frame = fixedPart(document, plan.frame);
    const all = meshes(plan);
    const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
    const obstacles = frame.pieces.map((piece) => obstacleOf(piece));
    let free = 0;
    for (const cut of plan.cuts) {
      const piece = pieces.get(cut.piece);
      if (!piece) continue;
      const hosts = (['start', 'end'] as const).map((end) => hostsOf(piece, end, pieces));
      // Everything else stands: the last piece to go in. What is cut to fit this one cannot be there yet.
      const resting = new Set(
        frame.pieces
          .filter((other) =>
            (['start', 'end'] as const).some((end) =>
              hostsOf(other, end, pieces).some(({ id }) => id === piece.id),
            ),
          )
          .map(({ id }) => id),
      );
      const standing = obstacles.filter(({ id }) => id !== piece.id && !resting.has(id));
      const { out, spring, by } = wayIn(piece, cut, hosts, standing);
      if (!out) {
        expect(by.length, `${piece.mark} barred by`).toBeGreaterThan(0);
        continue;
      }
      free += 1;
      const near = new Set(hosts.flat().map(({ id }) => id));
      for (const on of [40, 90, 140, 200])
        for (const { id } of standing) {
          if (near.has(id)) continue;
          const moved = new Matrix4().makeTranslation(three(scale(out, on)));
          expect(
            treeOf(all.get(id)!).intersectsGeometry(all.get(piece.id)!, moved),
            `${piece.mark} past ${id} at ${on}, sprung ${spring.toFixed(1)}`,
          ).toBe(false);
        }
    }
    expect(free).toBeGreaterThan(4);
  });
  it('a tube between two sides slides along them, is barred by stops on all ways, and springs round thick hosts', () => {
    const plan = planMade(DEMO.find(({ name }) => name === 'Paddock kart')!);
    const pieces = new Map(plan.frame.pieces.map((piece) => [piece.id, piece]));
    const cut = plan.cuts.find(({ name }) => name === 'Seat cross tube')!;
    const piece = pieces.get(cut.piece)!;
    const hosts = (['start', 'end'] as const).map((end) => hostsOf(piece, end, pieces));
    const rails = hosts.flat().map((host) => obstacleOf(host));
    const { out, spring } = wayIn(piece, cut, hosts, rails);
    expect(out).toBeDefined();
    expect(spring).toBe(0);
    const middle: Vector = scale(
      [piece.start[0] + piece.end[0], piece.start[1] + piece.end[1], piece.start[2] + piece.end[2]],
      0.5,
    );
    const shell = [
      [1, 0, 0],
      [-1, 0, 0],
      [0, 0, 1],
      [0, 0, -1],
    ].map((way, index) => {
      const at = along(middle, way as unknown as Vector, 45);
      const side: Vector = [0, 250, 0];
      const from: Vector = [at[0] - side[0], at[1] - side[1], at[2] - side[2]];
      const to: Vector = [at[0] + side[0], at[1] + side[1], at[2] + side[2]];
      return {
        ...{ id: `stop${index}`, mark: `S${index}` },
        shapes: [{ as: 'rod' as const, from, to, radius: 28 }],
        bounds: { low: [-9e3, -9e3, -9e3] as const, high: [9e3, 9e3, 9e3] as const },
      };
    });
    const barred = wayIn(piece, cut, hosts, [...rails, ...shell]);
    expect(barred.out).toBeUndefined();
    expect(barred.by.length).toBeGreaterThan(0);
  });
});
