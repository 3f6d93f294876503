import type { BuildDocument } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { EndFindings, EndPlace, FindingCode } from '../findings/values.js';
import type { Frame, Piece } from '../frame/frame.js';
import { distance } from '../vector/vector.js';
import { WALL_LINES } from '../frame/outline.js';
import { hostPiece, type EndCut, type EndName } from './endCut.js';
import { FLUSH } from './lines.js';
import type { Interference } from './interference.js';
import type { PieceCut } from './cut.js';

/** A torch cannot reach the heel of a sharper joint [common practice]. */
const SHARPEST = 30;
/** Thick length that should be left behind a cope's throat, mm [common practice]. */
export const THICK_LEFT = 20;
const LEAST_WALL_LINE = 5;

/** What is wrong, or worth a look, about the joints; one finding for a mirrored pair. */
export function jointFindings(
  cuts: readonly PieceCut[],
  frame: Frame,
  interferences: readonly Interference[],
  document: Pick<BuildDocument, 'frame'>,
): Finding[] {
  const byId = new Map(frame.pieces.map((piece) => [piece.id, piece]));
  return [
    ...cuts
      .filter((cut) => byId.get(cut.piece)?.side !== 'right')
      .flatMap((cut) => [
        ...pieceFindings(cut),
        ...cut.ends.flatMap((end) => endFindings(cut, end, byId.get(cut.piece)!)),
      ]),
    ...circleFindings(frame.pieces, byId),
    ...interferences.map((interference) =>
      tell('tubes-overlap', 'look', interference.a, {
        a: `${byId.get(interference.a)!.mark}, ${byId.get(interference.a)!.name}`,
        b: `${byId.get(interference.b)!.mark}, ${byId.get(interference.b)!.name}`,
        overlap: interference.overlap,
        along: interference.alongA,
      }),
    ),
    ...(document.frame.members.length === 0 ? [teller('tubes')('no-members', 'note', '', {})] : []),
  ];
}

const tell = teller('joints');

function endFindings(cut: PieceCut, end: EndCut, piece: Piece): Finding[] {
  const found: Finding[] = [];
  const place: EndPlace = {
    piece: cut.name,
    mark: cut.mark,
    host: end.hosts[0] ? `piece ${end.hosts[0]}` : 'its host',
  };
  const add = <C extends keyof EndFindings>(code: C, severity: Finding['severity'], values: EndFindings[C]) =>
    found.push(tell<FindingCode>(code, severity, `${end.piece}/${end.end}`, { ...place, ...values }));
  const past = piece.path.arcs.length > 0 ? -(end.straight + end.edge.shortest.at) : 0;
  if (!end.impossible && end.edge.pastBend > 0) add('cope-past-bend', 'stop', { past });
  else if (past > 0 && !end.impossible) add('cope-in-bend', 'look', { past });
  if (end.cut !== 'coped') {
    const own = piece.member.ends[end.end];
    if (own.cut === 'plain' && own.lost !== undefined)
      add('end-lost-host', 'look', { lost: own.lost, end: end.end === 'start' ? 'first' : 'second' });
    if (end.impossible) add('end-has-no-plane', 'stop', {});
    if (cut.overall <= 0) add('member-too-short', 'stop', {});
    return found;
  }
  const cope = piece.member.ends[end.end];
  const beside = cope.cut === 'coped' && cope.besideAxis;
  const radius = end.tubeAcross / 2;
  const hostRadius = end.hostAcross / 2;

  if (end.impossible) add('joint-parallel', 'stop', {});
  else if (end.edge.missed === end.edge.outer.length) add('joint-misses', 'stop', {});
  else if (end.edge.missed > 0 && radius > hostRadius)
    add('tube-wider-than-host', 'stop', { tube: end.tubeAcross, hostDiameter: end.hostAcross });
  else if (end.edge.missed > 0) {
    const beyond = radius + end.offset - hostRadius;
    // Beside a straight host it is its side that is passed; a bent one runs inside of its corner.
    if (beyond > FLUSH / 2) add('tube-runs-past-side', 'stop', { past: beyond, offset: end.offset });
    else add('tube-runs-past-bend', 'stop', { part: Math.ceil((end.edge.missed / WALL_LINES) * 100) });
  }
  if (end.edge.pastHostEnd > 0) add('past-host-end', 'stop', { lines: end.edge.pastHostEnd });
  if (!end.impossible && end.includedAngle < SHARPEST)
    add('joint-sharp', 'look', { angle: end.includedAngle, wanted: SHARPEST });
  if (!beside && end.offset > radius / 4)
    add('joint-off-axis', 'look', { offset: end.offset, wanted: radius / 4 });
  if (
    end.cutterDiameter > 0 &&
    end.edge.missed === 0 &&
    end.offset > radius * 0.1 &&
    radius + end.offset > hostRadius * 0.99
  )
    add('knife-edge', 'look', {});
  return found;
}

