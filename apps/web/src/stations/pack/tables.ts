import {
  CHECK_STAGES,
  findKind,
  formatExactly,
  formatLength,
  isBar,
  readDimensions,
  readReadings,
  readScales,
  readSections,
  success,
  type CheckList,
  type NotUnderstood,
  type Quantity,
  type Result,
} from '@larchwood/core';
import type { BuildDocument, CheckStage, Section, Shop } from '@larchwood/format';
import { setMeasured } from '../../edits/checks';

/** What a table can hold. */
export const SORTS = [
  { value: 'dimensions', label: 'Dimensions' },
  { value: 'readings', label: 'Readings of a gauge' },
  { value: 'scales', label: 'Wheel scales' },
  { value: 'sections', label: 'Tube sections' },
] as const;
export type Sort = (typeof SORTS)[number]['value'];

/** A row as it is shown before anything changes. */
export interface Shown {
  readonly id: string;
  readonly name: string;
  readonly quantity: Quantity | 'mass' | 'words';
  readonly was: number | string | undefined;
  readonly value: number | string;
  readonly note: string;
}
export interface TableTaken {
  readonly rows: readonly Shown[];
  readonly not: readonly NotUnderstood[];
  readonly change: (document: BuildDocument) => BuildDocument;
  /** What goes into the workshop's list instead. */
  readonly sections?: readonly Section[];
}

/** A table as it is understood for one sort of figures. */
export function tableAs(
  sort: Sort,
  text: string,
  document: BuildDocument,
  list: CheckList | undefined,
  stage: CheckStage,
  shop: Shop,
): Result<TableTaken> {
  if (sort === 'sections') return sectionsIn(text, document, shop);
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
  shop: Shop,
): Sort {
  const counts = SORTS.map(({ value }) => {
    const read = tableAs(value, text, document, list, stage, shop);
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

const same = (document: BuildDocument): BuildDocument => document;
function sectionsIn(text: string, { units }: BuildDocument, shop: Shop): Result<TableTaken> {
  const read = readSections(text, units.length);
  if (!read.ok) return read;
  const { understood, not } = read.value;
  return success({
    rows: understood.map(({ section }) => {
      const { id, name } = section;
      const before = shop.sections[id];
      return {
        ...{ id, name, quantity: 'words' as const, note: 'for every build of the workshop' },
        ...{ was: before && sizesText(before, units), value: sizesText(section, units) },
      };
    }),
    not,
    change: same,
    sections: understood.map(({ section }) => section),
  });
}

/** A section by its sizes, whatever it is called. */
function sizesText(section: Section, units: BuildDocument['units']): string {
  if (section.shape === 'round' && isBar(section))
    return `round bar, ${formatLength(section.diameter, units)}`;
  const say = (mm: number) => formatLength(mm, units, 1, true);
  const outer =
    section.shape === 'round' ? say(section.diameter) : `${say(section.width)} × ${say(section.height)}`;
  return `${section.shape}, ${outer} × ${formatExactly(section.wall, units)}`;
}
