import { nameInText } from '../../words.js';
import type { Piece } from '../../frame/frame.js';
import type { Making } from '../input.js';
import type { Line, Need, Step } from '../step.js';
import type { SubAssembly } from '../ways/way.js';
import type { Seam } from '../weld/seams.js';
import { flushEdge } from '../weld/flush.js';
import { seamName } from '../weld/segments.js';
import { tacksOf, weldHours } from '../weld/estimate.js';
import { setId, settingGroups } from './fixture.js';
import { checkLines, marks, measuredAt, needs, step, told } from './make.js';

/** Seams that the builder, or a remedy, has given a step of their own: welded before the rest of their sub-assembly. */
export const ownSeams = ({ work, seams }: Making): readonly Seam[] => {
  const moved = new Set(work.moves.map(({ step: id }) => id));
  return seams.filter(({ id }) => moved.has(seamStep(id)));
};
export const seamStep = (seam: string): string => `weld:${seam}`;

/** Each sub-assembly: put in, dry fitted, tacked, measured, and welded on the fixture where that is the way. */
export function joinSteps(making: Making): Step[] {
  const early = new Set(ownSeams(making).map(({ id }) => id));
  return making.parts.flatMap((part, index) => {
    const before = making.parts[index - 1];
    const mine = making.seams.filter(
      ({ piece, to, id }) => part.pieces.includes(piece) && to[0] !== 'cap' && !early.has(id),
    );
    const id = (what: string) => `${what}:${part.id}`;
    const loads = loadsOf(making, part, before);
    const measures = checkLines(making.checksOf(part), false);
    const names = loads.map((load) => load.id);
    const common = { part: part.name, pieces: part.pieces, phase: 'join' as const };
    const title = nameInText(part.name);
    return [
      ...loads,
      ...ownSeams(making)
        .filter(({ piece }) => part.pieces.includes(piece))
        .map((seam) => earlySeam(making, seam, part)),
      step({
        ...{ ...common, id: id('fit'), sort: 'fit', hours: 0.05 * part.pieces.length },
        name: `Dry fit: ${title}`,
        about:
          'Everything in, nothing welded. Gaps even, marks up, nothing forced: a sprung tube pulls when it is let go.',
        check:
          'Measure lengths, angles and diagonals now: a tube is changed in minutes as long as it is loose.',
        ...measuredAt('dry'),
        lines: measures,
        needs: needs('place', ...names),
        of: told(...part.pieces),
      }),
      step({
        ...{ ...common, id: id('tack'), sort: 'tack', hours: 0.04 * mine.length + 0.1 },
        name: `Tack: ${title}`,
        about:
          'Three or four tacks a joint, opposite each other; small ones, they are cut if something moves.',
        check: 'Step back and look after every joint.',
        // What is plugged is held by its plug.
        lines: mine
          .filter(({ plug }) => !plug)
          .flatMap((seam) => [seamLine(() => `${tacksOf(seam)} tacks`)(seam), ...flushLines(making, seam)]),
        needs: needs('held', id('fit')),
        cautions: ['arc', 'coating', 'cleaner', 'fire'],
        of: told(...mine.map((seam) => seam.id)),
      }),
      step({
        ...{ ...common, id: id('check'), sort: 'check', hours: 0.3 },
        name: `Measure what is tacked: ${title}`,
        about:
          'Clamps off, and look for lift. A millimetre may stay where a later weld moves it again; not at points that are done.',
        check:
          'Diagonals, left against right from the same datum, twist; then turn it over: it must still fit.',
        ...measuredAt('tacked'),
        lines: measures,
        needs: needs('tacked', id('tack')),
      }),
      ...(making.work.welding === 'off' ? [] : weldSteps(making, part, mine, [id('check')])),
    ];
  });
}

