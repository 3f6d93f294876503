import { nameInText } from '../../words.js';
import type { Making } from '../input.js';
import type { Step } from '../step.js';
import { marks, needs, step, told } from './make.js';

/** What is easier while the piece lies loose on the bench: caps, sleeves, seats of bearings. */
export function offFrameSteps({ cuts, pieceOf, twins }: Making): Step[] {
  return cuts.flatMap(({ piece: id, ends }) => {
    const piece = pieceOf.get(id);
    if (!piece || piece.side === 'right') return [];
    const { member } = piece;
    const pair = twins(member.id);
    const ids = pair.map((each) => each.id);
    const name = `${marks(pair)}, ${nameInText(member.name)}`;
    const capped = ends.filter(({ cut }) => cut === 'capped').length * pair.length;
    const made = (member.holes ?? []).length > 0 ? `drill:${member.id}` : `cut:${member.id}`;
    const sleeves = (member.holes ?? []).filter(({ sleeve }) => sleeve !== undefined);
    const seats = (member.holes ?? []).filter(({ use }) => use === 'bearing');
    return [
      ...(capped > 0
        ? [
            step({
              ...{ id: `cap:${member.id}`, phase: 'off', sort: 'cap', hours: 0.15 * capped },
              name: `Close the end${capped > 1 ? 's' : ''} of ${name}`,
              about:
                'Weld the cap on the bench and grind it flush: in the frame the torch hardly gets there.',
              pieces: ids,
              needs: needs('piece', made),
              cautions: ['arc', 'vent'],
              of: told(capped),
            }),
          ]
        : []),
      ...(sleeves.length > 0
        ? [
            step({
              ...{
                id: `sleeve:${member.id}`,
                phase: 'off',
                sort: 'off',
                hours: 0.2 * sleeves.length * pair.length,
              },
              name: `Crush sleeves into ${name}`,
              about: 'Through both walls, square, welded all round and faced flush before the tube goes in.',
              pieces: ids,
              needs: needs('piece', made),
              cautions: ['arc'],
              of: told(...sleeves.map(({ sleeve }) => sleeve!)),
            }),
          ]
        : []),
      ...(seats.length > 0
        ? [
            step({
              ...{
                id: `seat:${member.id}`,
                phase: 'off',
                sort: 'off',
                hours: 0.3 * seats.length * pair.length,
              },
              name: `Bearing recesses of ${name}`,
              about:
                'Bored or hole-sawn on the bench, a little under size: they are finished to size after welding.',
              pieces: ids,
              needs: needs('piece', made),
              cautions: ['drill'],
              of: told(...seats.map(({ diameter }) => diameter)),
            }),
          ]
        : []),
    ];
  });
}
