import type { BuildDocument, CutsData, Hole } from '@larchwood/format';

const bolt = (id: string, name: string, distance: number): Hole => ({
  ...{ id, name, use: 'bolt', from: 'start', distance, face: 90, off: 0, diameter: 8.5, far: 8.5, sleeve: 8 },
});
/** What is drilled, by build and member. */
const HOLES: Readonly<Record<string, Readonly<Record<string, readonly Hole[]>>>> = {
  'orchard-ladder': {
    rails: [
      bolt('seatRear', 'seat, rear', 520),
      bolt('seatFront', 'seat, front', 760),
      {
        ...{
          id: 'brakeLine',
          name: 'brake line',
          use: 'cable',
          from: 'end',
          distance: 140,
          face: 270,
          off: 0,
        },
        ...{ diameter: 8, slot: 14 },
      },
    ],
  },
  'long-quay-cruiser': {
    rails: [
      {
        ...{ id: 'loom', name: 'wiring', use: 'cable', from: 'middle', distance: 0, face: 90, off: 0 },
        ...{ diameter: 12, slot: 24 },
      },
    ],
  },
};
/** How some pieces are bent, by build and member. */
const BENT: Readonly<Record<string, CutsData['bends']>> = {
  'glasshouse-400': { upperChords: { from: 'end', extra: { start: 50, end: 100 } } },
};

/** The build with its holes, and how it is bent. */
export function worked(file: string, document: BuildDocument): BuildDocument {
  const holes = HOLES[file] ?? {};
  const members = document.frame.members.map((member) => {
    const own = holes[member.id];
    return own ? { ...member, holes: [...own] } : member;
  });
  const bends = BENT[file];
  return {
    ...document,
    frame: { ...document.frame, members },
    ...(bends ? { cuts: { bends, bars: [] } } : {}),
  };
}
