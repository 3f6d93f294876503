import type { CutOrder } from '@larchwood/format';
import type { Piece } from '../../frame/frame.js';
import { orderStep } from '../../stock/orders.js';
import { nameInText } from '../../words.js';
import type { Making } from '../input.js';
import type { Need, Step } from '../step.js';
import { marks, needs, step, told } from './make.js';

/** Usual times, hours; common practice, no source. */
const HOURS = { get: 0.1, count: 0.02, look: 0.05, hole: 0.05 } as const;

/** What comes from a cutting service is counted and measured when it arrives. */
export const orderSteps = ({ orders }: Making): Step[] =>
  orders.map((order) =>
    step({
      ...orderStep(order),
      ...{ phase: 'ready', sort: 'get', hours: HOURS.get + HOURS.count * order.pieces.length },
      name: `Get in order ${order.id}: ${marks(order.pieces)}`,
      about: `${order.service} cuts these. Count them against the list, and lay each by its piece mark.`,
      check:
        'Each length with a tape or caliper. What is off by more than is stated goes back before anything is welded to it.',
      lines: [
        {
          ...{ id: 'tolerance', text: 'Stated, to either side', value: order.tolerance },
          quantity: 'length' as const,
        },
        ...order.pieces.slice(0, 60).map(({ mark, length }) => ({
          ...{ id: mark, text: mark, value: length, quantity: 'length' as const },
        })),
      ],
      sheet: { station: 'pack', show: 'cutting' },
      due: order.due,
    }),
  );

/** Waits for the orders of all of these that are bought cut. */
export const arrivals = (
  { orderOf }: Pick<Making, 'orderOf'>,
  pieces: readonly { readonly mark: string }[],
): Need[] => {
  const orders = new Map(
    pieces.flatMap(({ mark }) => {
      const order = orderOf.get(mark);
      return order ? [[order.id, order] as const] : [];
    }),
  );
  return needs('piece', ...[...orders.values()].map((order) => orderStep(order).id));
};

/** A tube that is bought cut is not sawn, coped and drilled again: it is looked over, and what comes sharp is rounded. */
export function boughtTube(making: Making, pair: readonly Piece[]): Step[] {
  const { cutOf, holes, orderOf } = making;
  const [first] = pair;
  const { member } = first!;
  const cut = cutOf.get(first!.id)!;
  const order = orderOf.get(first!.mark)!;
  const bores = holes.find(({ piece }) => piece === first!.id)?.bores ?? [];
  const cables = new Set((member.holes ?? []).flatMap(({ use, id }) => (use === 'cable' ? [id] : [])));
  const sharp = bores.filter(({ hole }) => cables.has(hole));
  const name = `${marks(pair)}, ${nameInText(member.name)}`;
  const cutId = `cut:${member.id}`;
  const of = told('bought', order.id, cut.overall);
  return [
    step({
      ...{ id: cutId, phase: 'pieces', sort: 'look', hours: HOURS.look * pair.length },
      name: `Look over ${name}: comes cut`,
      about: `${edges(order)} Break every edge, inside too, and wipe it clean: what is left inside falls into the weld.`,
      check: 'Offer each end to its host: no light through the joint that the process does not close.',
      pieces: pair.map(({ id }) => id),
      lines: [
        {
          ...{ id: 'length', text: 'Longest point to longest point' },
          ...{ value: cut.overall, quantity: 'length' },
        },
      ],
      sheet: { station: 'patterns', ref: first!.id },
      needs: arrivals(making, pair),
      cautions: ['grinder'],
      of,
    }),
    ...(bores.length > 0
      ? [
          step({
            ...{ id: `drill:${member.id}`, phase: 'pieces', sort: 'look', hours: HOURS.hole * bores.length },
            name: sharp.length > 0 ? `Round the cable holes of ${name}` : `Try the holes of ${name}`,
            about:
              sharp.length > 0
                ? 'They come with a sharp edge, and a sharp edge saws through a cable. Round file and emery cloth, from outside and inside, until a finger finds nothing.'
                : 'They are cut already: burrs and slag out, nothing drilled anew.',
            check:
              sharp.length > 0
                ? 'Draw the cable through by hand: it must not catch.'
                : 'The bolt or axle goes in by hand.',
            pieces: pair.map(({ id }) => id),
            lines: (sharp.length > 0 ? sharp : bores)
              .slice(0, 24)
              .map(({ name: hole, fromStart }, index) => ({
                ...{ id: `hole${index}`, text: `${hole}, from the start` },
                ...{ value: fromStart, quantity: 'length' as const },
              })),
            tool: sharp.length > 0 ? 'Round file' : 'Deburring tool',
            sheet: { station: 'cuts', show: 'holes', ref: first!.id },
            needs: needs('piece', cutId),
            of: told('bought', ...bores.flatMap(({ fromStart, diameter }) => [fromStart, diameter])),
          }),
        ]
      : []),
  ];
}

/** A plate that is bought cut. */
export function boughtPlate(
  making: Making,
  both: readonly { readonly id: string; readonly mark: string; readonly name: string }[],
  plate: string,
): Step {
  const [first] = both;
  const order = making.orderOf.get(first!.mark)!;
  return step({
    ...{ id: `plate:${plate}`, phase: 'pieces', sort: 'look', hours: HOURS.look * both.length },
    name: `Look over ${marks(both)}, ${nameInText(first!.name)}: comes cut`,
    about: `${edges(order)} Break every edge, and wipe it clean.`,
    check: 'Holes by the bolt that goes in; against its full-size outline.',
    pieces: both.map(({ id }) => id),
    sheet: { station: 'cuts', show: 'flat', ref: first!.id },
    needs: arrivals(making, both),
    cautions: ['grinder'],
    of: told('bought', order.id),
  });
}

const edges = ({ service, edges: said }: CutOrder): string =>
  said === '' ? 'Its edges come sharp.' : `${service} says of its edges: ${said}`;
