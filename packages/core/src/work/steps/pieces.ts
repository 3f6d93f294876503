import { inTurn } from '../../bends/schedule.js';
import { nameInText } from '../../words.js';
import type { PieceCut } from '../../joints/cut.js';
import { sawSettingOf } from '../../joints/planar.js';
import type { EndCut } from '../../joints/endCut.js';
import type { Piece } from '../../frame/frame.js';
import type { Making } from '../input.js';
import type { Line, Step } from '../step.js';
import { arrivals, boughtPlate, boughtTube } from './bought.js';
import { marks, needs, step, told } from './make.js';

/** Usual times, hours; common practice, no source: the workshop's log takes their place. */
export const PIECE_HOURS = {
  saw: 0.05,
  cope: 0.15,
  plain: 0.05,
  bend: 0.15,
  drill: 0.1,
  plate: 0.35,
} as const;

/** Every piece that the builder makes: bent, cut, drilled; and flat parts. A pair is one step. */
export function pieceSteps(making: Making): Step[] {
  const { build, frame, platesOf, parts } = making;
  const members = new Map<string, Piece>();
  for (const piece of [...build.inOrder, ...frame.pieces])
    if (!piece.supplied && !members.has(piece.member.id)) members.set(piece.member.id, piece);
  const plates = [...new Set(parts.flatMap(platesOf).map(({ plate }) => plate.id))];
  return [
    ...[...members.values()].flatMap((piece) => stepsOf(making, piece)),
    ...plates.map((id) => plateStep(making, id)),
  ];
}

function stepsOf(making: Making, { member }: Piece): Step[] {
  const { cutOf, twins, bends, holes, orderOf } = making;
  const all = twins(member.id);
  const cut = cutOf.get(all[0]!.id);
  if (!cut) return [];
  const pair = all.filter(({ mark }) => !orderOf.has(mark));
  if (pair.length === 0) return boughtTube(making, all);
  const ids = pair.map(({ id }) => id);
  const mark = marks(pair);
  const bend = bends.find(({ piece }) => piece === pair[0]!.id);
  const drilled = holes.find(({ piece }) => piece === pair[0]!.id);
  const bores = drilled?.bores.filter(({ wall }) => wall === 'near') ?? [];
  const onlyVents = (member.holes ?? []).every(({ use }) => use === 'vent');
  const bendId = `bend:${member.id}`;
  const cutId = `cut:${member.id}`;
  return [
    ...(bend
      ? [
          step({
            ...{
              id: bendId,
              phase: 'pieces',
              sort: 'bend',
              hours: pair.length * PIECE_HOURS.bend * bend.bends.length,
            },
            name: `Bend ${mark}, ${nameInText(member.name)}`,
            about:
              'Weld seam of the stock to the inside or outside of the first bend, and the same way in all. Number the bends on the tube.',
            check: 'Lay it on the plan or its twin: half a degree shows at the far end.',
            pieces: ids,
            lines: [
              { id: 'saw', text: 'Saw to', value: bend.tube, quantity: 'length' },
              ...inTurn(bend).flatMap(({ bend: { number, mark: at, angle }, turn }): Line[] => [
                { id: `mark${number}`, text: `Bend ${number}, start at`, value: at, quantity: 'length' },
                { id: `turn${number}`, text: `Bend ${number}, by`, value: angle, quantity: 'angle' },
                ...(Math.abs(turn) > 0.05
                  ? [
                      {
                        id: `roll${number}`,
                        text: `before it, roll`,
                        value: turn,
                        quantity: 'angle' as const,
                      },
                    ]
                  : []),
              ]),
            ],
            tool: 'Bender',
            sheet: { station: 'cuts', ref: pair[0]!.id },
            needs: needs('piece', 'get'),
            cautions: ['bender'],
            of: told(
              bend.tube,
              ...inTurn(bend).flatMap(({ bend: { mark: at, angle }, turn }) => [at, angle, turn]),
            ),
          }),
        ]
      : []),
    step({
      ...{ id: cutId, phase: 'pieces', sort: 'cut', hours: pair.length * hoursOf(cut) },
      name: `${bend ? 'Trim and cope' : 'Mark and cut'} ${mark}, ${nameInText(member.name)}`,
      about: markWords(pair, cut, bend !== undefined),
      check: cut.ends.every(({ cut: how }) => how === 'plain' || how === 'capped')
        ? 'Ends square by a try-square, edges broken inside and out.'
        : 'Offer each end to its host: no light through the joint that the process does not close.',
      pieces: ids,
      lines: [
        { id: 'length', text: 'Longest point to longest point', value: cut.overall, quantity: 'length' },
        ...cut.ends.flatMap(endLine),
      ],
      tool: cut.ends.some(({ cut: how }) => how === 'coped') ? 'Notcher, mill or paper pattern' : 'Saw',
      sheet: { station: 'patterns', ref: pair[0]!.id },
      needs: [...(bend ? needs('piece', bendId) : needs('piece', 'get')), ...arrivals(making, all)],
      cautions: ['grinder'],
      of: told(
        cut.overall,
        ...cut.ends.flatMap(({ cut: how, offSquare, matchAngle }) => [how, offSquare, matchAngle]),
      ),
    }),
    ...(bores.length > 0
      ? [
          step({
            ...{ id: `drill:${member.id}`, phase: 'pieces', sort: 'drill' },
            hours: PIECE_HOURS.drill * bores.length,
            name: `${onlyVents ? 'Vent' : 'Drill'} ${mark}, ${nameInText(member.name)}`,
            about: onlyVents
              ? 'A small hole on the hidden side, through one wall: hot air gets out, and water later.'
              : pair.length > 1
                ? 'Both clamped together, marks to marks, and drilled at once: then the holes are in line.'
                : 'Square through where it goes through both walls; round the edges where cables pass.',
            check: onlyVents
              ? 'It does not come out where it shows or where water stands.'
              : 'The bolt or axle goes in by hand.',
            pieces: ids,
            lines: bores.slice(0, 24).map(({ name, fromStart }, index) => ({
              ...{
                id: `hole${index}`,
                text: `${name}, from the start`,
                value: fromStart,
                quantity: 'length',
              },
            })),
            tool: 'Drill',
            sheet: { station: 'cuts', show: 'holes', ref: pair[0]!.id },
            needs: needs('piece', cutId),
            cautions: ['drill'],
            of: told(...bores.flatMap(({ fromStart, face, diameter }) => [fromStart, face, diameter])),
          }),
        ]
      : []),
  ];
}

