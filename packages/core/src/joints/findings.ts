import type { BuildDocument } from '../document/schema.js';
import type { Finding } from '../findings/finding.js';
import type { Piece } from '../frame/frame.js';
import type { EndCut } from './endCut.js';
import type { PieceCut } from './pieceCut.js';

/** A torch cannot reach the heel of a sharper joint [common practice]. */
const SHARPEST = 30;
/** Thick length that should be left behind a cope's throat, mm [common practice]. */
const THICK_LEFT = 20;
const LEAST_WALL_LINE = 5;

/** What is wrong, or worth a look, about the joints; one finding for a mirrored pair. */
export function jointFindings(
  cuts: readonly PieceCut[],
  pieces: readonly Piece[],
  document: BuildDocument,
): Finding[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  return cuts
    .filter((cut) => byId.get(cut.piece)?.side !== 'right')
    .flatMap((cut) => [
      ...pieceFindings(cut),
      ...cut.ends.flatMap((end) => endFindings(cut, end, byId.get(cut.piece)!)),
    ])
    .concat(
      document.frame.members.length === 0
        ? [{ code: 'no-members', severity: 'note', where: { station: 'tubes', ref: '' }, values: {} }]
        : [],
    );
}

function endFindings(cut: PieceCut, end: EndCut, piece: Piece): Finding[] {
  if (end.cut !== 'coped') return slotFindings(cut, end);
  const found: Finding[] = [];
  const tell = (code: string, severity: Finding['severity'], values: Finding['values'] = {}) =>
    found.push({
      code,
      severity,
      where: { station: 'joints', ref: `${end.piece}/${end.end}` },
      values: { piece: cut.name, mark: cut.mark, host: end.hosts.join(' + '), ...values },
    });
  const member = piece.member.ends[end.end];
  const beside = member.cut === 'coped' && member.besideAxis;
  const radius = end.outerDiameter / 2;
  const hostRadius = end.cutterDiameter / 2;

  if (end.impossible) tell('joint-parallel', 'stop');
  else if (end.edge.missed === end.edge.outer.length) tell('joint-misses', 'stop');
  else if (end.edge.missed > 0 && radius > hostRadius)
    tell('tube-wider-than-host', 'stop', { tube: end.outerDiameter, hostDiameter: end.cutterDiameter });
  else if (end.edge.missed > 0)
    tell('tube-runs-past-side', 'stop', { past: radius + end.offset - hostRadius, offset: end.offset });
  if (end.edge.pastHostEnd > 0) tell('past-host-end', 'stop', { lines: end.edge.pastHostEnd });
  if (!end.impossible && end.includedAngle < SHARPEST)
    tell('joint-sharp', 'look', { angle: end.includedAngle, wanted: SHARPEST });
  if (!beside && end.offset > radius / 4)
    tell('joint-off-axis', 'look', { offset: end.offset, wanted: radius / 4 });
  if (end.edge.missed === 0 && end.offset > radius * 0.1 && radius + end.offset > hostRadius * 0.99)
    tell('knife-edge', 'look');
  return found;
}

function slotFindings(cut: PieceCut, end: EndCut): Finding[] {
  if (end.cut !== 'slotted' || cut.overall > 0) return [];
  return [
    {
      code: 'member-too-short',
      severity: 'stop',
      where: { station: 'joints', ref: `${end.piece}/${end.end}` },
      values: { piece: cut.name, mark: cut.mark },
    },
  ];
}

function pieceFindings(cut: PieceCut): Finding[] {
  const where = { station: 'joints', ref: `${cut.piece}/start` } as const;
  const found: Finding[] = [];
  if (cut.leastWallLine < LEAST_WALL_LINE) {
    found.push({
      code: 'copes-meet',
      severity: 'stop',
      where,
      values: { piece: cut.name, mark: cut.mark, left: cut.leastWallLine, wanted: LEAST_WALL_LINE },
    });
  }
  const left = cut.butts && Math.min(cut.butts.thickLeft.start, cut.butts.thickLeft.end);
  if (cut.butts && cut.butts.spare >= 0 && left !== undefined && left < THICK_LEFT) {
    found.push({
      code: left < 0 ? 'cope-through-butt' : 'butt-short',
      severity: left < 0 ? 'stop' : 'look',
      where,
      values: { piece: cut.name, mark: cut.mark, left, wanted: THICK_LEFT },
    });
  }
  if (cut.butts && cut.butts.spare < 0) {
    found.push({
      code: 'tube-too-short',
      severity: 'stop',
      where,
      values: { piece: cut.name, mark: cut.mark, short: -cut.butts.spare },
    });
  }
  return found;
}
