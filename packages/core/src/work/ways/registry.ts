import type { WayId } from '@larchwood/format';
import type { Piece } from '../../frame/frame.js';
import { isHoop } from '../../frame/hoop.js';
import { bothAt, isUpright, lowest, part, rearEnd } from './shape.js';
import type { SubAssembly, ToBuild, Way } from './way.js';

const isStay = (build: ToBuild): ((piece: Piece) => boolean) => {
  const rear = rearEnd(build);
  return ({ id }) => rear.has(id);
};

const FRONT_FIRST: Way = {
  id: 'front-first',
  name: 'Front first',
  about: 'The main frame is tacked and measured; the rear end is then fitted to it and to the wheel.',
  parts: (build) => {
    const stay = isStay(build);
    return [
      ...part(build, 'front', 'Main frame', (piece) => !stay(piece)),
      ...part(build, 'rear', 'Rear end', stay),
    ];
  },
};

const REAR_FIRST: Way = {
  id: 'rear-first',
  name: 'Rear end first',
  about:
    'The rear end is made as a part of its own, its seams still open. Weld on the fixture, and they are closed before the main frame comes.',
  parts: (build) => [...FRONT_FIRST.parts(build)].reverse(),
};

const FLOOR_FIRST: Way = {
  id: 'floor-first',
  name: 'Floor first, then hoops',
  about:
    'The floor is made flat on the table and checked by its diagonals; hoops stand on it, all else goes between.',
  parts: (build) => {
    const low = lowest(build);
    return [
      ...part(build, 'floor', 'Floor', ({ id }) => low.has(id)),
      ...part(build, 'hoops', 'Hoops', (piece) => !low.has(piece.id) && isHoop(piece)),
      ...part(build, 'rest', 'All between', (piece) => !low.has(piece.id) && !isHoop(piece)),
    ];
  },
};

const HELD_FIRST: Way = {
  id: 'held-first',
  name: 'Held points, then lower, upper, braces',
  about:
    'What the fixture holds comes first, the lower tubes join it, then the upper ones; braces close the triangles.',
  parts: (build) => {
    const own = ({ id }: Piece) => (build.hosts.get(id) ?? []).length;
    const held = (piece: Piece) => own(piece) === 0 && piece.path.arcs.length === 0;
    const there = new Set(build.frame.pieces.filter(held).map(({ id }) => id));
    const main = ({ id }: Piece) =>
      !there.has(id) && (build.hosts.get(id) ?? []).some((host) => there.has(host));
    const heights = build.frame.pieces.filter(main).map((piece) => bothAt(piece)[2]);
    const middle = (Math.min(...heights) + Math.max(...heights)) / 2;
    const low = (piece: Piece) => bothAt(piece)[2] <= middle;
    return [
      ...part(build, 'held', 'Held points', (piece) => there.has(piece.id)),
      ...part(build, 'lower', 'Lower tubes', (piece) => main(piece) && low(piece)),
      ...part(build, 'upper', 'Upper tubes', (piece) => main(piece) && !low(piece)),
      ...part(build, 'braces', 'Braces', (piece) => !there.has(piece.id) && !main(piece)),
    ];
  },
};

const DONOR_FIRST: Way = {
  id: 'donor-first',
  name: 'Donor first',
  about: 'What is left of the donor is set up and held as it was; every new tube is fitted to it.',
  parts: (build) => {
    const donors = new Set(build.groups.filter(({ donor }) => donor).map(({ id }) => id));
    const given = ({ member }: Piece) => member.group !== undefined && donors.has(member.group);
    if (donors.size === 0) return [];
    return [
      ...part(build, 'donor', 'Donor', given),
      ...part(build, 'new', 'New tubes', (piece) => !given(piece)),
    ];
  },
};

/** An end within this of one plane lies in it; mm. */
const FLAT = 20;
const FLAT_FIRST: Way = {
  id: 'flat-first',
  name: 'Flat sides, stood up',
  about:
    'The left and the right side are each made flat on the bench, one on the other; stood up, the cross tubes join them.',
  parts: (build) => {
    const side = (which: Piece['side']) => {
      const mine = build.frame.pieces.filter((piece) => piece.side === which);
      const away = mine.map((piece) => Math.abs(bothAt(piece)[1])).sort((a, b) => a - b);
      const plane = away[Math.floor(away.length / 2)] ?? 0;
      return new Set(
        mine
          .filter(({ start, end }) => [start, end].every((at) => Math.abs(Math.abs(at[1]) - plane) < FLAT))
          .map(({ id }) => id),
      );
    };
    const [left, right] = [side('left'), side('right')];
    if (left.size < 2) return [];
    return [
      ...part(build, 'left', 'Left side', ({ id }) => left.has(id)),
      ...part(build, 'right', 'Right side', ({ id }) => right.has(id)),
      ...part(build, 'cross', 'Between them', ({ id }) => !left.has(id) && !right.has(id)),
    ];
  },
};

const BASE_FIRST: Way = {
  id: 'base-first',
  name: 'Base frame, uprights, then the rest',
  about: 'The base lies flat and true; uprights are set plumb on it, and the rest is fitted between them.',
  parts: (build) => {
    const low = lowest(build);
    return [
      ...part(build, 'base', 'Base frame', ({ id }) => low.has(id)),
      ...part(build, 'uprights', 'Uprights', (piece) => !low.has(piece.id) && isUpright(piece)),
      ...part(build, 'rest', 'The rest', (piece) => !low.has(piece.id) && !isUpright(piece)),
    ];
  },
};

const GROUPS: Way = {
  id: 'groups',
  name: 'By the frame’s own groups',
  about: 'One group of tubes after the other, as the frame lists them.',
  parts: (build) =>
    build.groups.flatMap(({ id, name }) =>
      part(build, `group-${id}`, name, ({ member }) => member.group === id),
    ),
};

/** All ways of building. A new one is a line here, and its id in the format. */
export const WAYS: readonly Way[] = [
  FRONT_FIRST,
  REAR_FIRST,
  FLOOR_FIRST,
  BASE_FIRST,
  FLAT_FIRST,
  HELD_FIRST,
  DONOR_FIRST,
  GROUPS,
];
export const findWay = (id: WayId | undefined): Way | undefined => WAYS.find((way) => way.id === id);

/** Ways that a frame has parts for: two at least, the first of them not all of it. */
export const waysFor = (build: ToBuild): readonly Way[] => WAYS.filter((way) => way.parts(build).length > 1);

/** The usual way where the builder chose none: a donor comes first, then by the kind of vehicle. Common practice, no source. */
const USUAL: Readonly<Record<string, readonly WayId[]>> = {
  bicycle: ['front-first'],
  tandem: ['front-first'],
  triplet: ['front-first'],
  kart: ['floor-first', 'base-first'],
  buggy: ['floor-first'],
  motorcycle: ['held-first'],
};
export function usualWay(kind: string, build: ToBuild): Way {
  const fitting = waysFor(build);
  const wanted: readonly WayId[] = ['donor-first', ...(USUAL[kind] ?? []), 'groups'];
  return wanted.map((id) => fitting.find((way) => way.id === id)).find((way) => way !== undefined) ?? GROUPS;
}

/** The sub-assemblies of a frame, every piece in one of them. */
export function subAssemblies(way: Way, build: ToBuild): readonly SubAssembly[] {
  const parts = way.parts(build);
  const named = new Set(parts.flatMap(({ pieces }) => pieces));
  const left = part(
    build,
    'left-over',
    parts.length === 0 ? 'The frame' : 'What is left',
    ({ id }) => !named.has(id),
  );
  return [...parts, ...left];
}
