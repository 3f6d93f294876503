import {
  CHECK_STAGES,
  findKind,
  readDimensions,
  readReadings,
  readScales,
  success,
  type CheckList,
  type NotUnderstood,
  type Quantity,
  type Result,
} from '@larchwood/core';
import type { BuildDocument, CheckStage } from '@larchwood/format';
import { setMeasured } from '../checks/changes';

/** What a table can hold. */
export const SORTS = [
  { value: 'dimensions', label: 'Dimensions' },
  { value: 'readings', label: 'Readings of a gauge' },
  { value: 'scales', label: 'Wheel scales' },
] as const;
export type Sort = (typeof SORTS)[number]['value'];

/** A row as it is shown before anything changes. */
export interface Shown {
  readonly id: string;
  readonly name: string;
  readonly quantity: Quantity | 'mass';
  readonly was: number | undefined;
  readonly value: number;
  readonly note: string;
}
export interface TableTaken {
  readonly rows: readonly Shown[];
  readonly not: readonly NotUnderstood[];
  readonly change: (document: BuildDocument) => BuildDocument;
}

/** A table as it is understood for one sort of figures. */
export function tableAs(
  sort: Sort,
  text: string,
  document: BuildDocument,
  list: CheckList | undefined,
  stage: CheckStage,
): Result<TableTaken> {
  if (sort === 'scales') return scalesIn(text, document);
  if (sort === 'readings' && list) return readingsIn(text, document, list, stage);
  return dimensionsIn(text, document);
}

/** The sort of which most rows are understood. */
export function likelySort(
  text: string,
  document: BuildDocument,
  list: CheckList | undefined,
  stage: CheckStage,
): Sort {
  const counts = SORTS.map(({ value }) => {
    const read = tableAs(value, text, document, list, stage);
    return { value, count: read.ok ? read.value.rows.length : 0 };
  });
  return counts.reduce((best, each) => (each.count > best.count ? each : best)).value;
}

const several = (rows: number): string => (rows > 1 ? `mean of ${rows} rows` : '');

function dimensionsIn(text: string, document: BuildDocument): Result<TableTaken> {
  const read = readDimensions(text, document);
  if (!read.ok) return read;
  const nameOf = (id: string) =>
    findKind(document.kind)?.dimensions.find((dimension) => dimension.id === id)?.name ?? id;
  return success({
    rows: read.value.understood.map(({ dimension: { id, name, quantity }, was, value, letGo }) => ({
      ...{ id, name, quantity, was, value },
      note: letGo === undefined ? '' : `${nameOf(letGo)} is let go`,
    })),
    not: read.value.not,
    change: (before) => {
      const again = readDimensions(text, before);
      return again.ok ? again.value.document : before;
    },
  });
}

function readingsIn(
  text: string,
  document: BuildDocument,
  list: CheckList,
  stage: CheckStage,
): Result<TableTaken> {
  const read = readReadings(text, list, CHECK_STAGES[stage].whole, document.units.length);
  if (!read.ok) return read;
  const { understood, not } = read.value;
  const was = (id: string) =>
    document.measured?.find((each) => each.stage === stage && each.measure === id)?.value;
  return success({
    rows: understood.map(({ measure: { id, name, quantity }, value, rows }) => ({
      ...{ id, name, quantity, value },
      ...{ was: was(id), note: several(rows) },
    })),
    not,
    change: (before) => {
      const now = new Date();
      return understood.reduce(
        (next, { measure, value, spread }) =>
          setMeasured(stage, measure.id, { value, ...(spread === undefined ? {} : { spread }) }, now)(next),
        before,
      );
    },
  });
}

function scalesIn(text: string, document: BuildDocument): Result<TableTaken> {
  const read = readScales(text, document);
  if (!read.ok) return read;
  return success({
    rows: read.value.understood.map(({ wheel, name, value, rows }) => ({
      ...{ id: wheel, name: `Scale below the ${name} wheel`, quantity: 'mass' as const, value },
      ...{ was: document.mass.scales?.level[wheel], note: several(rows) },
    })),
    not: read.value.not,
    change: (before) => {
      const again = readScales(text, before);
      return again.ok ? again.value.document : before;
    },
  });
}
