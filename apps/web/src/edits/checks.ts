import { without } from '@larchwood/core';
import type { BuildDocument, ChecksData, CheckStage, Measured, OwnMeasure } from '@larchwood/format';

type Change = (document: BuildDocument) => BuildDocument;

const NO_CHECKS: ChecksData = { own: [], tolerances: {}, preset: {} };
export const checksOf = ({ checks }: BuildDocument): ChecksData => checks ?? NO_CHECKS;
const change =
  (part: (checks: ChecksData) => ChecksData): Change =>
  (document) => ({ ...document, checks: part(checksOf(document)) });

/** Heights from the fixture's base while the frame stands in it, or from the ground. */
export const setHeightsFrom = (heightsFrom: NonNullable<ChecksData['heightsFrom']>): Change =>
  change((checks) => ({ ...checks, heightsFrom }));

/** A reading that is put right so soon was a slip of the finger, and is not kept; ms. */
const SLIP = 120_000;
/** Earlier readings are kept up to so many. */
const KEPT = 20;

/** Reads a measure at a stage; what it read before is kept. */
export const setMeasured =
  (
    stage: CheckStage,
    measure: string,
    part: Partial<Pick<Measured, 'value' | 'spread' | 'note'>>,
    now: Date,
  ): Change =>
  (document) => {
    const all = document.measured ?? [];
    const mine = (each: Measured) => each.stage === stage && each.measure === measure;
    const was = all.find(mine);
    const rest = all.filter((each) => !mine(each));
    const value = part.value ?? was?.value;
    if (value === undefined) return document;
    const renewed = was !== undefined && part.value !== undefined && part.value !== was.value;
    const slip = was?.on !== undefined && now.getTime() - Date.parse(was.on) < SLIP;
    const before = [
      ...(was?.before ?? []),
      ...(renewed && !slip ? [{ value: was.value, ...(was.on === undefined ? {} : { on: was.on }) }] : []),
    ].slice(-KEPT);
    const spread = part.value === undefined ? was?.spread : part.spread;
    const note = 'note' in part ? part.note : was?.note;
    const next: Measured = {
      ...{ stage, measure, value },
      on: part.value !== undefined ? now.toISOString() : (was?.on ?? now.toISOString()),
      ...(spread === undefined ? {} : { spread }),
      ...(note === undefined || note === '' ? {} : { note }),
      ...(before.length > 0 ? { before } : {}),
    };
    return withMeasured(document, [...rest, next]);
  };

/** Takes a reading out. */
export const takeOut =
  (stage: CheckStage, ...measures: readonly string[]): Change =>
  (document) =>
    withMeasured(
      document,
      (document.measured ?? []).filter((each) => each.stage !== stage || !measures.includes(each.measure)),
    );

function withMeasured(document: BuildDocument, measured: Measured[]): BuildDocument {
  if (measured.length > 0) return { ...document, measured };
  return without(document as unknown as Record<string, unknown>, 'measured') as unknown as BuildDocument;
}

export const setTolerance = (measure: string, value: number | undefined): Change =>
  change((checks) => ({
    ...checks,
    tolerances:
      value === undefined ? without(checks.tolerances, measure) : { ...checks.tolerances, [measure]: value },
  }));
export const addOwnMeasure = (own: OwnMeasure): Change =>
  change((checks) => ({ ...checks, own: [...checks.own, own] }));
export const changeOwnMeasure = (id: string, part: Partial<OwnMeasure>): Change =>
  change((checks) => ({
    ...checks,
    own: checks.own.map((each) => (each.id === id ? { ...each, ...part } : each)),
  }));
export const removeOwnMeasures = (ids: readonly string[]): Change =>
  change((checks) => ({ ...checks, own: checks.own.filter(({ id }) => !ids.includes(id)) }));
/** Sets the fixture off from now on; with nothing in it all is held as drawn again. */
export const setPreset = (preset: ChecksData['preset'], now: Date): Change =>
  change(({ own, tolerances }) => ({
    ...{ own, tolerances, preset },
    ...(Object.keys(preset).length > 0 ? { presetOn: now.toISOString() } : {}),
  }));
