import { group } from 'd3-array';
import { CHECK_STAGE_IDS, type BuildDocument, type CheckStage, type Shop } from '@larchwood/format';
import { verdictOf } from '../checks/judge.js';
import type { MeasuringList } from '../checks/list.js';
import { listAt } from '../checks/setOff.js';
import { CHECK_STAGES } from '../checks/stages.js';
import { scaleRead } from '../bends/springback.js';
import { leverName } from '../checks/levers.js';
import { findMaterial } from '../frame/materials.js';
import { formatAngle } from '../units/angle.js';
import { formatLength, type LengthDisplay } from '../units/length.js';
import type { Quantity } from '../units/quantity.js';
import { nameInText } from '../words.js';
import type { Step } from '../work/step.js';
import { PROCESSES } from '../work/weld/estimate.js';

/** What an entry is about, and what it is called. */
export const LOG_SORTS = {
  reading: 'Measured',
  step: 'Work',
  fault: 'Fault',
  pull: 'Pulled straight',
  movement: 'Movement',
  hours: 'Hours',
  weld: 'Weld settings',
  bend: 'Trial bend',
  'fit-up': 'Fit-up',
  note: 'Note',
  change: 'Change',
  picture: 'Picture',
  cost: 'Cost',
} as const;
export type LogSort = keyof typeof LOG_SORTS;

/** One line of the log, in words. */
export interface LogLine {
  readonly id: string;
  /** Day or moment, ISO. */
  readonly on: string;
  readonly sort: LogSort;
  readonly text: string;
  readonly stage?: CheckStage;
  /** Piece or step. */
  readonly about?: string;
  /** Of this build, or of all the workshop. */
  readonly here: boolean;
  /** The builder's own entry, which may be changed. */
  readonly entry?: string;
  readonly picture?: string;
  readonly cost?: number;
}

/** What the log is put together from. */
export interface LogSources {
  readonly document: Pick<BuildDocument, 'measured' | 'done' | 'units'>;
  readonly build: string;
  readonly shop: Shop;
  /** What was measured, and between which points. */
  readonly list?: MeasuringList | undefined;
  /** Names of what was done. */
  readonly steps?: readonly Pick<Step, 'id' | 'name'>[] | undefined;
}

/** Everything that was written down of a build and of its workshop, newest first. */
export function logOf(sources: LogSources): readonly LogLine[] {
  return [
    ...readingLines(sources),
    ...stepLines(sources),
    ...shopLines(sources),
    ...entryLines(sources),
  ].sort((a, b) => b.on.localeCompare(a.on) || a.id.localeCompare(b.id));
}

/** Lines that hold every word that is looked for, of one sort or of all. */
export function searchLog(lines: readonly LogLine[], text: string, sort?: LogSort): readonly LogLine[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return lines.filter((line) => {
    if (sort && line.sort !== sort) return false;
    const all = [
      line.text,
      LOG_SORTS[line.sort],
      line.about,
      line.stage && CHECK_STAGES[line.stage].name,
      line.on,
    ]
      .join(' ')
      .toLowerCase();
    return words.every((word) => all.includes(word));
  });
}

const say =
  (units: LengthDisplay) =>
  (value: number, quantity: Quantity): string =>
    quantity === 'angle' ? formatAngle(value, 1) : formatLength(value, units);

/** A stage's readings of one day are one line; what was read again, and differently, is told. */
function readingLines({ document: { measured = [], units }, list }: LogSources): LogLine[] {
  const said = say(units);
  return CHECK_STAGE_IDS.flatMap((stage) => {
    const measures = list ? listAt(list, measured, stage).measures : [];
    const byId = new Map(measures.map((measure) => [measure.id, measure]));
    const mine = measured.filter((each) => each.stage === stage);
    const days = group(mine, ({ on }) => (on ?? '').slice(0, 10));
    return [...days].flatMap(([day, readings]): LogLine[] => {
      const last = readings
        .map(({ on }) => on ?? day)
        .sort()
        .at(-1)!;
      const out = readings.flatMap(({ measure: id, value }) => {
        const measure = byId.get(id);
        if (!measure || verdictOf(value - measure.nominal, measure.tolerance) === 'pass') return [];
        return [`“${measure.name}” off by ${said(value - measure.nominal, measure.quantity)}`];
      });
      const again = readings.flatMap(({ measure: id, value, before = [] }) => {
        const measure = byId.get(id);
        const was = before.at(-1);
        return measure && was && verdictOf(was.value - measure.nominal, measure.tolerance) !== 'pass'
          ? [
              `“${measure.name}” was ${said(was.value, measure.quantity)}, reads ${said(value, measure.quantity)}`,
            ]
          : [];
      });
      const notes = readings.flatMap(({ measure: id, note }) =>
        note === undefined ? [] : [`${byId.get(id)?.name ?? id}: ${note}`],
      );
      const count = `${readings.length} ${readings.length === 1 ? 'reading' : 'readings'}`;
      const parts = [
        out.length === 0
          ? `${count}, all within tolerance`
          : `${count}; outside tolerance: ${out.join('; ')}`,
        ...(again.length > 0 ? [`Read again: ${again.join('; ')}`] : []),
        ...notes,
      ];
      return [
        {
          id: `measured ${stage} ${day}`,
          on: last,
          sort: 'reading',
          stage,
          here: true,
          text: parts.join('. '),
        },
      ];
    });
  });
}

