import type { Node, Plate } from '../../document/schema.js';
import type { Stance } from '../../stance/stance.js';
import { along, distance, dot, scale, subtract, unit, type Vector } from '../../vector/vector.js';
import { librarySection } from '../sections.js';
import {
  coped,
  copedBeside,
  plain,
  slotted,
  tube,
  type FrameData,
  type Pattern,
  type PatternOptions,
} from './pattern.js';

/** Sizes [common practice, from memory]. Chainstays are 19 mm rather than 22.2, to leave a 37 mm tyre its 6 mm. */
const SECTIONS = {
  headTube: 'round-36x1.1',
  bottomBracketShell: 'round-40x3.5',
  seatTube: 'butted-28.6x0.9-0.6-600',
  topTube: 'butted-28.6x0.8-0.5-600',
  downTube: 'butted-31.8x0.8-0.5-720',
  chainstays: 'tapered-19-14x0.8',
  seatstays: 'tapered-14-12x0.8',
} as const;
const SHELL_WIDTH = 68;
const DROPOUT = { thickness: 6, offMiddle: 70.5 };
const STAY_OFF_MIDDLE = 22;
/** Clear of the head tube's face, so that it can be welded and faced. */
const FACE_MARGIN = 7;

/**
 * Diamond bicycle: top > head + seat, down > head and, at the other end, shell + seat at once, seat > shell,
 * chainstays > shell, seatstays > seat tube beside its axis; stays slotted on dropouts. Pieces are numbered in setting order.
 */
function make(stance: Stance, options: PatternOptions = {}): FrameData {
  const chosen = { ...SECTIONS, ...options.sections };
  const sections = Object.fromEntries(
    Object.entries(chosen).map(([member, id]) => [member, librarySection(id)]),
  );
  const p = stance.points as Record<string, Vector>;
  const belowSeat = options.topTubeBelowSeat ?? 48;
  const seatDirection = unit(subtract(p.seatTubeTop!, p.bottomBracket!));
  const seatCluster = along(p.seatTubeTop!, seatDirection, -belowSeat);
  const stayCluster = 40;
  const lower = clearOfFace(
    p.headTubeLower!,
    stance.steeringAxis,
    p.bottomBracket!,
    sections.headTube!.diameter,
    sections.downTube!.diameter,
  );
  const upper = clearOfFace(
    p.headTubeUpper!,
    scale(stance.steeringAxis, -1),
    seatCluster,
    sections.headTube!.diameter,
    sections.topTube!.diameter,
  );
  const round = (length: number) => Math.ceil(length * 2) / 2;

  const nodes: Node[] = [
    onStance('shellLeft', 'BB shell, left face', 'bottomBracket', [0, SHELL_WIDTH / 2, 0]),
    onStance('shellRight', 'BB shell, right face', 'bottomBracket', [0, -SHELL_WIDTH / 2, 0]),
    onStance('bottomBracket', 'BB', 'bottomBracket'),
    onStance('headLower', 'Head tube, lower face', 'headTubeLower'),
    onStance('headUpper', 'Head tube, upper face', 'headTubeUpper'),
    onStance('seatTop', 'Seat tube, top', 'seatTubeTop'),
    onMember('topAtHead', 'Top tube at the head tube', 'headTube', 'end', round(upper)),
    onMember('downAtHead', 'Down tube at the head tube', 'headTube', 'start', round(lower)),
    onMember('topAtSeat', 'Top tube at the seat tube', 'seatTube', 'end', belowSeat),
    onStance('chainstayAtShell', 'Chainstay at the BB shell', 'bottomBracket', [0, STAY_OFF_MIDDLE, 0]),
    onMember('seatstayAtSeat', 'Seatstay at the seat tube', 'seatTube', 'end', stayCluster, [0, 7.1, 0]),
    onStance('dropout', 'Dropout', 'rearAxle', [0, DROPOUT.offMiddle, 0]),
  ];
  const members = [
    tube(
      1,
      'bottomBracketShell',
      'BB shell',
      ['shellRight', 'shellLeft'],
      sections.bottomBracketShell!.id,
      { start: plain(), end: plain() },
      { supplied: true, material: 'mild-steel' },
    ),
    tube(2, 'headTube', 'Head tube', ['headLower', 'headUpper'], sections.headTube!.id, {
      start: plain(),
      end: plain(),
    }),
    tube(3, 'seatTube', 'Seat tube', ['bottomBracket', 'seatTop'], sections.seatTube!.id, {
      start: coped('bottomBracketShell'),
      end: plain(),
    }),
    tube(4, 'downTube', 'Down tube', ['downAtHead', 'bottomBracket'], sections.downTube!.id, {
      start: coped('headTube'),
      end: coped('bottomBracketShell', 'seatTube'),
    }),
    tube(5, 'topTube', 'Top tube', ['topAtHead', 'topAtSeat'], sections.topTube!.id, {
      start: coped('headTube'),
      end: coped('seatTube'),
    }),
    tube(
      6,
      'chainstays',
      'Chainstay',
      ['chainstayAtShell', 'dropout'],
      sections.chainstays!.id,
      { start: coped('bottomBracketShell'), end: slotted(24, DROPOUT.thickness, 18) },
      { mirrored: true },
    ),
    tube(
      7,
      'seatstays',
      'Seatstay',
      ['seatstayAtSeat', 'dropout'],
      sections.seatstays!.id,
      { start: copedBeside('seatTube'), end: slotted(26, DROPOUT.thickness, 18) },
      { mirrored: true },
    ),
  ];
  return {
    sections: uniqueById(Object.values(sections)),
    nodes,
    members,
    plates: [dropout(p.rearAxle!, p.bottomBracket!, seatCluster)],
  };
}

