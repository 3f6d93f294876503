import {
  findMaterial,
  formatAngle,
  formatLength,
  inTurn,
  onBender,
  pairMark,
  pairName,
  sectionText,
  springbackText,
  turnText,
  type BendSchedule,
  type OnBender,
} from '@larchwood/core';
import { NO_SHOP } from '@larchwood/format';
import { csvOf, lengthsIn } from '../csv.js';
import type { Drawing } from '../drawing.js';
import { SHEETS } from '../paper.js';
import type { Source } from '../registry/output.js';
import { tablePages, type Table } from '../tables.js';

/** One of a pair stands for both. */
const scheduled = ({ plan }: Source): readonly BendSchedule[] =>
  plan.bends.filter(({ side }) => side !== 'right');
const made = ({ document, shop = NO_SHOP }: Source, schedule: BendSchedule): OnBender =>
  onBender(schedule, shop, document.cuts?.bends[schedule.piece.split(':')[0]!]);

/** Marks, turns and settings of every bent piece, with room for what came out. */
export function bendTablePages(source: Source): Drawing[] {
  const { document, plan, revision } = source;
  const { units, paper } = document;
  const mm = (value: number, unit = false) => formatLength(value, units, 1, !unit);
  const tables = scheduled(source).map((schedule): Table => {
    const on = made(source, schedule);
    const { section } = plan.frame.pieces.find(({ id }) => id === schedule.piece)!;
    const { from, extra } = schedule;
    const pair = schedule.mark.endsWith('L')
      ? ' The right one is turned the other way about itself each time.'
      : '';
    return {
      title: `${pairMark(schedule.mark)}  ${pairName(schedule.name)}: ${sectionText(section, units)}, ${findMaterial(schedule.material)?.name ?? schedule.material}`,
      note: [
        `Cut ${mm(schedule.tube, true)} long: ${mm(schedule.finished, true)} finished, ${mm(extra.start, true)} left on at its start and ${mm(extra.end, true)} at its end.`,
        `Marks from its ${from}. Turn the tube as seen from the other end; mark its top before the first bend. Rows stand in the order in which the bends are made.${pair}`,
        ...learned(on),
      ].join(' '),
      columns: [
        { name: 'Bend', right: false, bold: true },
        { name: 'Mark at', right: true, bold: true },
        { name: 'Ends, from the other end', right: true },
        { name: 'Straight before', right: true },
        { name: 'Turn the tube', right: false },
        { name: 'Angle', right: true },
        { name: 'Set', right: true, bold: true },
        { name: '½° more: far end', right: true },
        { name: 'Came out', right: false },
      ],
      rows: inTurn(schedule).map(({ bend, turn }, place) => {
        const setting = on.settings[bend.number - 1];
        return [
          String(bend.number),
          mm(setting?.mark ?? bend.mark),
          mm(bend.markFromOther),
          mm(bend.straightBefore),
          place === 0 ? '' : turnText(turn),
          formatAngle(bend.angle),
          setting?.reads === undefined ? '' : formatAngle(setting.reads),
          mm(bend.perHalfDegree),
          '________',
        ];
      }),
    };
  });
  return tablePages(tables, {
    ...SHEETS[paper.size],
    block: { build: document.name, what: 'Bends', revision, units: units.length === 'mm' ? 'mm' : 'in' },
    before: 0,
    size: paper.size,
  });
}

/** Each die once, with what its log says. */
function learned({ settings }: OnBender): string[] {
  const said = settings.flatMap(({ die, spring }) =>
    die && spring ? [`${die.name}: ${springbackText(spring)}`] : [],
  );
  return [...new Set(said)];
}

/** The same as comma-separated values: lengths in the build's unit, angles in degrees. */
export function bendTablesCsv(source: Source): string {
  const { unit, length } = lengthsIn(source.document.units, { mm: 2, inch: 4 });
  const angle = (degrees: number) => Number(degrees.toFixed(3));
  return csvOf(
    [
      ...['Piece', 'Name', `Tube (${unit})`, 'Marks from', 'Bend', `Mark (${unit})`],
      ...[
        `Straight before (${unit})`,
        `Straight after (${unit})`,
        'Turn before (deg, clockwise)',
        'Bend (deg)',
      ],
      ...[`Radius (${unit})`, 'Set (deg)', 'Die'],
    ],
    source.plan.bends.flatMap((schedule) => {
      const on = made(source, schedule);
      return inTurn(schedule).map(({ bend, turn }) => [
        ...[schedule.mark, schedule.name, length(schedule.tube), schedule.from, bend.number],
        ...[
          length(on.settings[bend.number - 1]?.mark ?? bend.mark),
          length(bend.straightBefore),
          length(bend.straightAfter),
        ],
        ...[angle(turn), angle(bend.angle), length(bend.radius)],
        ...[
          on.settings[bend.number - 1]?.reads === undefined
            ? ''
            : angle(on.settings[bend.number - 1]!.reads!),
          on.settings[bend.number - 1]?.die?.name ?? '',
        ],
      ]);
    }),
  );
}
