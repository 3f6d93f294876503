import { teller, type Finding } from '../findings/finding.js';
import type { Frame } from '../frame/frame.js';
import type { PieceCut } from '../joints/cut.js';
import type { Blocks } from './blocks.js';
import { fitsBothWays } from './marks.js';
import { wantedVents } from './vents.js';
import type { Work } from './work.js';

const tell = teller('work');

/** What can be told of the order of work at once. */
export function orderFindings({ breaches, circles, steps, lost }: Work): readonly Finding[] {
  const names = new Map(steps.map(({ id, name }) => [id, name]));
  return [
    ...circles.map((circle) =>
      tell('steps-in-circle', 'look', circle[0]!, { steps: circle.map((id) => names.get(id)!), ids: circle }),
    ),
    ...breaches.map(({ step, needs, taste, why }) =>
      tell('step-before-need', taste ? 'note' : 'look', step, {
        step: names.get(step)!,
        needs: names.get(needs)!,
        why,
      }),
    ),
    ...(lost.length > 0 ? [tell('moves-lost', 'note', '', { count: lost.length })] : []),
  ];
}

/** What a piece wants before it is welded in: a vent, a witness mark. */
export function pieceFindings(frame: Frame, cuts: readonly PieceCut[]): readonly Finding[] {
  const vents = wantedVents(frame, cuts);
  const both = fitsBothWays(frame, cuts);
  return [
    ...(vents.length > 0
      ? [
          tell('tubes-unvented', 'look', `cut:${vents[0]!.member}`, {
            marks: vents.map(({ mark }) => mark).join(', '),
            count: vents.length,
            vents,
          }),
        ]
      : []),
    ...(both.length > 0
      ? [
          tell('fits-both-ways', 'note', `cut:${both[0]!.member.id}`, {
            marks: both.map(({ member }) => String(member.piece)).join(', '),
            count: both.length,
          }),
        ]
      : []),
  ];
}

/** What would block what. */
export const blockFindings = ({ shut, barred }: Blocks): readonly Finding[] => [
  ...shut.map(({ seam, step, mark, to, share, by, cure }) =>
    tell('seam-shut', 'look', step, {
      ...{ seam, mark, to: to.join(' and '), share, by: by.slice(0, 4).join(', ') },
      moves: cure,
    }),
  ),
  ...barred.map(({ step, mark, way, by, cure }) =>
    way.out
      ? tell('way-springs', 'note', step, { mark, spring: way.spring })
      : tell('way-barred', 'look', step, { mark, by: by.slice(0, 4).join(', '), moves: cure }),
  ),
];
