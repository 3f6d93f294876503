import type { BuildDocument, End, Member, Node } from '@larchwood/format';
import { freeId, nextPiece, withFrame, withSections } from '../frame/edit/graph.js';
import { findSection } from '../frame/library.js';
import { nearestOn, pathOf, type Path } from '../frame/path.js';
import { failure, success, type Result } from '../result.js';
import type { ViewName } from '../stance/dimension.js';
import type { Vector } from '../vector/vector.js';
import { chainsOf, type Chain } from './chains.js';
import type { Flat, Stroke } from './stroke.js';

/** How the lines of one layer become tubes. */
export interface LayerPlan {
  /** The plane that it is drawn in: from the left, from above, or from the front. */
  readonly plane: ViewName;
  /** How far that plane lies to the left, up, or forward of the vehicle's own; mm. */
  readonly off: number;
  /** A left and a right one of each. */
  readonly both: boolean;
  /** Id of a section of the library or of the build. */
  readonly section: string;
}
export interface BringOptions {
  /** Of the layers that come; what is left out stays out. */
  readonly layers: Readonly<Record<string, LayerPlan>>;
  /** Where the drawing's origin comes to lie: forward of the rear axle, and over the floor; mm. */
  readonly at: Flat;
  /** The vehicle is drawn facing to the left. */
  readonly facesLeft: boolean;
  /** In place of the tubes and plates that are there, or beside them. */
  readonly instead: boolean;
}
export interface BroughtTube {
  readonly name: string;
  readonly length: number;
  readonly bends: number;
  readonly path: Path;
}
export interface BroughtFrame {
  readonly tubes: readonly BroughtTube[];
  readonly document: BuildDocument;
}

/** Ends of tubes nearer to each other, or to a tube, than this meet there, mm. */
const MEETS = 2;
/** More tubes than these are no frame. */
const MOST_TUBES = 200;

/**
 * Centre lines of a drawing as tubes with their bends: where ends meet, the longest runs through and the others are cut to
 * fit it; an end that comes to a tube sits on it and follows it.
 */
export function bringCentreLines(
  document: BuildDocument,
  strokes: readonly Stroke[],
  { layers, at, facesLeft, instead }: BringOptions,
): Result<BroughtFrame> {
  const wanted = strokes.filter(({ layer }) => Object.hasOwn(layers, layer));
  const chains = chainsOf(wanted);
  if (chains.length === 0) return failure('Nothing is chosen to come: choose a layer.');
  if (chains.length > MOST_TUBES) return failure(`More than ${MOST_TUBES} tubes: choose fewer layers.`);
  const base = instead
    ? withFrame(document, { nodes: [], members: [], plates: [], sections: [], groups: [] })
    : document;
  // What is drawn with its front at the left is seen from the other side; from above it is turned, never mirrored.
  const way = facesLeft ? -1 : 1;
  const put = ([x, y]: Flat, level: number, { plane, off }: LayerPlan): Vector => {
    const across = way * x + at[0];
    if (plane === 'side') return [across, off - way * level, y + at[1]];
    return plane === 'plan' ? [across, way * y, off + level] : [off + way * level, way * x, y + at[1]];
  };
  const lines = chains.map((chain): Line => {
    const plan = layers[chain.layer]!;
    const corners = [chain.from, ...chain.bends.map(({ corner }) => corner), chain.to].map((each) =>
      put(each, chain.level, plan),
    );
    const path = pathOf(
      corners,
      chain.bends.map(({ radius }) => radius),
    );
    return { chain, plan, corners, path };
  });
  // The longest first: it runs through where ends meet.
  const sorted = [...lines].sort((a, b) => b.path.length - a.path.length);
  let next = base;
  const placed: { readonly line: Line; readonly id: string }[] = [];
  const tubes: BroughtTube[] = [];
  const counts = new Map<string, number>();
  for (const line of sorted) {
    const count = (counts.get(line.chain.layer) ?? 0) + 1;
    counts.set(line.chain.layer, count);
    const name = `${line.chain.layer} ${count}`.slice(0, 80);
    const made = placeTube(next, line, name, placed);
    next = made.document;
    placed.push({ line, id: made.id });
    tubes.push({ name, length: line.path.length, bends: line.chain.bends.length, path: line.path });
  }
  const known = [
    ...document.frame.sections,
    ...Object.values(layers).flatMap(({ section }) => findSection(section) ?? []),
  ];
  return success({ tubes, document: withSections(next, known) });
}

