/** The computation of Larchwood: pure functions from a build document to its plan. No interface, no clock, no storage. */
export * from './result.js';
export { asSentence, nameInText, withArticle, bandUseText } from './words.js';
export { without } from './without.js';
export {
  parseLength,
  formatGauge,
  gaugeDisplay,
  formatExactly,
  formatLength,
  lengthText,
  editableLength,
  lengthBothWays,
  INCH,
} from './units/length.js';
export type { LengthDisplay, LengthText, LengthUnit, Denominator } from './units/length.js';
export { parseAngle, formatAngle, editableAngle, toRadians, toDegrees } from './units/angle.js';
export {
  parseMass,
  formatMass,
  editableMass,
  massBothWays,
  massUnitOf,
  POUND,
  type MassUnit,
} from './units/mass.js';
export type { Quantity } from './units/quantity.js';
export { sectionText, sectionLabel } from './frame/sectionText.js';
export * from './vector/vector.js';
export { readDocument, readDocumentText } from './start/read.js';
export { begunParts } from './start/begun.js';
export { createBuild, frameFromLayout, frameMadeAgain, type CreateOptions } from './start/create.js';
export * from './stance/dimension.js';
export * from './stance/singleTrack.js';
export { parseTyreMarking } from './stance/tyres.js';
export { TYRE_TABLE, type TyreGroup } from './stance/tyreTable.js';
export { rollingWheel, type RollingWheel } from './stance/wheels.js';
export { keepsLimit } from './stance/briefFindings.js';
export { otherSolutions, outsideLimits, solveStance, type Held } from './stance/solve.js';
export { releases, weightsOf, type Release } from './stance/exchange.js';
export { pullTo, takeHold, VIEW_AXES, type Drag, type Hold } from './stance/drag.js';
export { whatIf, type WhatIfPoint } from './stance/whatIf.js';
export { formulaWithNumbers } from './stance/explain.js';
export { restTravel } from './stance/springs.js';
export { steered, steeringSweep, turnedWheel, type Steered } from './stance/steering.js';
export { postureOf, type Posture } from './stance/posture.js';
export {
  changeBrief,
  followsBrief,
  seatAtEase,
  type Seating,
  startFromBrief,
  type BriefStart,
  type Reason,
} from './start/brief.js';
export { stanceOf, type Stance, type StanceResult } from './stance/stance.js';
export { KINDS, findKind } from './stance/kinds/registry.js';
export { MATERIALS, findMaterial, type Material } from './frame/materials.js';
export { SECTION_LIBRARY, findSection } from './frame/library.js';
export {
  acrossOf,
  diameterAt,
  propertiesOf,
  roundTube,
  sizeAt,
  type SectionProperties,
  type Size,
  isBar,
} from './frame/sections.js';
export { GAUGES, gaugeOf, gaugeWall, parseGauge, type GaugeTable } from './frame/gauge.js';
export { outlineOf, type Outline } from './frame/outline.js';
export { carried, nearestOn, pathOf, pointOn, type Arc, type Leg, type Path } from './frame/path.js';
export { holeRing, middlesOf, onPlate } from './frame/plates.js';
export { realCorners } from './vector/ring.js';
export { centreLine, EYE, isEndOn, pieceOutline, type OnPaper, type Seen } from './solid/silhouette.js';
export {
  chooseSection,
  nextPiece,
  withAnchor,
  withEnd,
  withMember,
  withSections,
  type Change,
} from './frame/edit/graph.js';
export { addTube, braceBay, placeOf, type NewTube, type Spot } from './frame/edit/addTube.js';
export {
  bendMember,
  deleteMembers,
  mirrorMember,
  splitMember,
  straighten,
  swapThrough,
} from './frame/edit/reshape.js';
export { frameEdits, withEditsKept, type FrameEdit } from './frame/edits.js';
export { meshVolume, type Mesh } from './solid/builder.js';
export { closedByJoints, MESH_BEND_STEP, pieceMesh } from './solid/pieceMesh.js';
export { plateMesh } from './solid/plateMesh.js';
export { pressedShare, pressedSize, pressingOf } from './solid/pressed.js';
export { sawSettingOf, type SawSetting } from './joints/planar.js';
export { wallThickness, zonesOf } from './joints/wall.js';
export { frameWeight, groupWeights, type GroupWeight, type PieceWeight } from './mass/weight.js';
export { findLayout, layoutsFor, LAYOUTS } from './frame/layouts/registry.js';
export { planText } from './plan/planFile.js';
export { PlanFileSchema } from './plan/planSchema.js';
export { layoutOffer, layoutOffers, type LayoutOffer } from './start/layouts.js';
export type { Layout, LayoutOptions } from './frame/layouts/layout.js';
export {
  frameOf,
  idOfMark,
  pieceId,
  uppermost,
  type Side,
  type Frame,
  type Piece,
  type PlacedPlate,
} from './frame/frame.js';
export {
  bendSchedule,
  bentSoFar,
  USUAL_BENDING,
  USUAL_EXTRA,
  type Bend,
  type BendSchedule,
} from './bends/schedule.js';
export {
  compoundFrom,
  diesFor,
  inBender,
  onBender,
  type BendSetting,
  type OnBender,
  type OwnDie,
} from './bends/bender.js';
export { pairMark, pairName, settingSum, springbackText, turnText } from './bends/words.js';
export { taperOf, type Taper } from './bends/taper.js';
export { scaleRead, setBeyondStraight, springbackOf, trialsOf, type Springback } from './bends/springback.js';
export type { ButtTrim, PieceCut } from './joints/cut.js';
export { cutPieces } from './joints/pieceCut.js';
export {
  surfacesCutting,
  surroundingsOf,
  type EndCut,
  type EndName,
  type Surroundings,
} from './joints/endCut.js';
export { castEdge, wallPoint, WALL_LINES, type Edge, type Extreme } from './joints/edge.js';
export { caster, crossing } from './joints/cast.js';
export { surfacesOf, type Surface } from './joints/surfaces.js';
export type { Interference } from './joints/interference.js';
export type { SawAngles } from './joints/planar.js';
export { halvingSide, type Handedness } from './joints/handedness.js';
export { SCHOOLS, findSchool } from './fixture/registry.js';
export type { FixtureCheck, FixtureList, Measure, Scale, School, Stock } from './fixture/school.js';
export { contextOf, profileOf, sizeIn, standardProfile, type Built } from './fixture/context.js';
export { keysOf, type Keys } from './fixture/keys.js';
export { fixtureDetails, mainView, NO_DETAILS, type FixtureDetails } from './fixture/fixture.js';
export type { Fixture, Outcome, Setting } from './fixture/setting.js';
export { settle } from './fixture/settle.js';
export { workOf, type Working } from './fixture/working.js';
export { makeUps, type MakeUp } from './fixture/makeUp.js';
export { study, type Spread, type Study } from './fixture/study.js';
export { summaryOf, type SchoolSummary } from './fixture/compare.js';
export {
  cellText,
  checkText,
  displayOf,
  readingText,
  scaleDisplay,
  toleranceText,
} from './fixture/readingText.js';
export {
  PROFILE_SUFFIX,
  profileText,
  readProfile,
  readProfileText,
  shopItemFaults,
} from './fixture/profile.js';
export { solidOutline, type Solid } from './fixture/solids.js';
export { cornersOf } from './proximity/distance.js';
export { isFinding, type Finding, type Severity, type Station } from './findings/finding.js';
export type { FindingCode, FindingValues } from './findings/values.js';
export { findingText, FINDING_CODES, type FindingText } from './findings/catalogue.js';
export {
  bodyOf,
  inseamOf,
  OF_STATURE,
  SET_STATURE,
  THICKNESS,
  type Body,
  type Measured as RiderMeasures,
} from './rider/body.js';
export {
  farthestCrank,
  figureOf,
  gripsAt,
  pedalAt,
  sideAngle,
  type Figure,
  type Motion,
} from './rider/figure.js';
export type { Feet, Hands, PostureName, RiderPlace, Seat } from './rider/place.js';
export { massOf, lumpAt, SET_MASS, type Laden, type MassModel, type MassPart } from './mass/mass.js';
export { contactsOf, frontShare, wheelLoads, type Contact, type WheelLoad } from './mass/loads.js';
export { scaleReadings, weighed, type ScaleFault, type ScalesResult } from './mass/scales.js';
export { USUAL_SEAT, lumpsOf } from './start/seat.js';
export {
  CHANGE,
  FRICTION,
  happensFirst,
  tippingOf,
  type Gain,
  type Tipping,
  type TurnRow,
} from './tipping/tipping.js';
export { crownAt } from './tipping/lean.js';
export { supportOf, tipLimit } from './tipping/support.js';
export { CHANGES, directionWord } from './seat/findings.js';
export { fitRange, type Fitted } from './seat/range.js';
export {
  clearanceFindings,
  clearancesOf,
  STEPS as SWEEP_STEPS,
  type Clearance,
  type Clearances,
} from './clearance/sweep.js';
export { wheelsIn } from './clearance/parts.js';
export type { Pose } from './clearance/part.js';
export { planBuild, WHILE_DRAGGED, type Plan, type PlanResult } from './plan/plan.js';
export { Planner } from './plan/planner.js';
export type { Stage } from './plan/stage.js';
export { clearances, fit } from './plan/stages/clearance.js';
export { frame as frameStage } from './plan/stages/frame.js';
export { stance as stanceStage } from './plan/stages/stance.js';
export { steering as steeringStage } from './plan/stages/steering.js';
export { crowding } from './clearance/crowding.js';
export { sweptFindings } from './plan/stages/findings.js';
export { details } from './plan/stages/fixture.js';
export * from './steering/steering.js';
export * from './steering/linkages/registry.js';
export * from './steering/turn.js';
export * from './steering/report.js';
export * from './steering/search.js';
export * from './steering/readings.js';
export * from './steering/pose.js';
export type { Linkage, LinkagePart, LinkageSize } from './steering/linkage.js';
export { stepAt, sweepOf, type SteeringStep, type SteeringSweep } from './steering/sweep.js';
export {
  collarFollowing,
  HEAD_TUBE,
  partsFollowing,
  withCollar,
  withoutSteeringParts,
  withSteeringParts,
} from './start/steeringParts.js';
export { hasSteeringParts, STEERING_GROUP } from './steering/parts.js';
export {
  MADE_PARTS,
  findMadePart,
  madeOf,
  sizesOf,
  steeringGraph,
  type MadeOne,
} from './steering/made/registry.js';
export type * from './steering/made/madePart.js';
export { unevenness, withColumns } from './steering/columnJoints.js';
export { bumpSteerOf, type BumpSteer } from './steering/bump.js';
export { fixedPlan } from './plan/fixedPlan.js';
export {
  firstNest,
  type BarSource,
  type Cutting,
  type Nest,
  type NestedBar,
  type Wanted,
} from './stock/nest.js';
export {
  barsCut,
  cutBar,
  goneFromRack,
  oneEachNest,
  rackChanges,
  sawingOf,
  shoppingOf,
  stockFindings,
  stockGroups,
  type StockGroup,
} from './stock/plan.js';
export { hasArrived, marksMade, orderByMark, ordersOf, orderStep } from './stock/orders.js';
export { openItems, orderOf, type CutHole, type CutItem, type ToCut } from './cutting/items.js';
export { foundNest, nestedBy, nestPlace, restOf, type FoundNests, type Nested } from './stock/lookedFor.js';
export { proveNest, solverFrom, type Proven } from './stock/prove.js';
export {
  faceWords,
  flatFaces,
  roomBetween,
  usualHole,
  type FlatFace,
  type Bore,
  type DrilledPiece,
  metalTaken,
} from './holes/holes.js';
export {
  bySetting,
  closedBy,
  cutterGap,
  inOneSetUp,
  jobsOf,
  toolJobs,
  type Job,
  type ToolAnswer,
  type ToolJob,
  type ToolSetting,
} from './tools/settings.js';
export { cornersOfPlate, outlineFrom, type Corner } from './plates/corners.js';
export { madeAlike, sameTurnedOver } from './plates/findings.js';
export { foldOf, foldsOf, K_FACTOR, type Fold } from './plates/folds.js';
export { noGussetText } from './plates/gussetWords.js';
export { gussetBetween, gussetPlate, nodeBeside, type Gusset, type NoGusset } from './plates/gusset.js';
export { FLAT_SHAPES, type FlatShape } from './plates/shapes.js';
export {
  captured,
  readInstrumentLine,
  simulatedReading,
  type Captured,
  type Simulated,
} from './instruments/capture.js';
export { differenceOf, type PieceDifference, type PlanDifference } from './plan/difference.js';
export { LOG_SORTS, logOf, searchLog, type LogLine, type LogSort } from './log/log.js';
export { checked, checkList, checkResults, type CheckList, type StageResult } from './plan/stages/checks.js';
export { type AsBuilt } from './checks/asBuilt.js';
export { type AsBuiltFigure } from './checks/figure.js';
export { builtDocument } from './checks/builtDocument.js';
export { doubtOf, verdictOf, type Judged, type JudgedComparison, type Verdict } from './checks/judge.js';
export { type By } from './checks/levers.js';
export { KEY_IDS, type KeyId } from './fixture/keys.js';
export { readingOf, type Comparison, type Measurand } from './checks/measure.js';
export { type MeasuringList } from './checks/list.js';
export { measuringList } from './checks/measures.js';
export {
  JOINT_NAMES,
  jointKindOf,
  usualMovement,
  type JointKind,
  type Movement,
  type Usual,
} from './checks/movement.js';
export { type RodTurn } from './checks/toe.js';
export { listAt } from './checks/setOff.js';
export { type MeasuringPoint } from './checks/points.js';
export { type Advice, type Pull } from './checks/pull.js';
export { springsBack } from './checks/springs.js';
export { CHECK_STAGES } from './checks/stages.js';
export { READS, TOOL_NAMES } from './checks/tolerances.js';
export { blocks, work, workFindings } from './plan/stages/work.js';
export type { Work } from './work/work.js';
export type { Blocks, ShutSeam } from './work/blocks.js';
export { PHASES, type Line, type Sort, type Step } from './work/step.js';
export { CAUTIONS, type CautionId } from './work/cautions.js';
export { USUAL_WORK } from './work/input.js';
export { toolOf } from './work/stepTool.js';
export { moved } from './work/order.js';
export { putBack, withStepMoves } from './work/remedies.js';
export { setId } from './work/steps/fixture.js';
export {
  isDone,
  progressOf,
  settingsOf,
  standingSettings,
  type Progress,
  type StepState,
} from './work/progress.js';
export {
  lateChanges,
  lateSettings,
  numbersOf,
  type KeepingCost,
  type Late,
  type LateLine,
} from './work/late.js';
export { wantedVents, withVents } from './work/vents.js';
export { ENOUGH, paceOf, timedOf } from './work/time/learned.js';
export { schedule, USUAL_WAITS, USUAL_WEEK, type Schedule } from './work/time/schedule.js';
export { flushEdge, type FlushEdge } from './work/weld/flush.js';
export { estimate, passesOf, processFor, PROCESSES, tacksOf, type ProcessId } from './work/weld/estimate.js';
export { balanced, heatOf, neighbours, pauseOf, warmthOf, withMoves } from './work/weld/order.js';
export { stretchName, QUARTERS_FROM, seamName, segmentsOf, type Segment } from './work/weld/segments.js';
export { seamsOf, type Seam } from './work/weld/seams.js';
export { clearestView } from './work/view.js';
export { LARGEST_IMPORT, type NotUnderstood } from './imports/brought.js';
export { readDimensions, type BroughtDimension, type BroughtDimensions } from './imports/dimensions.js';
export { readReadings, type BroughtReading, type BroughtReadings } from './imports/readings.js';
export { readScales, type BroughtLoad, type BroughtScales } from './imports/scales.js';
export { weighedTwice, withoutPieces } from './mass/twice.js';
export { takeMember } from './frame/edit/takeMember.js';
export { readSections, type BroughtSection } from './imports/sectionTable.js';
export { noTube, ownSection } from './frame/ownSection.js';
export { readDrawing, type DrawnFile } from './imports/dxfEntities.js';
export type { Flat, Stroke } from './imports/stroke.js';
export {
  bringCentreLines,
  likelyPlace,
  likelyPlan,
  type BringOptions,
  type BroughtFrame,
  type LayerPlan,
} from './imports/centreLines.js';