function pieceFindings(cut: PieceCut): Finding[] {
  const ref = `${cut.piece}/start`;
  const found: Finding[] = [];
  const base = { piece: cut.name, mark: cut.mark };
  if (cut.leastWallLine < LEAST_WALL_LINE)
    found.push(
      tell('copes-meet', 'stop', ref, { ...base, left: cut.leastWallLine, wanted: LEAST_WALL_LINE }),
    );
  const left = cut.butts && Math.min(cut.butts.thickLeft.start, cut.butts.thickLeft.end);
  if (cut.butts && cut.butts.spare >= 0 && left !== undefined && left < THICK_LEFT)
    found.push(
      left < 0
        ? tell('cope-through-butt', 'stop', ref, { ...base, left, wanted: THICK_LEFT })
        : tell('butt-short', 'look', ref, { ...base, left, wanted: THICK_LEFT }),
    );
  if (cut.butts && cut.butts.spare < 0)
    found.push(tell('tube-too-short', 'stop', ref, { ...base, short: -cut.butts.spare }));
  return found;
}

interface Joint {
  readonly piece: Piece;
  readonly name: EndName;
  readonly at: Piece['start'];
}

/**
 * Ends that wait for each other: A is cut to fit B there, and B, perhaps by way of others, to fit A at the same place.
 * Each is reported once.
 */
function circleFindings(pieces: readonly Piece[], byId: ReadonlyMap<string, Piece>): Finding[] {
  const joints = pieces
    .filter((piece) => piece.side !== 'right')
    .flatMap((piece): Joint[] => [
      { piece, name: 'start', at: piece.start },
      { piece, name: 'end', at: piece.end },
    ]);
  const hostsAt = ({ piece, name }: Joint): Piece[] => {
    const end = piece.member.ends[name];
    return end.cut === 'coped' ? end.hosts.flatMap((host) => hostPiece(host, piece.side, byId) ?? []) : [];
  };
  const jointOf = new Map(joints.map((joint) => [`${joint.piece.id}/${joint.name}`, joint]));
  const next = (joint: Joint): Joint[] =>
    hostsAt(joint).flatMap((host) => {
      const ends: Joint[] = [
        { piece: host, name: 'start', at: host.start },
        { piece: host, name: 'end', at: host.end },
      ];
      return ends.filter((end) => distance(end.at, joint.at) < SAME_JOINT);
    });
  const reported = new Set<string>();
  const found: Finding[] = [];
  for (const [key, joint] of jointOf) {
    const way = roundFrom(joint, next);
    if (!way) continue;
    const ring = way.map((each) => each.piece.mark).sort();
    if (reported.has(ring.join())) continue;
    reported.add(ring.join());
    found.push(tell('hosts-in-circle', 'stop', key, { pieces: ring.join(', '), first: joint.piece.mark }));
  }
  return found;
}
/** Ends whose nodes lie nearer than this, mm, are taken as one joint. */
const SAME_JOINT = 120;

function roundFrom(start: Joint, next: (joint: Joint) => Joint[]): Joint[] | undefined {
  const seen = new Set<string>();
  const walk = (joint: Joint, way: readonly Joint[]): Joint[] | undefined => {
    for (const other of next(joint)) {
      if (other.piece === start.piece && other.name === start.name) return [...way];
      const key = `${other.piece.id}/${other.name}`;
      if (seen.has(key)) continue;
      seen.add(key);
      const found = walk(other, [...way, other]);
      if (found) return found;
    }
    return undefined;
  };
  return walk(start, [start]);
}