const hoursOf = ({ ends }: PieceCut): number =>
  PIECE_HOURS.saw +
  ends.reduce(
    (sum, { cut }) => sum + (cut === 'plain' || cut === 'capped' ? PIECE_HOURS.plain : PIECE_HOURS.cope),
    0,
  );

function endLine(end: EndCut): Line[] {
  const at = end.end === 'start' ? 'Start' : 'End';
  if (end.cut === 'plain' || end.cut === 'capped' || end.cut === 'flattened')
    return [{ id: end.end, text: `${at}: square${end.cut === 'plain' ? '' : `, ${end.cut}`}` }];
  const to = end.hosts.length > 0 ? ` to ${end.hosts.join(' and ')}` : '';
  const how = { coped: 'coped', mitred: 'mitred', slotted: 'slotted', plate: 'against its plate' }[end.cut];
  const line = (id: string, what: string, value: number): Line => ({
    id,
    text: `${at}: ${how}${to}, ${what}`,
    value,
    quantity: 'angle',
  });
  // What leans both ways on a tube with corners is sawn with the table turned and the blade tilted.
  const saw = sawSettingOf(end);
  return saw && saw.bevel > 0
    ? [line(end.end, 'miter', saw.miter), line(`${end.end}.bevel`, 'bevel', saw.bevel)]
    : [line(end.end, saw?.up === 'next' ? 'off square, next face up' : 'off square', end.offSquare)];
}

/** Marks go on before cutting: afterwards nobody knows which way it lay. */
function markWords(pair: readonly Piece[], { handedness }: PieceCut, bent: boolean): string {
  const seam = bent ? '' : ' Weld seam of the stock to the side that nobody sees.';
  const twin =
    pair.length < 2
      ? ''
      : handedness === 'mirror'
        ? ' Left and right are mirror images: mark L and R on both before either is cut.'
        : ' Both are the same piece.';
  return `Piece mark, top, front and left on the tube first.${seam}${twin}`;
}

function plateStep(making: Making, id: string): Step {
  const { frame, orderOf } = making;
  const all = frame.plates.filter(({ plate }) => plate.id === id);
  const both = all.filter(({ mark }) => !orderOf.has(mark));
  if (both.length === 0) return boughtPlate(making, all, id);
  const { plate } = both[0]!;
  const { outline, holes, thickness } = plate;
  return step({
    ...{ id: `plate:${id}`, phase: 'pieces', sort: 'plate', hours: PIECE_HOURS.plate * both.length },
    name: `Cut ${marks(both)}, ${nameInText(plate.name)}`,
    about:
      plate.trial?.state === 'fits'
        ? 'Its trial in card fitted.'
        : 'In card or thin board first, on the frame: a plate cut from a wrong dimension is found there.',
    check: 'Holes by the bolt that goes in; edges broken.',
    pieces: both.map((each) => each.id),
    lines: [{ id: 'thick', text: 'Thickness', value: thickness, quantity: 'length', gauge: true }],
    tool: 'Full-size outline',
    sheet: { station: 'cuts', show: 'flat', ref: both[0]!.id },
    needs: [...needs('piece', 'get'), ...arrivals(making, all)],
    cautions: ['grinder'],
    of: told(
      thickness,
      ...outline.flat().slice(0, 24),
      ...holes.flatMap(({ at, diameter }) => [...at, diameter]),
    ),
  });
}
