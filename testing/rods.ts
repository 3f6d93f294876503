import type { Vector } from '@larchwood/core';
import type { BuildDocument, Member, Section } from '@larchwood/format';
import { made } from './made.js';

/** A tube of a made-up frame: corners in mm, the first and the last its ends. */
export interface Rod {
  readonly id: string;
  readonly corners: readonly Vector[];
  readonly section: Section;
  /** Of every bend, mm. */
  readonly radius?: number;
  readonly mirrored?: boolean;
  readonly more?: Partial<Member>;
}

export const round = (diameter: number, wall = 1): Extract<Section, { shape: 'round' }> => ({
  id: `round-${diameter}`,
  name: `${diameter}`,
  shape: 'round',
  diameter,
  wall,
});

/** A build whose frame is these tubes and nothing else, with plain ends. */
export function framed(rods: readonly Rod[]): BuildDocument {
  const document = made();
  const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
  const nodes = rods.flatMap(({ id, corners }) =>
    corners.map((at, index) => ({
      id: `${id}${index}`,
      name: `${id} ${index}`,
      anchor: { on: 'fixed' as const, at: [...at] as [number, number, number] },
    })),
  );
  const members = rods.map(
    ({ id, corners, section, radius = 60, mirrored = false, more }, index): Member => ({
      id,
      piece: index + 1,
      name: id,
      nodes: [`${id}0`, `${id}${corners.length - 1}`],
      bends: corners.slice(1, -1).map((_, bend) => ({ node: `${id}${bend + 1}`, radius })),
      section: section.id,
      material: 'chromoly-4130',
      turn: 0,
      mirrored,
      supplied: false,
      ends: { start: plain, end: plain },
      ...more,
    }),
  );
  const sections = [...new Map(rods.map(({ section }) => [section.id, section])).values()];
  return { ...document, frame: { ...document.frame, sections, nodes, members, plates: [], groups: [] } };
}
