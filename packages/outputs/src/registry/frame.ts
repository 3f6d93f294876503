import { cutListCsv } from '../lists/cutList.js';
import { massesCsv } from '../lists/massesCsv.js';
import { labelSheets } from '../labels/labels.js';
import { editionOf, stampOf } from './edition.js';
import { noTubes, paper, type Kit, type Output, type Source } from './output.js';

export const cutList: Output = {
  id: 'cut-list',
  title: 'Cut list, CSV',
  group: 'frame',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'cut-list',
  refuse: noTubes,
  make: ({ document, plan }) => cutListCsv(plan, document),
};

export const cutListSheet: Output = {
  id: 'cut-list-xlsx',
  title: 'Cut list, XLSX',
  group: 'frame',
  mediaType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  suffix: 'xlsx',
  name: () => 'cut-list',
  refuse: noTubes,
  make: async ({ document, plan, edition }) =>
    (await import('../lists/cutListXlsx.js')).cutListXlsx(plan, document, editionOf(edition)),
};

export const masses: Output = {
  id: 'masses-csv',
  title: 'Masses, CSV',
  group: 'frame',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'masses',
  refuse: noTubes,
  make: massesCsv,
};

/** To stick on pieces: each with a code that opens it. */
export const pieceLabels = paper({
  id: 'labels',
  title: 'Labels for the pieces',
  group: 'frame',
  name: () => 'labels',
  caution: 'Labels: print the first sheet on plain paper without scaling, and hold it against the labels.',
  refuse: noTubes,
  pages: labelSheets,
});

/** The frame as solids, each piece as it is cut. What writes it is loaded when one is made. */
export const frameInSpace: Output = {
  id: 'frame-gltf',
  title: 'Frame in space, glTF',
  group: 'frame',
  mediaType: 'model/gltf-binary',
  suffix: 'glb',
  name: () => 'frame',
  refuse: noTubes,
  make: async (source) => (await import('../solids/gltf.js')).frameGltf(source.plan, stampOf(source)),
};

/** The modeller is loaded, and what makes solids with it, when a solid is asked for. */
const solids = async ({ modeller }: Kit) => {
  const [{ modellerFrom }, made] = await Promise.all([
    import('../step/modeller.js'),
    import('../step/frameStep.js'),
  ]);
  await modellerFrom(modeller);
  return made;
};
/** A head of ISO 10303-21 wants a date; of a file that has none it is the day before all others. */
const dateOf = ({ edition }: Source): string => `${edition.date ?? '1970-01-01'}T00:00:00`;

/** Pieces that have no exact surfaces are told at the head of the file. Source of the form: ISO 10303-21. */
const inFacets = (step: string): string | undefined =>
  /FILE_DESCRIPTION\(\('((?:In flat facets|Exact surfaces; )[^']*)'/
    .exec(step.slice(0, 2000))?.[1]
    ?.replace('Exact surfaces; ', '');

/** Exact solids of all pieces in their places. */
export const frameSolids: Output = {
  id: 'frame-step',
  title: 'Frame as solids, STEP',
  group: 'frame',
  slow: true,
  mediaType: 'model/step',
  suffix: 'step',
  name: () => 'frame',
  remark: inFacets,
  refuse: noTubes,
  make: async (source, _, kit) =>
    (await solids(kit)).frameStep(source.plan, { name: source.document.name, date: dateOf(source) }),
};

/** One piece as a solid, for who cuts or turns it. */
export const pieceSolids: Output = {
  id: 'piece-step',
  title: 'STEP of one piece',
  listed: 'Each piece as a solid, STEP',
  group: 'frame',
  ofPiece: true,
  slow: true,
  mediaType: 'model/step',
  suffix: 'step',
  name: ({ plan }, { piece }) => `piece-${plan.cuts.find((cut) => cut.piece === piece)?.mark ?? 'none'}`,
  remark: inFacets,
  refuse: noTubes,
  // A right twin that is the left one turned over is cut from the same file.
  packed: ({ plan }) => {
    const right = new Set(plan.frame.pieces.flatMap(({ id, side }) => (side === 'right' ? [id] : [])));
    return plan.cuts
      .filter(({ handedness, piece }) => handedness !== 'turned over' || !right.has(piece))
      .map(({ piece }) => ({ piece }));
  },
  make: async (source, { piece }, kit) => {
    if (piece === undefined) throw new RangeError('Choose one piece.');
    return (await solids(kit)).pieceStep(source.plan, piece, dateOf(source));
  },
};

export const frameMesh: Output = {
  id: 'frame-stl',
  title: 'Frame in space, STL in mm',
  group: 'frame',
  mediaType: 'model/stl',
  suffix: 'stl',
  name: () => 'frame',
  refuse: noTubes,
  make: async ({ document, plan, edition }) =>
    // Its head is short: a long name must not push out which state it is.
    (await import('../solids/stl.js')).frameStl(plan, `${editionOf(edition)} ${document.name}`),
};
