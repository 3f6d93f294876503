import type { Anchor, End, FrameData, Member, Node, Plate, Section } from '@larchwood/format';
import type { Stance } from '../../stance/stance.js';
import { subtract, type Vector } from '../../vector/vector.js';
import { librarySection } from '../library.js';
import { placeNodes } from '../nodes.js';
import { plain, type LayoutOptions } from './layout.js';

type Point = readonly [number, number, number];
type Bend = readonly [node: string, radius: number];
interface TubeOptions {
  readonly start?: End;
  readonly end?: End;
  readonly bends?: readonly Bend[];
  readonly mirrored?: boolean;
  readonly supplied?: boolean;
  readonly material?: string;
  readonly group?: string;
  readonly turn?: number;
  readonly through?: readonly string[];
}
type PlateOptions = Partial<
  Pick<Plate, 'plane' | 'tilt' | 'turn' | 'mirrored' | 'holes' | 'bendLines' | 'material' | 'group'>
>;

/** A frame while a layout draws it: pieces are numbered as they come. */
export interface Sketch {
  /** A point of the stance, in mm. @throws RangeError when the stance has none of that name. */
  readonly point: (name: string) => Vector;
  /** Where a node lies, as drawn so far. @throws RangeError when it has no place. */
  readonly at: (node: string) => Vector;
  readonly node: (id: string, name: string, anchor: Anchor) => string;
  readonly onStance: (id: string, name: string, point: string, offset?: Point) => string;
  /** Tied to the stance point that it is beside, so that it moves with it; given by where it lies, in mm. */
  readonly beside: (id: string, name: string, point: string, at: Point) => string;
  readonly onMember: (
    id: string,
    name: string,
    member: string,
    from: 'start' | 'end',
    distance: number,
    offset?: Point,
  ) => string;
  readonly shareOf: (id: string, name: string, member: string, share: number, offset?: Point) => string;
  readonly between: (id: string, name: string, a: string, b: string, share: number, offset?: Point) => string;
  /** The same node on the right, for one on the left. */
  readonly other: (node: string) => string;
  readonly tube: (
    id: string,
    name: string,
    nodes: readonly [string, string],
    section: string,
    options?: TubeOptions,
  ) => string;
  readonly plate: (
    id: string,
    name: string,
    node: string,
    thickness: number,
    outline: readonly (readonly [number, number])[],
    options?: PlateOptions,
  ) => string;
  readonly group: (id: string, name: string, donor?: boolean) => string;
  /** The section that a member has, or will have: the layout’s usual one, or the one chosen in its place. */
  readonly sectionOf: (member: string, usual: string) => Section;
  readonly done: () => FrameData;
}

/** Tenths of a millimetre: what a builder can set. */
const tenth = (value: number): number => Math.round(value * 10) / 10 + 0;
const tenths = ([x, y, z]: Point): [number, number, number] => [tenth(x), tenth(y), tenth(z)];
const ORIGIN: Point = [0, 0, 0];

/** Begins a frame on a stance. */
export function sketch(stance: Stance, options: LayoutOptions = {}, material = 'chromoly-4130'): Sketch {
  const nodes: Node[] = [];
  const members: Member[] = [];
  const plates: Plate[] = [];
  const groups: FrameData['groups'] = [];
  const sections = new Map<string, Section>();
  let piece = 0;

  const point = (name: string): Vector => {
    const found = stance.points[name] ?? stance.seatPoints[name];
    if (!found) throw new RangeError(`The stance of a ${stance.kind} has no point ${name}.`);
    return found;
  };
  const node = (id: string, name: string, anchor: Anchor): string => {
    nodes.push({ id, name, anchor });
    return id;
  };
  const sectionOf = (member: string, usual: string): Section => {
    const drawn = members.find(({ id }) => id === member);
    return (drawn && sections.get(drawn.section)) ?? librarySection(options.sections?.[member] ?? usual);
  };
  const at = (id: string): Vector => {
    const found = placeNodes({ nodes, members }, stance).nodes.get(id);
    if (!found) throw new RangeError(`No place for node ${id}.`);
    return found;
  };
  return {
    point,
    at,
    node,
    sectionOf,
    onStance: (id, name, to, offset = ORIGIN) =>
      node(id, name, { on: 'stance', point: to, offset: tenths(offset) }),
    beside: (id, name, to, where) =>
      node(id, name, { on: 'stance', point: to, offset: tenths(subtract(where, point(to))) }),
    onMember: (id, name, member, from, distance, offset = ORIGIN) =>
      node(id, name, { on: 'member', member, from, distance: tenth(distance), offset: tenths(offset) }),
    shareOf: (id, name, member, share, offset = ORIGIN) =>
      node(id, name, { on: 'share', member, share, offset: tenths(offset) }),
    between: (id, name, a, b, share, offset = ORIGIN) =>
      node(id, name, { on: 'between', nodes: [a, b], share, offset: tenths(offset) }),
    other: (left) => {
      const id = `${left}Right`;
      const name = nodes.find((each) => each.id === left)?.name ?? left;
      return nodes.some((each) => each.id === id)
        ? id
        : node(id, `${name}, right`, { on: 'mirror', node: left });
    },
    tube: (id, name, ends, section, more = {}) => {
      const chosen = sectionOf(id, section);
      sections.set(chosen.id, chosen);
      members.push({
        id,
        piece: (piece += 1),
        name,
        nodes: [ends[0], ends[1]],
        bends: (more.bends ?? []).map(([at, radius]) => ({ node: at, radius })),
        section: chosen.id,
        material: more.material ?? material,
        turn: more.turn ?? 0,
        mirrored: more.mirrored ?? false,
        supplied: more.supplied ?? false,
        ...(more.group === undefined ? {} : { group: more.group }),
        ...(more.through === undefined ? {} : { through: [...more.through] }),
        ends: { start: more.start ?? plain(), end: more.end ?? plain() },
      });
      return id;
    },
    plate: (id, name, on, thickness, outline, more = {}) => {
      plates.push({
        id,
        piece: (piece += 1),
        name,
        node: on,
        thickness,
        material: more.material ?? 'mild-steel',
        mirrored: more.mirrored ?? false,
        ...(more.group === undefined ? {} : { group: more.group }),
        plane: more.plane ?? 'side',
        tilt: more.tilt ?? 0,
        turn: more.turn ?? 0,
        outline: outline.map(([x, y]) => [tenth(x), tenth(y)]),
        holes: more.holes ?? [],
        bendLines: more.bendLines ?? [],
      });
      return id;
    },
    group: (id, name, donor = false) => {
      groups.push({ id, name, donor });
      return id;
    },
    done: () => ({ sections: [...sections.values()], groups, nodes, members, plates }),
  };
}