interface Line {
  readonly chain: Chain;
  readonly plan: LayerPlan;
  readonly corners: readonly Vector[];
  readonly path: Path;
}

function placeTube(
  document: BuildDocument,
  { chain, plan, corners }: Line,
  name: string,
  placed: readonly { readonly line: Line; readonly id: string }[],
): { readonly document: BuildDocument; readonly id: string } {
  let next = document;
  const fixed = (at: Vector, label: string): string => {
    const id = freeId(next, 'node');
    const node: Node = {
      id,
      name: label.slice(0, 80),
      anchor: { on: 'fixed', at: [tidy(at[0]), tidy(at[1]), tidy(at[2])] },
    };
    next = withFrame(next, { nodes: [...next.frame.nodes, node] });
    return id;
  };
  const ended = (at: Vector, which: 'start' | 'end'): { readonly node: string; readonly end: End } => {
    const hosts = placed.flatMap(({ line, id }) => {
      const { station, away } = nearestOn(line.path, at);
      return away < MEETS ? [{ line, id, station }] : [];
    });
    const host = hosts[0];
    if (!host)
      return { node: fixed(at, `${name}, ${which}`), end: { cut: 'plain', setback: 0, allowance: 0 } };
    const member = next.frame.members.find((each) => each.id === host.id)!;
    const { length } = host.line.path;
    const own =
      host.station < MEETS ? member.nodes[0] : host.station > length - MEETS ? member.nodes[1] : undefined;
    let node = own;
    if (node === undefined) {
      node = freeId(next, 'node');
      const share = Math.round((host.station / length) * 1e6) / 1e6;
      const anchor = {
        on: 'share' as const,
        member: host.id,
        share,
        offset: [0, 0, 0] as [number, number, number],
      };
      next = withFrame(next, {
        nodes: [...next.frame.nodes, { id: node, name: `${name}, ${which}`.slice(0, 80), anchor }],
      });
    }
    const twins = hosts.filter(({ id }) => id !== host.id).slice(0, 2);
    return {
      node,
      end: {
        cut: 'coped',
        hosts: [host, ...twins].map(({ id }) => ({ member: id, side: 'same' as const })),
        besideAxis: false,
        allowance: 0,
      },
    };
  };
  const start = ended(corners[0]!, 'start');
  const end = ended(corners.at(-1)!, 'end');
  const bends = chain.bends.map(({ radius }, index) => ({
    node: fixed(corners[index + 1]!, `${name}, corner ${index + 1}`),
    radius: tidy(radius),
  }));
  const id = freeId(next, 'tube');
  const member: Member = {
    ...{ id, piece: nextPiece(next), name, nodes: [start.node, end.node], bends },
    section: plan.section,
    material: document.frame.members[0]?.material ?? 'mild-steel',
    ...{ turn: 0, mirrored: plan.both, supplied: false },
    ends: { start: start.end, end: end.end },
  };
  return { document: withFrame(next, { members: [...next.frame.members, member] }), id };
}

/** Hundredths of a millimetre: no drawing means more. */
const tidy = (mm: number): number => Math.round(mm * 100) / 100 + 0;

/** How a layer most likely is meant, by its name. */
export function likelyPlan(layer: string, section: string): LayerPlan {
  const plane: ViewName = /plan|top|floor|above/i.test(layer)
    ? 'plan'
    : /front|rear|hoop|cross/i.test(layer)
      ? 'front'
      : 'side';
  return { plane, off: 0, both: false, section };
}

/** Where a drawing's origin has to lie for it to stand where the frame stands: lower rear corner on lower rear corner. */
export function likelyPlace(
  strokes: readonly Stroke[],
  facesLeft: boolean,
  frame: { readonly rear: number; readonly low: number },
): Flat {
  const points = strokes.flatMap(({ from, to }) => [from, to]);
  if (points.length === 0) return [0, 0];
  const x = Math.min(...points.map(([each]) => (facesLeft ? -each : each)));
  const y = Math.min(...points.map(([, each]) => each));
  return [tidy(frame.rear - x), tidy(frame.low - y)];
}
