import type { FrameData, Node, Plate } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { Stance } from '../stance/stance.js';
import { nameInText } from '../words.js';
import { findLinkage } from './linkages/registry.js';
import { steeringGraph, type MadeOne } from './made/registry.js';
import { hasSteeringParts, STEERING_GROUP } from './parts.js';
import { ackermannOf, leastRodAngle, LEAST_ROD_ANGLE } from './report.js';
import type { Steering, SteeringResult } from './steering.js';
import type { Side } from './sweep.js';

const tell = teller('steering');

/** Root of the mean square of the outer wheel's error above which builders complain, degrees. Common practice, no source. */
export const MOST_ERROR = 2.5;
/** Less short of the lock than this is none, degrees. */
const SHORT = 0.05;

/** What is to be looked at of a linkage. */
export function steeringFindings(result: SteeringResult | undefined, stance: Stance): Finding[] {
  if (!result) return [];
  const found = findingsOf(result, stance);
  if (!result.ok || result.steering.own) return found;
  const { linkage: id, built } = result.steering;
  if (built.parts.length === 0) return found;
  const linkage = findLinkage(id)?.name ?? id;
  // Of a linkage that nobody has begun with it is only noted.
  return [
    tell('linkage-usual', 'note', 'linkage', { linkage }),
    ...found.map((finding): Finding => ({ ...finding, severity: 'note' })),
  ];
}

function findingsOf(result: SteeringResult, stance: Stance): Finding[] {
  if (!result.ok)
    return result.refusals
      .slice(0, 1)
      .map(({ where, message }) => tell('linkage-refused', 'stop', where, { why: message }));
  const { steering } = result;
  const { left, right } = steering.sweep;
  if (left.stop.by === 'wrong way' || right.stop.by === 'wrong way')
    return [
      tell('steers-wrong-way', 'stop', 'linkage', { linkage: findLinkage(steering.linkage)?.name ?? '' }),
    ];
  const least = leastRodAngle(steering.sweep);
  const { rms, worst } = ackermannOf(stance.steered, steering.sweep);
  return [
    ...shortOf(steering, 'left', left),
    ...shortOf(steering, 'right', right),
    ...(least && least.angle < LEAST_ROD_ANGLE
      ? [
          tell(
            'rod-near-lock-over',
            least.angle < LEAST_ROD_ANGLE / 2 ? 'stop' : 'look',
            `${least.rod}Length`,
            {
              rod: rodName(steering, least.rod),
              angle: least.angle,
              wanted: LEAST_ROD_ANGLE,
            },
          ),
        ]
      : []),
    ...(rms > MOST_ERROR
      ? [tell('wheels-disagree', 'look', 'armAngle', { rms, worst, wanted: MOST_ERROR })]
      : []),
  ];
}

function shortOf(steering: Steering, side: 'left' | 'right', { steer, stop }: Side): Finding[] {
  const lock = steering.state.lock!;
  if (lock - steer < SHORT) return [];
  const why =
    stop.by === 'rod'
      ? `the ${rodName(steering, stop.rod)} is then in line with its arm`
      : 'the hands would have to go further than they can';
  return [tell('lock-not-reached', 'stop', 'lock', { side, reaches: steer, lock, why })];
}

const rodName = ({ built }: Steering, id: string): string => {
  const link = built.chain.links.find((each) => each.as === 'rod' && each.id === id);
  return nameInText(link?.as === 'rod' ? link.name : 'rod');
};

/** Pieces of a frame that were made for a linkage of other sizes, or for another one. */
export function staleParts(
  frame: FrameData,
  result: SteeringResult | undefined,
  besides: readonly MadeOne[],
): Finding[] {
  if (!result?.ok || !hasSteeringParts(frame)) return [];
  const made = steeringGraph(result.steering, besides);
  const plates = new Map(made.plates.map((plate) => [plate.id, plate]));
  const members = new Set(made.members.map(({ id }) => id));
  const nodes = new Map(made.nodes.map((node) => [node.id, node]));
  const moved = new Set(
    frame.nodes.filter((node) => isElsewhere(node, nodes.get(node.id))).map(({ id }) => id),
  );
  const ofSteering = ({ group }: { readonly group?: string }) => group === STEERING_GROUP;
  const stale = [
    ...frame.members.filter(
      (member) => ofSteering(member) && (!members.has(member.id) || member.nodes.some((id) => moved.has(id))),
    ),
    ...frame.plates.filter((plate) => {
      const now = plates.get(plate.id);
      return ofSteering(plate) && (moved.has(plate.node) || !(now && sameShape(plate, now)));
    }),
  ];
  const parts = stale.map(({ piece }) => piece).join(', ');
  return stale.length > 0 ? [tell('steering-part-stale', 'look', 'parts', { parts })] : [];
}

/** Of a part that is made at home, pieces that are not in the frame though others of it are. */
export function missingParts(frame: FrameData, besides: readonly MadeOne[]): Finding[] {
  const there = new Set([...frame.members, ...frame.plates].map(({ id }) => id));
  return besides.flatMap(({ name, result: { parts } }) => {
    const pieces = parts ? [...parts.members, ...parts.plates] : [];
    const missing = pieces.filter(({ id }) => !there.has(id));
    if (missing.length === 0 || missing.length === pieces.length) return [];
    const names = [...new Set(missing.map((piece) => nameInText(piece.name)))];
    return [
      tell('steering-part-missing', 'note', 'parts', { made: nameInText(name), parts: names.join(', ') }),
    ];
  });
}

/** Nearer than this no arm is cut, mm and degrees. */
const SAME = 0.3;
/** Whether a node that is tied to a point stands off it by another way than it would now. */
const isElsewhere = ({ anchor: a }: Node, now: Node | undefined): boolean =>
  now?.anchor.on === 'stance' &&
  a.on === 'stance' &&
  Math.hypot(...now.anchor.offset.map((part, axis) => part - a.offset[axis]!)) > SAME;

function sameShape(
  a: Pick<Plate, 'outline' | 'tilt' | 'turn'>,
  b: Pick<Plate, 'outline' | 'tilt' | 'turn'>,
): boolean {
  return (
    Math.abs(a.tilt - b.tilt) < SAME &&
    Math.abs(a.turn - b.turn) < SAME &&
    a.outline.length === b.outline.length &&
    a.outline.every(([x, y], index) => Math.hypot(x - b.outline[index]![0], y - b.outline[index]![1]) < SAME)
  );
}