/** What was done on one day is one line; what was timed, and what went wrong, has one of its own. */
function stepLines({ document: { done = [] }, steps = [] }: LogSources): LogLine[] {
  const names = new Map(steps.map(({ id, name }) => [id, name]));
  const plain = done.filter(({ done: is, hours }) => is && hours === undefined);
  const days = [...group(plain, ({ on }) => (on ?? '').slice(0, 10))].map(([day, ticks]): LogLine => ({
    ...{ id: `done on ${day}`, sort: 'step', here: true },
    on: ticks
      .map(({ on }) => on ?? '')
      .sort()
      .at(-1)!,
    text: `Done: ${ticks.map(({ step }) => names.get(step) ?? step).join('; ')}`,
  }));
  const single = done.flatMap(({ step, done: is, on, hours, wrong }): LogLine[] => {
    const about = names.get(step) ?? step;
    const common = { on: on ?? '', about, here: true };
    return [
      ...(is && hours !== undefined
        ? [
            {
              ...common,
              ...{ id: `done ${step}`, sort: 'step' as const },
              text: `Done: ${about}, in ${hours.toFixed(1)} h`,
            },
          ]
        : []),
      ...(wrong === undefined
        ? []
        : [{ ...common, id: `wrong ${step}`, sort: 'fault' as const, text: `${about}: ${wrong}` }]),
    ];
  });
  return [...days, ...single];
}

/** What the workshop's lists say; hours that stand at a finished step of this build already are not told twice. */
function shopLines({ document: { units, done = [] }, build, shop, list, steps = [] }: LogSources): LogLine[] {
  const timed = new Set(
    done.flatMap(({ step, hours }) =>
      hours === undefined ? [] : [steps.find(({ id }) => id === step)?.name],
    ),
  );
  const hours = Object.fromEntries(
    Object.entries(shop.hours).filter(([, each]) => each.build !== build || !timed.has(each.step)),
  );
  const pointName = (id: string): string =>
    nameInText(list?.points[id]?.name ?? id.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`));
  const mm = (value: number) => formatLength(value, units);
  const lines = <T extends { readonly on: string }>(
    list: Readonly<Record<string, T>>,
    sort: LogSort,
    text: (item: T) => string,
    more: (item: T) => Partial<LogLine> = () => ({}),
  ): LogLine[] =>
    Object.entries(list).map(([id, item]) => ({
      ...{ id: `${sort} ${id}`, on: item.on, sort, text: text(item) },
      here: (item as { readonly build?: string }).build === build,
      ...more(item),
    }));
  return [
    ...lines(
      shop.pulls,
      'pull',
      ({ lever, pulled, stayed }) =>
        `Pulled ${leverName(lever)} to ${mm(pulled)}: ${mm(stayed)} stayed, ${mm(pulled - stayed)} sprang back`,
    ),
    ...lines(
      shop.moved,
      'movement',
      ({ point, by }) =>
        `Welding moved the ${pointName(point)} by ${mm(by[0])} forwards, ${mm(by[1])} to the left, ${mm(by[2])} up`,
    ),
    ...lines(
      hours,
      'hours',
      ({ usual, took }) => `Took ${took.toFixed(1)} h; usual are ${usual.toFixed(1)} h`,
      ({ step }) => ({ about: step }),
    ),
    ...lines(
      shop.welds,
      'weld',
      ({ process, material, wall, settings }) =>
        `${PROCESSES[process].name} on ${mm(wall)} of ${nameInText(findMaterial(material)?.name ?? material)}: ${settings}`,
    ),
    ...lines(
      shop.trials,
      'bend',
      ({ die, asked, set, zero = 0, got, leftOut }) =>
        `${shop.dies[die]?.name ?? die}: ${formatAngle(asked, 1)} wanted, set to ${formatAngle(scaleRead({ set, zero }), 1)}${zero === 0 ? '' : ` on a scale that reads ${formatAngle(zero, 1)} at a straight tube`}, got ${formatAngle(got, 1)}${leftOut ? ' (left out)' : ''}`,
    ),
  ];
}

const entryLines = ({ shop, build }: LogSources): LogLine[] =>
  Object.entries(shop.entries).map(([id, { build: of, on, sort, about, stage, text, cost, picture }]) => ({
    ...{ id: `entry ${id}`, on, sort, text, here: of === build, entry: id },
    ...(about === undefined ? {} : { about }),
    ...(stage === undefined ? {} : { stage }),
    ...(cost === undefined ? {} : { cost }),
    ...(picture === undefined ? {} : { picture }),
  }));