/** Distance of a joint from a head-tube face at which the tube's edge keeps clear of that face. */
function clearOfFace(
  face: Vector,
  inward: Vector,
  towards: Vector,
  hostDiameter: number,
  tubeDiameter: number,
): number {
  let at = hostDiameter;
  for (let round = 0; round < 4; round += 1) {
    const direction = unit(subtract(towards, along(face, inward, at)));
    const cosine = dot(direction, inward);
    const sine = Math.sqrt(1 - cosine ** 2);
    // The tube's near edge stands r / sin off its axis, which itself leaves the host R / tan nearer to the face.
    at = (tubeDiameter / 2 - (hostDiameter / 2) * cosine) / sine + FACE_MARGIN;
  }
  return Math.max(FACE_MARGIN, at);
}

/** A plate with an arm along each stay, around the axle; in the side view, from the axle. */
function dropout(axle: Vector, shell: Vector, cluster: Vector): Plate {
  const side = (target: Vector): [number, number] => {
    const reach = distance([axle[0], 0, axle[2]], [target[0], 0, target[2]]);
    return [(target[0] - axle[0]) / reach, (target[2] - axle[2]) / reach];
  };
  const low = side(shell);
  const high = side(cluster);
  const arm = ([x, z]: [number, number], length: number, off: number): [number, number] => [
    rounded(x * length - z * off),
    rounded(z * length + x * off),
  ];
  return {
    id: 'dropouts',
    piece: 8,
    name: 'Dropout',
    node: 'dropout',
    thickness: DROPOUT.thickness,
    material: 'mild-steel',
    mirrored: true,
    outline: [
      arm(low, 42, -6),
      arm(low, 42, 6),
      arm(low, 20, 7),
      arm(high, 20, -7),
      arm(high, 44, -5),
      arm(high, 44, 5),
      arm(high, 4, 15),
      [-12, 8],
      [-13, -8],
      [-4, -15],
      arm(low, 14, -13),
    ],
    holes: [{ at: [0, 0], diameter: 10 }],
  };
}

const rounded = (value: number): number => Math.round(value * 10) / 10;
const onStance = (
  id: string,
  name: string,
  point: string,
  offset: [number, number, number] = [0, 0, 0],
): Node => ({ id, name, anchor: { on: 'stance', point, offset } });
const onMember = (
  id: string,
  name: string,
  member: string,
  from: 'start' | 'end',
  at: number,
  offset: [number, number, number] = [0, 0, 0],
): Node => ({
  id,
  name,
  anchor: { on: 'member', member, from, distance: at, offset },
});
function uniqueById<T extends { readonly id: string }>(items: readonly T[]): T[] {
  return [...new Map(items.map((item) => [item.id, item])).values()];
}

export const DIAMOND: Pattern = {
  id: 'diamond',
  name: 'Diamond',
  about: 'Top, down and seat tube, two pairs of stays.',
  kinds: ['bicycle'],
  make,
};