/** Welding, and the look at what it moved. */
export function weldSteps(
  making: Making,
  part: SubAssembly,
  seams: readonly Seam[],
  after: readonly string[],
): Step[] {
  if (seams.length === 0) return [];
  const { work, checksOf } = making;
  const common = {
    part: part.name,
    pieces: part.pieces,
    phase: work.welding === 'off' ? ('out' as const) : ('join' as const),
  };
  const title = nameInText(part.name);
  return [
    step({
      ...{ ...common, id: `weld:${part.id}`, sort: 'weld', hours: weldHours(seams) },
      name: `Weld: ${title}`,
      about:
        work.welding === 'stitch'
          ? 'Short tacks all round, far from the last each time, until every seam is full.'
          : 'In the order of the weld plan: left and right in turn, never two neighbours. Root passes everywhere, then caps. Stand it so that the seam is upright where that can be done.',
      check: 'Small welds need little grinding; look at every stop for a crater.',
      lines: seams.flatMap((seam) => [roundLine(making)(seam), ...spreaderLine(seam)]),
      sheet: { station: 'work', show: 'weld' },
      needs: needs('tacked', ...after),
      cautions: ['notApproved', 'arc', 'vent', 'heat', 'fire'],
      of: told(...seams.map((seam) => Math.round(seam.length))),
    }),
    step({
      ...{ ...common, id: `recheck:${part.id}`, sort: 'check', hours: 0.3 },
      name: `Measure again: ${title}`,
      about:
        'Cold, and without clamps. What slid along itself does little harm; what twisted or lifted is corrected now.',
      ...measuredAt('cap'),
      lines: checkLines(checksOf(part)),
      needs: needs('tacked', `weld:${part.id}`),
    }),
  ];
}

/** Seams of a sub-assembly that are welded with it: not caps, and not those that have a step of their own. */
export const seamsWith = (making: Making, part: SubAssembly): readonly Seam[] => {
  const early = new Set(ownSeams(making).map(({ id }) => id));
  return making.seams.filter(
    ({ id, piece, to }) => part.pieces.includes(piece) && to[0] !== 'cap' && !early.has(id),
  );
};

const seamLine =
  (what: (seam: Seam) => string, withLength = false) =>
  (seam: Seam): Line => ({
    id: seam.id,
    text: `${seamName(seam)}: ${what(seam)}`,
    ...(withLength ? { value: seam.length, quantity: 'length' as const } : {}),
  });

/** How the edge of a seam that is ground flush is made ready before it is tacked. */
function flushLines({ work }: Pick<Making, 'work'>, seam: Seam): Line[] {
  if (!work.flush?.includes(seam.id)) return [];
  const { bevel, gap } = flushEdge(seam);
  const name = seamName(seam);
  return [
    ...(bevel > 0
      ? [
          {
            id: `${seam.id}.bevel`,
            text: `${name}: bevel the outside of its edge, wide`,
            ...{ value: bevel, quantity: 'length' as const },
          },
        ]
      : []),
    { id: `${seam.id}.gap`, text: `${name}: gap to weld through`, value: gap, quantity: 'length' as const },
  ];
}

/** A seam as it is welded: once round, a plug from its middle; and ground flush where bodywork lies on it. */
const roundLine = ({ work }: Pick<Making, 'work'>) =>
  seamLine(
    ({ id, plug }) =>
      `${plug ? 'from its middle outwards, until full' : 'all round'}${work.flush?.includes(id) ? '; ground flush when it is cold' : ''}`,
    true,
  );

/** A slot pulls shut by its spreader's clearance: it is welded with the spreader in. */
const spreaderLine = ({ id, spreader }: Seam): Line[] =>
  spreader === undefined
    ? []
    : [
        {
          id: `${id}.spreader`,
          text: 'with a spreader in its slot, so wide',
          value: spreader,
          quantity: 'length',
        },
      ];

function earlySeam(making: Making, seam: Seam, part: SubAssembly): Step {
  const loads = [seam.piece, ...seam.hosts].map(making.loadOf);
  return step({
    ...{ id: seamStep(seam.id), phase: 'join', sort: 'weld', part: part.name, hours: weldHours([seam]) },
    name: `Weld ${seam.mark} to ${seam.to.join(' and ')} before it is shut in`,
    about: 'Tack it, measure, and weld this seam now, all round: what comes later shuts it in.',
    check: 'Measure before and after: it is welded while the rest is loose.',
    pieces: [seam.piece, ...seam.hosts],
    lines: [...flushLines(making, seam), roundLine(making)(seam)],
    needs: needs('place', ...new Set(loads)),
    cautions: ['arc', 'coating', 'fire'],
    of: told(Math.round(seam.length)),
  });
}

