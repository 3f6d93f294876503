import {
  castEdge,
  planBuild,
  Planner,
  WHILE_DRAGGED,
  type Plan,
  type Surface,
  type Vector,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { bodyLeft, loadSolids } from '../testing/solids.js';
import { roundOutline } from '../testing/outlines.js';
import { demoBuilds, median, medians } from './demo.js';

const planned = (document: BuildDocument, planner?: Planner, resting?: typeof WHILE_DRAGGED): Plan => {
  const result = planBuild(document, planner, resting);
  if (!result.ok) throw new Error(JSON.stringify(result.refusals));
  return result.plan;
};

/** The largest demo: the whole plan afresh, and once more after one node was moved. */
export function largestFrame(): void {
  const [largest] = demoBuilds()
    .map(({ name, document }) => ({ name, document, plan: planned(document) }))
    .sort((a, b) => b.plan.frame.pieces.length - a.plan.frame.pieces.length);
  const { name, document, plan } = largest!;
  const ends = plan.cuts.flatMap((cut) => cut.ends).filter(({ cut }) => cut === 'coped').length;
  const whole = medians(200, () => planned(document));
  const movable = document.frame.nodes.findIndex(({ anchor }) => anchor.on === 'share');
  const planner = new Planner();
  planned(document, planner);
  let turn = 0;
  const moveOne = (resting?: typeof WHILE_DRAGGED) => {
    turn += 1;
    const nodes = document.frame.nodes.map((node, index) =>
      index === movable && node.anchor.on === 'share'
        ? { ...node, anchor: { ...node.anchor, share: node.anchor.share + (turn % 20) * 1e-4 } }
        : node,
    );
    planned({ ...document, frame: { ...document.frame, nodes } }, planner, resting);
  };
  const again = medians(200, () => moveOne());
  const dragged = medians(200, () => moveOne(WHILE_DRAGGED));
  planned(document, planner);
  const noted = medians(200, () => {
    turn += 1;
    planned({ ...document, notes: `Note ${turn}` }, planner);
  });
  console.log(
    `${name}: ${plan.frame.pieces.length} pieces, ${ends} coped ends at one wall line a degree; whole plan ${whole}; ` +
      `after moving one node ${again}, while it is dragged ${dragged}; after an edit of the notes ${noted}`,
  );
}

/** One cope, cast and cut as a mesh at 256 facets by a general-purpose boolean library, side by side. */
export async function copeAgainstMesh(): Promise<void> {
  const solids = await loadSolids();
  const outline = roundOutline(14.3, 0.9);
  const host: Surface = {
    shape: 'cylinder',
    point: [0, -200, 0],
    axis: [0, 1, 0],
    radius: 18,
    length: 400,
    openStart: true,
    openEnd: true,
  };
  const outward: Vector = [0.94, 0.342, 0];
  const cast = median(400, () =>
    castEdge({
      centre: [0, 0, 0],
      outward,
      matchSide: [0.342, -0.94, 0],
      outline,
      surfaces: [host],
      body: 150,
    }),
  );
  const cut = median(15, () => {
    const lean: [number, number, number] = [0, 90, 20];
    const tube = solids.Manifold.cylinder(300, 14.3, 14.3, 256)
      .subtract(solids.Manifold.cylinder(300, 13.4, 13.4, 256))
      .translate([0, 0, -150])
      .rotate(lean);
    const other = solids.Manifold.cylinder(400, 18, 18, 256).translate([0, 0, -200]).rotate([90, 0, 0]);
    return bodyLeft(tube, [other], [-140, -50, 0]).numVert();
  });
  console.log(
    `one cope of 360 outer and 360 inner wall lines, exact: ${cast.toFixed(4)} ms; the same joint as a mesh boolean at 256 facets: ${cut.toFixed(1)} ms; ${(cut / cast).toFixed(0)} times`,
  );
}
