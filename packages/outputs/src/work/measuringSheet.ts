import {
  CHECK_STAGES,
  formatAngle,
  formatLength,
  measuringList,
  TOOL_NAMES,
  type Measurand,
} from '@larchwood/core';
import { CHECK_STAGE_IDS, type CheckStage } from '@larchwood/format';
import type { Drawing } from '../drawing.js';
import { csvOf } from '../csv.js';
import { SHEETS } from '../paper.js';
import type { Source } from '../registry/output.js';
import { tablePages, type Table } from '../tables.js';

/** Everything to measure, with what the tool shall read and room for what it reads at each stage. */
export function measuringSheets({ document, plan, revision }: Source): Drawing[] {
  const { units, paper } = document;
  const list = measuringList({ document, ...plan });
  const said = (value: number, { quantity }: Pick<Measurand, 'quantity'>) =>
    quantity === 'angle' ? formatAngle(value, 1) : formatLength(value, units, 1, true);
  const read = new Map(
    (document.measured ?? []).map(({ stage, measure, value }) => [`${stage} ${measure}`, value]),
  );
  const strung = list.measures.find((measure) => measure.strung)?.strung;
  const table = (title: string, whole: boolean, stages: readonly CheckStage[], held: boolean): Table => ({
    title,
    note: `May be off: to either side. What was read already stands in its column.${
      held ? ' Held at: what it reads before it is welded, as the fixture is set off.' : ''
    }${
      !whole && plan.fixture.base
        ? ` Heights are from the ground: in the fixture, from ${plan.fixture.base.name}, each reads ${formatLength(Math.abs(plan.fixture.base.height), units, 1)} ${plan.fixture.base.height > 0 ? 'less' : 'more'}.`
        : ''
    }${
      whole && strung
        ? ` Strings: ${formatLength(strung.string, units)} from the middle on either side, at the height of the hub.${
            strung.edge === undefined ? '' : ` Straight-edge: ${formatLength(strung.edge, units)}.`
          }`
        : ''
    }`,
    columns: [
      { name: 'Measure', right: false, bold: true },
      { name: 'With', right: false },
      { name: 'Should read', right: true, bold: true },
      ...(held ? [{ name: 'Held at', right: true }] : []),
      { name: 'May be off', right: true },
      ...stages.map((stage) => ({ name: CHECK_STAGES[stage].name, right: true })),
    ],
    rows: list.measures
      .filter((measure) => measure.whole === whole)
      .map((measure) => [
        measure.name,
        TOOL_NAMES[measure.tool].split(/ or | and /)[0]!,
        said(measure.nominal, measure),
        ...(held ? [said(list.setOff!.reads[measure.id] ?? measure.nominal, measure)] : []),
        said(measure.tolerance.value, measure),
        ...stages.map((stage) => {
          const value = read.get(`${stage} ${measure.id}`);
          return value === undefined ? '______' : said(value, measure);
        }),
      ]),
  });
  const bare = CHECK_STAGE_IDS.filter((id) => !CHECK_STAGES[id].whole);
  const shown = bare.filter((id) => ['dry', 'tacked', 'cap', 'off'].includes(id));
  return tablePages(
    [
      table('The bare frame', false, shown, list.setOff !== undefined),
      table(
        'On its wheels',
        true,
        CHECK_STAGE_IDS.filter((id) => CHECK_STAGES[id].whole),
        false,
      ),
    ],
    {
      ...SHEETS[paper.size],
      block: {
        build: document.name,
        what: 'Measuring list',
        revision,
        units: units.length === 'mm' ? 'mm' : 'in',
      },
      before: 0,
      size: paper.size,
    },
  );
}

/** Every reading that was taken, as comma-separated values in mm and degrees. */
export function readingsCsv({ document, plan }: Source): string {
  const list = measuringList({ document, ...plan });
  const byId = new Map(list.measures.map((measure) => [measure.id, measure]));
  return csvOf(
    ['Stage', 'Measure', 'Unit', 'Should read', 'May be off', 'Reads', 'Spread', 'On', 'Note'],
    (document.measured ?? []).map(({ stage, measure: id, value, spread, on, note }) => {
      const measure = byId.get(id);
      return [
        ...[CHECK_STAGES[stage].name, measure?.name ?? id, measure?.quantity === 'angle' ? 'degrees' : 'mm'],
        ...[measure ? Number(measure.nominal.toFixed(3)) : '', measure?.tolerance.value ?? '', value],
        ...[spread === undefined ? '' : Number(spread.toFixed(3)), on ?? '', note ?? ''],
      ];
    }),
  );
}