function loadsOf(making: Making, part: SubAssembly, before: SubAssembly | undefined): Step[] {
  const { build, pieceOf, twins, platesOf, loadOf } = making;
  const members = [...new Set(part.pieces.map((id) => pieceOf.get(id)!.member.id))];
  const set = settingGroups(making).at(-1);
  const first: readonly Need[] = [
    ...(before ? needs('usual', `check:${before.id}`) : []),
    ...(set === undefined ? [] : needs('held', setId(set))),
  ];
  const plates = [...new Set(platesOf(part).map(({ plate }) => plate.id))];
  return [
    ...members.map((id) => {
      const pair = twins(id).filter((piece) => part.pieces.includes(piece.id));
      const { member, supplied } = pair[0]!;
      const hosts = [...new Set(pair.flatMap((piece) => build.hosts.get(piece.id) ?? []))].filter(
        (host) => pieceOf.has(host) && pieceOf.get(host)!.member.id !== id,
      );
      const drilled = (member.holes ?? []).length > 0;
      const capped = [member.ends.start, member.ends.end].some(({ cut }) => cut === 'capped');
      return step({
        ...{
          id: loadOf(pair[0]!.id),
          phase: 'join',
          sort: 'load',
          part: part.name,
          hours: 0.05 * pair.length,
        },
        name: `Put in ${marks(pair)}, ${nameInText(member.name)}`,
        about: placeWords(
          pair[0]!,
          hosts.map((host) => pieceOf.get(host)!),
        ),
        check: 'Piece mark and the mark of its top as drawn: many parts fit both ways and must not.',
        pieces: [...pair.map((piece) => piece.id), ...hosts],
        lines: [],
        sheet: { station: 'tubes', ref: id },
        needs: [
          ...(supplied ? needs('piece', 'get') : needs('piece', drilled ? `drill:${id}` : `cut:${id}`)),
          ...(capped && !supplied ? needs('piece', `cap:${id}`) : []),
          ...needs('usual', ...new Set(hosts.filter((host) => earlier(part, host, pair[0]!)).map(loadOf))),
          ...first,
        ],
        of: placed(making, ...pair[0]!.start, ...pair[0]!.end),
      });
    }),
    ...plates.map((id) => {
      const both = platesOf(part).filter(({ plate }) => plate.id === id);
      return step({
        ...{
          id: loadOf(both[0]!.id),
          phase: 'join',
          sort: 'load',
          part: part.name,
          hours: 0.1 * both.length,
        },
        name: `Put in ${marks(both)}, ${nameInText(both[0]!.plate.name)}`,
        about:
          'Clamp it where it is drawn; a bolt or a bar through both of a pair keeps their holes in line.',
        check: 'Left and right in line through their holes.',
        pieces: both.map((plate) => plate.id),
        sheet: { station: 'cuts', show: 'flat', ref: both[0]!.id },
        needs: needs('piece', `plate:${id}`),
        of: placed(making, ...both[0]!.at),
      });
    }),
  ];
}

/** Where a part is put: the fixture’s settings say it, where there are any, and are told by themselves when they change. */
const placed = ({ settings }: Making, ...at: readonly number[]): string =>
  settings.length > 0 ? '' : told(...at);

/** A host in the same sub-assembly that comes before. */
const earlier = ({ pieces }: SubAssembly, host: string, piece: Piece): boolean =>
  pieces.includes(host) && pieces.indexOf(host) < pieces.indexOf(piece.id);

function placeWords(piece: Piece, hosts: readonly Piece[]): string {
  if (hosts.length === 0)
    return 'It is held by the fixture itself; top mark up, seam of the stock to the hidden side.';
  return `Between its marks, against ${marks(hosts.slice(0, 4))}; top mark up, ${piece.side === 'middle' ? 'middle mark on the centre line' : 'left to the left'}.`;
}
