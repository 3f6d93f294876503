/** The open format `.larchwood.json`: what a document may hold, its limits, its versions and its faults. It knows no subject. */
export * from './buildSchema.js';
export * from './changes.js';
export { schemaFaults, type Fault } from './faults.js';
export { documentFileName, documentText, fileStem } from './fileName.js';
export {
  PaperSchema,
  ProfileSchema,
  SCHOOL_IDS,
  SHEET_SIZES,
  type Profile,
  type SchoolId,
  type SheetSize,
} from './fixtureSchema.js';
export {
  CHECK_STAGE_IDS,
  type ChecksData,
  type CheckStage,
  type Measured,
  type OwnMeasure,
} from './checksSchema.js';
export { type Bending, type CutBar, type CutOrder, type CutsData } from './cutsSchema.js';
export * from './frameSchema.js';
export * from './sectionSchema.js';
export { HOLE_LIMITS, LIMITS, LONGEST, type Limits } from './limits.js';
export { PRINTABLE } from './parts.js';
export { LARGEST_DOCUMENT, readFormat, readFormatText, type ReadResult } from './read.js';
export { renewed } from './renewed.js';
export * from './seatSchema.js';
export { mergedItem, sameItem, type MergedItem } from './shopMerge.js';
export * from './shopSchema.js';
export { SEGMENT_IDS, SEGMENTS, type Segment } from './segments.js';
export {
  LINKAGE_IDS,
  MADE_IDS,
  type LinkageId,
  type Made,
  type MadeId,
  type SteeringData,
} from './steeringSchema.js';
export {
  MOST_PEOPLE,
  WAY_IDS,
  type Calendar,
  type Done,
  type OwnStep,
  type WayId,
  type WorkData,
} from './workSchema.js';
