import { checkList, checkResults, Planner, readingOf, type Measurand, type Vector } from '@larchwood/core';
import type { BuildDocument, CheckStage, Measured } from '@larchwood/format';

type Shifts = Readonly<Record<string, Vector>>;
interface Stage {
  readonly stage: CheckStage;
  /** How far points lay from where they are drawn, mm. */
  readonly shifts: Shifts;
  /** And before it was pulled, where it was. */
  readonly before?: Shifts;
  /** How much wider gaps were than drawn, by measure; mm. */
  readonly gaps?: Readonly<Record<string, number>>;
  readonly on: string;
}
interface FrameRecord {
  readonly stages: readonly Stage[];
  /** What the next one is set off by. */
  readonly preset: Shifts;
}

/** Two made-up frames as they were measured, from the dry fit to the first ride. */
const RECORDS: Readonly<Record<string, FrameRecord>> = {
  'ferry-road-tourer': {
    stages: [
      { stage: 'dry', on: '2026-10-04T09:10:00Z', shifts: { headUpper: [0.2, 0.2, 0] } },
      { stage: 'tacked', on: '2026-10-04T15:40:00Z', shifts: { headUpper: [0.2, -0.4, 0] } },
      {
        ...{ stage: 'cap', on: '2026-10-05T17:20:00Z' },
        shifts: { headUpper: [0.3, -2.2, 0.1], axleLeft: [0, 0.5, 0], axleRight: [0, 0.5, 0] },
      },
      {
        ...{ stage: 'off', on: '2026-10-06T10:05:00Z' },
        before: { headUpper: [0.3, -2.4, 0.1], axleLeft: [0, 0.5, 0], axleRight: [0, 0.5, 0] },
        shifts: { headUpper: [0.3, 0.1, 0.1], axleLeft: [0, 0.3, 0], axleRight: [0, 0.3, 0] },
      },
      { stage: 'assembled', on: '2026-10-24T11:00:00Z', shifts: {} },
      { stage: 'ridden', on: '2026-10-25T16:30:00Z', shifts: {} },
    ],
    preset: { headUpper: [-0.1, 1.8, -0.1] },
  },
  'paddock-kart': {
    stages: [
      { stage: 'dry', on: '2026-10-10T10:00:00Z', shifts: { kingpinTopLeft: [0.3, 0, 0] } },
      { stage: 'tacked', on: '2026-10-10T16:10:00Z', shifts: { kingpinTopLeft: [0.4, 0, 0] } },
      {
        ...{ stage: 'cap', on: '2026-10-11T17:45:00Z' },
        shifts: {
          ...{ kingpinLowLeft: [0.5, 0, 4.2], kingpinTopLeft: [1.4, -0.6, 4.2] },
          ...{ cornerFrontLeft: [0.3, 0, 4], kingpinTopRight: [0.5, 0.4, 0] },
        },
      },
      {
        ...{ stage: 'off', on: '2026-10-12T09:30:00Z' },
        before: {
          ...{ kingpinLowLeft: [0.5, 0, 4.6], kingpinTopLeft: [1.4, -0.6, 4.6] },
          ...{ cornerFrontLeft: [0.3, 0, 4.4], kingpinTopRight: [0.5, 0.4, 0] },
        },
        shifts: {
          ...{ kingpinLowLeft: [0.5, 0, 0.6], kingpinTopLeft: [1.2, -0.6, 0.6] },
          ...{ cornerFrontLeft: [0.3, 0, 0.5], kingpinTopRight: [0.5, 0.4, 0] },
        },
      },
      {
        ...{ stage: 'assembled', on: '2026-11-07T14:00:00Z', shifts: {} },
        gaps: { 'string.Left.fore': -1.5, 'string.Left.aft': 1.5, 'string.Right.fore': -1 },
      },
      { stage: 'ridden', on: '2026-11-08T12:15:00Z', shifts: {} },
    ],
    preset: { kingpinLowLeft: [0, 0, -3.8], kingpinTopLeft: [-1, 0.5, -3.8] },
  },
};

/** The build with what was read of it, stage by stage, and what the next one is set off by. */
export function measured(file: string, document: BuildDocument): BuildDocument {
  const record = RECORDS[file];
  if (!record) return document;
  const planner = new Planner();
  const list = planner.ask(checkList, document);
  const at = (shifts: Shifts) => (id: string) => {
    const { at: drawn } = list.points[id]!;
    const by = shifts[id] ?? [0, 0, 0];
    return drawn.map((value, axis) => value + by[axis]!) as unknown as Vector;
  };
  const frame = list.measures.filter(({ whole }) => !whole);
  const bare = record.stages.flatMap(({ stage, shifts, before, on }) =>
    stage === 'assembled' || stage === 'ridden'
      ? []
      : frame.map((measure, index): Measured => {
          const value = asRead(measure, readingOf(measure, at(shifts)), index);
          const was = before && asRead(measure, readingOf(measure, at(before)), index + 3);
          return {
            ...{ stage, measure: measure.id, value, on },
            ...(was === undefined || was === value ? {} : { before: [{ value: was, on }] }),
          };
        }),
  );
  // On its wheels it has what came out of the frame.
  const { built } = planner.ask(checkResults, { ...document, measured: bare }).at(-1)!;
  const figures = new Map(built.figures.map((figure) => [figure.id, figure]));
  const onWheels = record.stages.flatMap(({ stage, on, gaps }, place) =>
    stage === 'assembled' || stage === 'ridden'
      ? list.measures
          .filter(({ whole }) => whole)
          .map((measure, index): Measured => {
            if (measure.as === 'gap') {
              const wider = measure.nominal + (gaps?.[measure.id] ?? 0);
              return { stage, measure: measure.id, value: asRead(measure, wider, place), on };
            }
            const { value, drawn, sigma } = figures.get(measure.outcome!)!;
            // What the tapes left open is not found on the floor.
            const really = Math.abs(value - drawn) < 2 * sigma ? drawn : value;
            const read = asRead(measure, really, index + place);
            // A wheel hangs above the floor, never below it.
            return {
              stage,
              measure: measure.id,
              value: measure.outcome === 'lift' ? Math.abs(read) : read,
              on,
            };
          })
      : [],
  );
  const off = Object.fromEntries(
    Object.entries(record.preset).map(([id, by]) => [id, [...by] as [number, number, number]]),
  );
  return {
    ...document,
    checks: { own: [], tolerances: {}, preset: off, presetOn: '2026-11-10T18:00:00Z' },
    measured: [...bare, ...onWheels],
  };
}

/** To what a tool shows, a little off as hands are. */
function asRead({ quantity, tool, reads }: Measurand, value: number, turn: number): number {
  const step = quantity === 'angle' ? 0.1 : tool === 'caliper' ? 0.1 : 0.5;
  const hand = ((turn * 7) % 5) - 2;
  return Math.round(Math.round((value + hand * reads * 0.3) / step) * step * 100) / 100;
}
