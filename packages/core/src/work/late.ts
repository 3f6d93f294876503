import type { BuildDocument, Done } from '@larchwood/format';
import { isElsewhere, UNREADABLE, type Fixture } from '../fixture/setting.js';
import type { Frame } from '../frame/frame.js';
import { acrossOf } from '../frame/sections.js';
import { toRadians } from '../units/angle.js';
import type { Quantity } from '../units/quantity.js';
import { isDone, type Progress } from './progress.js';
import type { Line, Sort, Step } from './step.js';

/** Steps whose numbers are kept with their tick: what is measured or welded in a step is told by readings and seams. */
const KEPT: ReadonlySet<Sort> = new Set(['cut', 'bend', 'drill', 'plate', 'set']);
/** Numbers of one tick at most. */
const MOST = 60;
/** The numbers that a step is done by, to be kept with its tick; none where a change of them would not tell. */
export function numbersOf({
  sort,
  lines,
}: Pick<Step, 'sort' | 'lines'>): Readonly<Record<string, number>> | undefined {
  if (!KEPT.has(sort)) return undefined;
  const numbers = lines
    .flatMap(({ id, value }) => (value === undefined ? [] : [[id, value] as const]))
    .slice(0, MOST);
  return numbers.length > 0 ? Object.fromEntries(numbers) : undefined;
}

/** A number of a step that was done, then and now; undefined where the step had it not, or has it no more. */
export interface LateLine {
  readonly id: string;
  readonly text: string;
  readonly was: number | undefined;
  readonly now: number | undefined;
  readonly quantity: Quantity;
  readonly gauge?: true;
}

/**
 * What it costs to keep what was made. `opens`: the piece is shorter than its joints are apart; `long`: so much comes off
 * it; `askew`: one side of the cope stands off its host; `lands`: the far end lies beside its place; `hole`: beside its
 * place; each mm. `outcome`: so much of the fixture's outcome is given away, mm or degrees.
 */
export interface KeepingCost {
  readonly what: 'opens' | 'long' | 'askew' | 'lands' | 'hole' | 'outcome';
  readonly value: number;
  readonly quantity: Quantity;
  /** Of an outcome. */
  readonly name?: string;
}

/** A step that was done by other numbers than it has now. */
export interface Late {
  readonly step: Step;
  /** None where its numbers are kept nowhere: it was ticked by an earlier version, or they are read and not made. */
  readonly lines: readonly LateLine[];
  /** None where its numbers were not kept when it was done. */
  readonly costs: readonly KeepingCost[];
  /** Steps that are done and stand on it. */
  readonly standOnIt: readonly Step[];
}

/** A setting that was set, and is to stand elsewhere now. */
export interface LateSetting {
  readonly was: number;
  readonly now: number;
}

/** Settings that were ticked at another reading than they have now; what was found to stand is known as it is. */
export function lateSettings(
  { school, settings }: Pick<Fixture, 'school' | 'settings'>,
  readings: BuildDocument['fixture']['readings'],
): ReadonlyMap<string, LateSetting> {
  const ticks = new Map(
    readings
      .filter((each) => each.school === school && each.set && each.found === undefined)
      .map((each) => [each.setting, each]),
  );
  return new Map(
    settings.flatMap(({ id, reading, adapted, step }) => {
      const { at, drawn } = ticks.get(id) ?? {};
      return at !== undefined && drawn !== undefined && isElsewhere(drawn, reading - adapted, step)
        ? [[id, { was: at, now: reading }] as const]
        : [];
    }),
  );
}

interface Held {
  readonly frame: Pick<Frame, 'pieces'>;
  readonly fixture: Pick<Fixture, 'settings' | 'outcomes'>;
}

/**
 * Steps that were done as the frame is no longer drawn: by which numbers then and now, what it costs to keep them, and what
 * is done already that stands on them.
 */
export function lateChanges(
  steps: readonly Step[],
  done: readonly Done[],
  { states }: Progress,
  late: ReadonlyMap<string, LateSetting>,
  held: Held,
): readonly Late[] {
  const ticks = new Map(done.map((each) => [each.step, each]));
  return steps.flatMap((step): Late[] => {
    if (states.get(step.id) !== 'changed') return [];
    const read = settingLines(step, late);
    const lines = read.length > 0 ? read : linesOf(step, ticks.get(step.id)?.was ?? {});
    return [
      { step, lines, costs: costsOf(step, lines, held), standOnIt: standingOn(steps, step.id, states) },
    ];
  });
}

