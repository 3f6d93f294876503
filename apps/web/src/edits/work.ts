import {
  moved,
  numbersOf,
  putBack,
  settingsOf,
  USUAL_WORK,
  without as withoutKeys,
  type Late,
  type Setting,
  type Step,
} from '@larchwood/core';
import { changeReading, tickedAs } from './fixture';
import type { BuildDocument, Calendar, Done, OwnStep, WayId, WorkData } from '@larchwood/format';

type Change = (document: BuildDocument) => BuildDocument;

export const workOf = ({ work }: BuildDocument): WorkData => work ?? USUAL_WORK;
const change =
  (part: (work: WorkData) => WorkData): Change =>
  (document) => ({ ...document, work: part(workOf(document)) });

export const chooseWay = (way: WayId): Change => change((work) => ({ ...work, way }));
export const chooseWelding = (welding: WorkData['welding']): Change =>
  change((work) => ({ ...work, welding }));
export const chooseVents = (vents: WorkData['vents']): Change => change((work) => ({ ...work, vents }));
export const moveStep = (step: string, after: string): Change => change((work) => moved(work, step, after));
export const stepBack = (step: string): Change => change((work) => putBack(work, step));
/** As it was generated, with the builder's own steps kept. */
export const allBack: Change = change((work) => ({ ...work, moves: [], seams: [] }));

export const addOwn = (own: OwnStep): Change => change((work) => ({ ...work, own: [...work.own, own] }));
export const changeOwn = (id: string, part: Partial<OwnStep>): Change =>
  change((work) => ({
    ...work,
    own: work.own.map((each) => (each.id === id ? { ...each, ...part } : each)),
  }));
/** The day on which what it waits for comes; none: it can begin at any time. */
export const setDue = (id: string, due: string | undefined): Change =>
  change((work) => ({
    ...work,
    own: work.own.map((each) =>
      each.id === id ? { ...withoutKeys(each, 'due'), ...(due === undefined ? {} : { due }) } : each,
    ),
  }));
export const removeOwn = (id: string): Change =>
  change((work) => ({
    ...work,
    own: work.own.filter((each) => each.id !== id),
    moves: work.moves.filter(({ step }) => step !== id),
    needs: work.needs.filter(({ step, needs }) => step !== id && needs !== id),
  }));

export const addNeed = (step: string, needs: string): Change =>
  change((work) => ({
    ...work,
    needs: [...work.needs.filter((each) => each.step !== step || each.needs !== needs), { step, needs }],
  }));
export const removeNeed = (step: string, needs: string): Change =>
  change((work) => ({
    ...work,
    needs: work.needs.filter((each) => each.step !== step || each.needs !== needs),
  }));

/** A step waits for none of these any more, as far as the builder had said so. */
export const withoutWaits = (step: string, needs: readonly string[]): Change =>
  change((work) => ({
    ...work,
    needs: work.needs.filter((each) => each.step !== step || !needs.includes(each.needs)),
  }));

const without = <T>(all: Readonly<Record<string, T>>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter(([each]) => each !== key));
export const setHours = (step: string, hours: number | undefined): Change =>
  change((work) => ({
    ...work,
    hours: hours === undefined ? without(work.hours, step) : { ...work.hours, [step]: hours },
  }));
export const setWait = (step: string, days: number): Change =>
  change((work) => ({ ...work, waits: { ...work.waits, [step]: days } }));
export const setCalendar = (calendar: Calendar): Change => change((work) => ({ ...work, calendar }));
/** A seam that is ground flush, and its twin with it; or as it is welded. */
export const setFlush = (seams: readonly string[], flush: boolean): Change =>
  change((work) => {
    const others = (work.flush ?? []).filter((each) => !seams.includes(each));
    const all = flush ? [...others, ...seams] : others;
    return all.length > 0 ? { ...work, flush: all } : withoutKeys(work, 'flush');
  });
export const moveSeam = (seam: string, after: string): Change =>
  change((work) => ({
    ...work,
    seams: [...work.seams.filter((each) => each.seam !== seam), { seam, after }],
  }));
export const seamsBack: Change = change((work) => ({ ...work, seams: [] }));

/**
 * What is known of a step: ticked, timed, or what is wrong. Nothing known of it leaves no entry. One that sets the fixture
 * ticks its settings with it, so that work and fixture say the same.
 * @param settings as the fixture has them now: a tick keeps where each was set
 */
export const setDone =
  (
    step: Pick<Step, 'id' | 'of'> & Partial<Pick<Step, 'sort' | 'lines'>>,
    part: Partial<Omit<Done, 'step' | 'of'>>,
    now: Date,
    settings: readonly Setting[] = [],
  ): Change =>
  (document) => {
    const before = document.done?.find((each) => each.step === step.id);
    const { wrong, hours, done, kept } = { ...(before ?? { done: false }), ...part };
    // What it was done by stays with the tick until it is done anew.
    const anew = part.done === true || !before?.done;
    const was = anew ? numbersOf({ sort: 'own', lines: [], ...step }) : before.was;
    const next: Done = {
      step: step.id,
      of: anew ? step.of : before.of,
      done,
      on: now.toISOString(),
      ...(done && was !== undefined ? { was } : {}),
      ...(done && !anew && kept !== undefined ? { kept } : {}),
      ...(hours === undefined ? {} : { hours }),
      ...(wrong === undefined ? {} : { wrong }),
    };
    const others = (document.done ?? []).filter((each) => each.step !== step.id);
    const known = done || wrong !== undefined || hours !== undefined;
    const all = known ? [...others, next] : others;
    const ticked = all.length > 0 ? { ...document, done: all } : withoutKeys(document, 'done');
    if (part.done === undefined) return ticked;
    return settingsOf({ sort: 'own', lines: [], ...step }).reduce((each, id) => {
      if (!done) return changeReading(id, { set: false })(each);
      const setting = settings.find((known) => known.id === id);
      const stands = each.fixture.readings.some(
        (reading) => reading.school === each.brief.school && reading.setting === id && reading.set,
      );
      // One that was ticked by itself stands where it was set then.
      return stands ? each : changeReading(id, setting ? tickedAs(setting) : { set: true })(each);
    }, ticked);
  };

/**
 * What was made by other numbers stays as it is: a step is done as it was done, and a setting is taken to stand where it was
 * set, so that the others make up for it.
 */
export const keepAsMade = ({ step, lines }: Late, now: Date): Change =>
  step.sort === 'set'
    ? (document) =>
        step.lines.reduce((each, { id, setting }) => {
          if (setting === undefined) return each;
          const late = lines.find((line) => line.id === id);
          return changeReading(setting, { set: true, ...(late ? { found: late.was } : {}) })(each);
        }, document)
    : setDone(step, { kept: step.of }, now);

/** It is made, or set, again: open until it is. */
export const makeAgain = ({ step, lines }: Late, now: Date): Change =>
  step.sort === 'set' && lines.length > 0
    ? (document) =>
        lines.reduce(
          (each, { id }) => {
            const setting = step.lines.find((line) => line.id === id)?.setting;
            return setting === undefined
              ? each
              : changeReading(setting, { set: false, found: undefined })(each);
          },
          setDone({ id: step.id, of: step.of }, { done: false }, now)(document),
        )
    : setDone(step, { done: false }, now);
