import type { Making } from '../input.js';
import type { Step } from '../step.js';
import { marks, needs, step, told } from './make.js';

/** What is there already is looked over first; then everything is got together. */
export function readySteps({ build, frame, cuts, twins, orderOf }: Making): Step[] {
  const donors = new Set(build.groups.filter(({ donor }) => donor).map(({ id }) => id));
  const given = frame.pieces.filter(({ member }) => member.group !== undefined && donors.has(member.group));
  const bought = frame.pieces.filter(
    ({ supplied, id }) => supplied && !given.some((piece) => piece.id === id),
  );
  const lengths = new Map<string, { name: string; length: number }>();
  for (const { piece, blank, mark } of cuts) {
    if (orderOf.has(mark)) continue;
    const of = frame.pieces.find(({ id }) => id === piece);
    if (!of) continue;
    const before = lengths.get(of.section.id)?.length ?? 0;
    lengths.set(of.section.id, { name: of.section.name, length: before + blank });
  }
  const donorSteps =
    given.length === 0
      ? []
      : [
          step({
            ...{ id: 'look:donor', phase: 'ready', sort: 'look', hours: 0.75 },
            name: 'Look the donor over',
            about:
              'Bent, cracked, rusted through, out of true? String from head to tail, wheels in line, every old weld by lamp. Springs and stretched joints under load are relieved first.',
            check: 'Measure what the new tubes will meet, and write it down before anything is cut.',
            pieces: given.map(({ id }) => id),
            cautions: ['donor'],
          }),
          step({
            ...{ id: 'strap:donor', phase: 'ready', sort: 'look', hours: 0.5 },
            name: `Bolt a strap across each joint of ${marks(given.slice(0, 4))} that is cut`,
            about:
              'The strap keeps the two sides where they are when the joint is sawn through. Cut as little as will do.',
            pieces: given.map(({ id }) => id),
            needs: needs('piece', 'look:donor'),
            cautions: ['donor', 'coating'],
          }),
        ];
  return [
    ...donorSteps,
    step({
      ...{ id: 'get', phase: 'ready', sort: 'get', hours: 0.5 },
      name: 'Get tubes, plates and parts together',
      about:
        bought.length > 0
          ? `Also what is bought to length: ${marks(bought.flatMap(({ member, side }) => (side === 'right' ? [] : twins(member.id))))}.`
          : 'Lay out what is on the rack; order what is missing.',
      check: 'Size and wall of each length with a caliper, before the first cut.',
      lines: [...lengths].map(([id, { name, length }]) => ({
        ...{ id: `get:${id}`, text: `${name}, in all` },
        ...{ value: length, quantity: 'length' as const },
      })),
      sheet: { station: 'cuts', show: 'stock' },
      of: told(...[...lengths.values()].flatMap(({ name, length }) => [name, Math.round(length / 10)])),
    }),
  ];
}