function settingLines({ lines }: Step, late: ReadonlyMap<string, LateSetting>): LateLine[] {
  return lines.flatMap(({ id, text, setting, quantity }) => {
    const of = setting === undefined ? undefined : late.get(setting);
    return of && quantity ? [{ id, text, ...of, quantity }] : [];
  });
}

function linesOf({ lines }: Step, was: Readonly<Record<string, number>>): LateLine[] {
  const known = new Map(lines.map((line) => [line.id, line]));
  const differs = ({ id, value, quantity, text, gauge }: Line): LateLine[] =>
    quantity === undefined || value === undefined || Math.abs((was[id] ?? Infinity) - value) < UNREADABLE
      ? []
      : [{ id, text, was: was[id], now: value, quantity, ...(gauge ? { gauge } : {}) }];
  if (Object.keys(was).length === 0) return [];
  const gone = Object.entries(was).flatMap(([id, value]): LateLine[] =>
    known.get(id)?.value === undefined
      ? [
          {
            id,
            text: known.get(id)?.text ?? 'No longer there',
            was: value,
            now: undefined,
            quantity: 'length',
          },
        ]
      : [],
  );
  return [...lines.flatMap(differs), ...gone];
}

function costsOf(step: Step, lines: readonly LateLine[], { frame, fixture }: Held): KeepingCost[] {
  const both = lines.flatMap(({ was, now, ...line }) =>
    was === undefined || now === undefined ? [] : [{ ...line, was, by: now - was }],
  );
  const mm = (what: KeepingCost['what'], value: number): KeepingCost[] =>
    value < UNREADABLE ? [] : [{ what, value, quantity: 'length' }];
  const most = (values: readonly number[]) => Math.max(0, ...values);
  const lengths = (id: string) => both.find((line) => line.id === id)?.by ?? 0;
  const angles = both.filter(({ quantity }) => quantity === 'angle');
  switch (step.sort) {
    case 'cut': {
      const piece = frame.pieces.find(({ id }) => id === step.pieces[0]);
      const across = piece ? acrossOf(piece.section) : 0;
      const length = lengths('length');
      return [
        ...mm('opens', length),
        ...mm('long', -length),
        ...mm('askew', most(angles.map(({ by }) => across * Math.tan(toRadians(Math.abs(by)))))),
      ];
    }
    case 'bend': {
      const valueOf = (id: string) => step.lines.find((line) => line.id === id)?.value ?? 0;
      const tube = valueOf('saw');
      const swung = angles.map(({ id, by }) => {
        const beyond = tube - valueOf(id.replace(/^(turn|roll)/, 'mark'));
        return beyond * Math.sin(toRadians(Math.min(90, Math.abs(by))));
      });
      const marks = both.filter(({ id }) => id.startsWith('mark')).map(({ by }) => Math.abs(by));
      return [
        ...mm('lands', most([...swung, ...marks])),
        ...mm('opens', lengths('saw')),
        ...mm('long', -lengths('saw')),
      ];
    }
    case 'drill':
      return mm('hole', most(both.map(({ by }) => Math.abs(by))));
    case 'set':
      return fixture.outcomes.flatMap((outcome, place): KeepingCost[] => {
        const value = both.reduce((sum, { id, by }) => {
          const setting = step.lines.find((line) => line.id === id)?.setting;
          const of = fixture.settings.find((each) => each.id === setting);
          return of && of.step > 0 ? sum - (by / of.step) * (of.moves[place] ?? 0) : sum;
        }, 0);
        return Math.abs(value) < UNREADABLE
          ? []
          : [{ what: 'outcome', value, quantity: outcome.quantity, name: outcome.name }];
      });
    default:
      return [];
  }
}

/** Done steps that need this one, by way of others or not; what waits for a taste only stands on nothing. */
function standingOn(steps: readonly Step[], id: string, states: Progress['states']): readonly Step[] {
  const on = new Set([id]);
  // Any order of steps: as long as one more is found.
  for (let before = 0; before !== on.size;) {
    before = on.size;
    for (const { id: each, needs } of steps)
      if (needs.some(({ step, why }) => why !== 'usual' && on.has(step))) on.add(each);
  }
  return steps.filter((step) => step.id !== id && on.has(step.id) && isDone(states.get(step.id)));
}
