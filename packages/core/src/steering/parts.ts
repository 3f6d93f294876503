import type { FrameData, Member, Node, Plate, Section } from '@larchwood/format';
import { cross, dot, length, squareTo, subtract, unit, type Vector } from '../vector/vector.js';
import type { LinkagePart } from './linkage.js';
import type { Steering } from './steering.js';

/** Parts of a frame graph without numbers yet: nodes, members and plates that go together. */
export interface GraphParts {
  readonly nodes: readonly Node[];
  readonly members: readonly Omit<Member, 'piece'>[];
  readonly plates: readonly Omit<Plate, 'piece'>[];
  /** Sections that no library has: bars that are turned, and what is bored. */
  readonly sections?: readonly Section[];
}

/** The group that a linkage's parts stand in. */
export const STEERING_GROUP = 'steering';
/** Id of a frame's head tube, in every layout that has one. */
export const HEAD_TUBE = 'headTube';

/** Usual sections and sizes; common practice, no source. Lengths in mm. */
const USUAL = {
  rod: 'round-16x1.5',
  shaft: 'round-20x2',
  stick: 'round-22x1.5',
  material: 'mild-steel',
  arm: { thickness: 8, half: 16, hole: 8 },
  /** Ball to the end of the tube: the rod end's own length and its nut, half screwed in. */
  rodEnd: 30,
} as const;

const idOf = (part: string): string => `steering-${part}`;
const twinOf = (id: string): string => id.replace(/Left$/, 'Right');
const withoutSide = (name: string): string => {
  const bare = name.replace(/^Left /, '').replace(/, left( hole)?$/, '');
  return bare.charAt(0).toUpperCase() + bare.slice(1);
};

/**
 * The linkage as pieces: rods and shafts are tubes, arms are plates, each tied to the points of the linkage, so that they
 * follow it. What has a twin on the right stands for both.
 */
export function linkageParts({ built }: Steering): GraphParts {
  const { parts, points, chain } = built;
  const ids = new Set(parts.map(({ id }) => id));
  const own = parts.filter(({ id }) => !(id.endsWith('Right') && ids.has(id.replace(/Right$/, 'Left'))));
  const at = (name: string): Vector => points[name]!.at;
  const named = new Map(own.flatMap(({ from, to }) => [from, to]).map((name) => [name, name]));
  const nodes = [...named.keys()].map((point): Node => ({
    id: idOf(point.replace('steering.', '')),
    name: pointName(point),
    anchor: { on: 'stance', point, offset: [0, 0, 0] },
  }));
  const nodeOf = (point: string) => idOf(point.replace('steering.', ''));
  const mirrored = ({ id }: LinkagePart) => id.endsWith('Left') && ids.has(twinOf(id));
  const members = own
    .filter((part) => part.as !== 'arm' && length(subtract(at(part.to), at(part.from))) > 1)
    .map((part): Omit<Member, 'piece'> => {
      const end = { cut: 'plain', setback: part.as === 'rod' ? USUAL.rodEnd : 0, allowance: 0 } as const;
      return {
        id: idOf(part.id),
        name: mirrored(part) ? withoutSide(part.name) : part.name,
        nodes: [nodeOf(part.from), nodeOf(part.to)],
        bends: [],
        section: part.as === 'rod' ? USUAL.rod : part.id.startsWith('stick') ? USUAL.stick : USUAL.shaft,
        material: USUAL.material,
        turn: 0,
        mirrored: mirrored(part),
        supplied: false,
        group: STEERING_GROUP,
        ends: { start: end, end },
      };
    });
  const plates = own
    .filter((part) => part.as === 'arm' && length(subtract(at(part.to), at(part.from))) > 2 * USUAL.arm.hole)
    .map((part): Omit<Plate, 'piece'> => {
      const body = chain.bodies[points[part.to]!.body ?? ''];
      const axis: Vector = body?.as === 'turns' ? body.axis : [0, 0, 1];
      const way = subtract(at(part.to), at(part.from));
      const { turn, tilt, first, second } = lying(axis);
      const flat = squareTo(way, axis);
      const long = [dot(flat, first), dot(flat, second)] as const;
      return {
        id: idOf(part.id),
        name: mirrored(part) ? withoutSide(part.name) : part.name,
        node: nodeOf(part.from),
        thickness: USUAL.arm.thickness,
        material: USUAL.material,
        mirrored: mirrored(part),
        group: STEERING_GROUP,
        plane: 'plan',
        tilt,
        turn,
        outline: barOutline(long, USUAL.arm.half),
        holes: [{ at: [tenth(long[0]), tenth(long[1])], diameter: USUAL.arm.hole }],
        bendLines: [],
      };
    });
  return { nodes, members, plates };
}

const pointName = (point: string): string => {
  const words = point.replace('steering.', '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return `Steering: ${words}`;
};
const tenth = (value: number): number => Math.round(value * 10) / 10;
const thousandth = (value: number): number => Math.round(value * 1000) / 1000;

/** How a plate in the plan is turned and tilted to lie square to an axis, and its two directions; degrees. */
export function lying(axis: Vector): {
  readonly turn: number;
  readonly tilt: number;
  readonly first: Vector;
  readonly second: Vector;
} {
  const level = cross([0, 0, 1], axis);
  const first: Vector = length(level) < 1e-9 ? [1, 0, 0] : unit(level);
  const second = unit(cross(axis, first));
  const turn = (Math.atan2(first[1], first[0]) * 180) / Math.PI;
  const across: Vector = [-first[1], first[0], 0];
  const tilt = (Math.atan2(second[2], dot(second, across)) * 180) / Math.PI;
  return { turn: thousandth(turn), tilt: thousandth(tilt), first, second };
}

const CORNERS = 16;

/** A bar with round ends, from the outline's own point to another. */
export function barOutline([x, y]: readonly [number, number], half: number): Plate['outline'] {
  const angle = Math.atan2(y, x);
  const cap = ([cx, cy]: readonly [number, number], from: number) =>
    Array.from({ length: CORNERS + 1 }, (_, index): [number, number] => {
      const at = from + (Math.PI * index) / CORNERS;
      return [tenth(cx + half * Math.cos(at)), tenth(cy + half * Math.sin(at))];
    });
  return [...cap([x, y], angle - Math.PI / 2), ...cap([0, 0], angle + Math.PI / 2)];
}

/** Ids of the parts that a frame has of its steering. */
export const hasSteeringParts = ({ members, plates }: Pick<FrameData, 'members' | 'plates'>): boolean =>
  [...members, ...plates].some(({ group }) => group === STEERING_GROUP);
