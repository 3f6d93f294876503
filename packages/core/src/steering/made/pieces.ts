import type { Member, Node, RoundSection } from '@larchwood/format';
import type { Vector } from '../../vector/vector.js';
import { STEERING_GROUP } from '../parts.js';

/** A node of a made part, tied to a point of the stance or the linkage; its offset in mm. */
export const tiedNode = (id: string, name: string, point: string, by: Vector): Node => ({
  id: `steering-${id}`,
  name,
  anchor: {
    on: 'stance',
    point,
    offset: by.map((part) => Math.round(part * 1000) / 1000) as [number, number, number],
  },
});

const PLAIN = { cut: 'plain', setback: 0, allowance: 0 } as const;

/** A straight piece of a made part between two of its nodes, its ends plain but for what is said. */
export const madePiece = (
  id: string,
  name: string,
  [from, to]: readonly [string, string],
  section: string,
  more: Partial<Omit<Member, 'id' | 'name' | 'nodes' | 'section' | 'ends'>> & {
    readonly start?: Member['ends']['start'];
    readonly end?: Member['ends']['end'];
  } = {},
): Omit<Member, 'piece'> => {
  const { start = PLAIN, end = PLAIN, ...rest } = more;
  return {
    id: `steering-${id}`,
    name,
    nodes: [`steering-${from}`, `steering-${to}`],
    bends: [],
    section,
    material: 'mild-steel',
    turn: 0,
    mirrored: false,
    supplied: false,
    group: STEERING_GROUP,
    ...rest,
    ends: { start, end },
  };
};

const hundredth = (value: number): number => Math.round(value * 100) / 100;

/** A round bar that a piece is turned from: solid, its wall half of it; mm. */
export function barOf(diameter: number): RoundSection {
  const size = hundredth(diameter);
  return { id: `bar-${size}`, name: `Bar ${size}`, shape: 'round', diameter: size, wall: size / 2 };
}

/** Walls thinner than this are no tube's, mm. */
const LEAST_WALL = 0.3;

/** A bored piece, as a tube; mm. */
export function boredOf(kind: string, outer: number, bore: number): RoundSection {
  const [size, inside] = [hundredth(outer), hundredth(bore)];
  const wall = hundredth(Math.min(size / 2, Math.max(LEAST_WALL, (size - inside) / 2)));
  return { id: `${kind}-${size}x${wall}`, name: `${size} x ${wall}`, shape: 'round', diameter: size, wall };
}
