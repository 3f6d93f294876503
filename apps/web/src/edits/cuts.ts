import { outlineFrom, USUAL_BENDING, without } from '@larchwood/core';
import type { Bending, BuildDocument, CutsData, End, Hole, Node, Plate } from '@larchwood/format';

export const NO_CUTS: CutsData = { bends: {}, bars: [] };

/** What is changed of a bending; an order of none is the one along the tube. */
export type BendingChange = Omit<Partial<Bending>, 'order'> & {
  readonly order?: Bending['order'] | undefined;
};

/** Another way of bending one member. */
export const changeBending =
  (member: string, part: BendingChange) =>
  (document: BuildDocument): BuildDocument => {
    const cuts = document.cuts ?? NO_CUTS;
    const bending = { ...(cuts.bends[member] ?? USUAL_BENDING), ...part };
    const told = bending.order === undefined ? without(bending, 'order') : bending;
    return { ...document, cuts: { ...cuts, bends: { ...cuts.bends, [member]: told } } };
  };

/** The die that fits best again, not one that was chosen. */
export const letDieGo =
  (member: string) =>
  (document: BuildDocument): BuildDocument => {
    const cuts = document.cuts ?? NO_CUTS;
    const bending = without(cuts.bends[member] ?? USUAL_BENDING, 'die');
    return { ...document, cuts: { ...cuts, bends: { ...cuts.bends, [member]: bending } } };
  };

/** Other holes of one member; none leave no trace. */
export const changeHoles =
  (member: string, change: (holes: readonly Hole[]) => readonly Hole[]) =>
  (document: BuildDocument): BuildDocument => ({
    ...document,
    frame: {
      ...document.frame,
      members: document.frame.members.map((before) => {
        if (before.id !== member) return before;
        const holes = change(before.holes ?? []);
        return holes.length === 0 ? without(before, 'holes') : { ...before, holes: [...holes] };
      }),
    },
  });

/** One hole with some of its sizes changed; one that is set to nothing is left out. */
export const changeHole =
  (member: string, id: string, part: { readonly [K in keyof Hole]?: Hole[K] | undefined }) =>
  (document: BuildDocument): BuildDocument =>
    changeHoles(member, (holes) =>
      holes.map((hole) => {
        if (hole.id !== id) return hole;
        const kept = Object.entries({ ...hole, ...part }).filter(([, value]) => value !== undefined);
        return Object.fromEntries(kept) as unknown as Hole;
      }),
    )(document);

/** One plate with parts of it changed; its outline follows its corners. What is set to nothing is left out. */
export const changePlate =
  (id: string, part: { readonly [K in keyof Plate]?: Plate[K] | undefined }) =>
  (document: BuildDocument): BuildDocument => ({
    ...document,
    frame: {
      ...document.frame,
      plates: document.frame.plates.map((plate) => {
        if (plate.id !== id) return plate;
        const kept = Object.entries({ ...plate, ...part }).filter(([, value]) => value !== undefined);
        const next = Object.fromEntries(kept) as unknown as Plate;
        return part.corners ? { ...next, outline: outlineFrom(part.corners) } : next;
      }),
    },
  });

/** A new plate, with nodes of its own where it needs them. */
export const addPlate =
  (plate: Plate, nodes: readonly Node[] = []) =>
  (document: BuildDocument): BuildDocument => ({
    ...document,
    frame: {
      ...document.frame,
      nodes: [...document.frame.nodes, ...nodes],
      plates: [...document.frame.plates, plate],
    },
  });

/** Without a plate; what ended on it is left with a square end. */
export const removePlate =
  (id: string) =>
  (document: BuildDocument): BuildDocument => ({
    ...document,
    frame: {
      ...document.frame,
      plates: document.frame.plates.filter((plate) => plate.id !== id),
      members: document.frame.members.map((member) => {
        const [start, end] = (['start', 'end'] as const).map((name): End => {
          const before = member.ends[name];
          return before.cut === 'plate' && before.plate === id
            ? { cut: 'plain', setback: 0, allowance: before.allowance }
            : before;
        }) as [End, End];
        return start === member.ends.start && end === member.ends.end
          ? member
          : { ...member, ends: { start, end } };
      }),
    },
  });
