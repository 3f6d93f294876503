import { fixedPart } from '../frame/apart.js';
import { tackOrder } from '../fixture/tackOrder.js';
import { hostsOf } from '../joints/endCut.js';
import { pointOn } from '../frame/path.js';
import type { Piece } from '../frame/frame.js';
import { boundsOf, outside } from '../proximity/bounds.js';
import { distance, type Vector } from '../vector/vector.js';
import { USUAL_WORK, type Making, type WorkInput } from './input.js';
import { findWay, subAssemblies, usualWay, waysFor } from './ways/registry.js';
import type { SubAssembly, ToBuild } from './ways/way.js';

/** What a way of building looks at, of a frame. */
export function toBuild({
  document,
  frame,
  rearAxle,
}: Pick<WorkInput, 'document' | 'frame' | 'rearAxle'>): ToBuild {
  const held = fixedPart(document, frame);
  const byId = new Map(held.pieces.map((piece) => [piece.id, piece]));
  return {
    frame: held,
    inOrder: tackOrder(held).map(({ piece }) => piece),
    hosts: new Map(
      held.pieces.map((piece) => [
        piece.id,
        (['start', 'end'] as const).flatMap((end) => hostsOf(piece, end, byId).map(({ id }) => id)),
      ]),
    ),
    rearAxle,
    groups: document.frame.groups.filter(({ apart }) => apart !== true),
  };
}

/** Looks the input through once. */
export function makingOf(input: WorkInput): Making {
  const work = input.document.work ?? USUAL_WORK;
  const build = toBuild(input);
  const wanted = findWay(work.way);
  const way = wanted && waysFor(build).includes(wanted) ? wanted : usualWay(input.document.kind, build);
  const parts = subAssemblies(way, build);
  const pieceOf = new Map(input.frame.pieces.map((piece) => [piece.id, piece]));
  const twinsOf = (member: string) => input.frame.pieces.filter((piece) => piece.member.id === member);
  const partOf = new Map(parts.flatMap((part) => part.pieces.map((piece) => [piece, part] as const)));
  const homes = new Map(
    build.frame.plates.map((plate) => {
      const [first] = build.frame.pieces
        .map((piece) => ({
          piece,
          away: Math.min(distance(piece.start, plate.at), distance(piece.end, plate.at)),
        }))
        .sort((a, b) => a.away - b.away);
      return [plate.id, first && partOf.get(first.piece.id)] as const;
    }),
  );
  return {
    ...input,
    work,
    build,
    way,
    parts,
    cutOf: new Map(input.cuts.map((cut) => [cut.piece, cut])),
    pieceOf,
    orderOf: new Map(input.orders.flatMap((order) => order.pieces.map(({ mark }) => [mark, order]))),
    loadOf: (id) => {
      const own = pieceOf.get(id)?.member.id ?? id.split(':')[0]!;
      const pieces = twinsOf(own).map((piece) => partOf.get(piece.id));
      const plates = build.frame.plates.flatMap((each) =>
        each.plate.id === own ? [homes.get(each.id)] : [],
      );
      return `load:${new Set([...pieces, ...plates]).size > 1 ? id : own}`;
    },
    checksOf: checksIn(input.checks, parts, pieceOf),
    twins: twinsOf,
    platesOf: (part: SubAssembly) => build.frame.plates.filter(({ id }) => homes.get(id) === part),
  };
}

/** A measure belongs to the first part that holds both of its ends; mm. */
const BESIDE = 60;
function checksIn(
  checks: WorkInput['checks'],
  parts: readonly SubAssembly[],
  pieces: ReadonlyMap<string, Piece>,
): Making['checksOf'] {
  const boxes = parts.map((part) => ({
    part,
    bounds: boundsOf(part.pieces.flatMap((id) => pathPoints(pieces.get(id)!))),
  }));
  const home = new Map(
    checks.map((check) => [
      check,
      check.ends.length === 0
        ? undefined
        : boxes.find(({ bounds }) => check.ends.every((end) => !outside(end, bounds, BESIDE)))?.part,
    ]),
  );
  return (part) => checks.filter((check) => home.get(check) === part);
}
const pathPoints = ({ path, length }: Piece): Vector[] =>
  Array.from({ length: SAMPLES + 1 }, (_, index) => pointOn(path, (index / SAMPLES) * length).at);
const SAMPLES = 8;
