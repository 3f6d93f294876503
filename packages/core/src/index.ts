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
export type { LengthDisplay, LengthUnit } from './units/length.js';
export { parseAngle, formatAngle, editableAngle, toRadians } from './units/angle.js';
export { parseMass, formatMass, editableMass, massBothWays, massUnitOf, POUND } from './units/mass.js';
export type { Quantity } from './units/quantity.js';
export { sectionText, sectionLabel } from './frame/sectionText.js';
export * from './vector/vector.js';
export { readDocument, readDocumentText } from './start/read.js';
export { begunParts } from './start/begun.js';
export { createBuild, frameFromLayout, frameMadeAgain, type CreateOptions } from './start/create.js';
export * from './stance/dimension.js';
export * from './stance/singleTrack.js';
export { parseTyreMarking } from './stance/tyres.js';
export { TYRE_TABLE } from './stance/tyreTable.js';
export { rollingWheel } from './stance/wheels.js';
export { keepsLimit } from './stance/briefFindings.js';
export { otherSolutions, outsideLimits, type Held } from './stance/solve.js';
export { releases, weightsOf, type Release } from './stance/exchange.js';
export { pullTo, takeHold, VIEW_AXES, type Drag, type Hold } from './stance/drag.js';
export { whatIf } from './stance/whatIf.js';
export { formulaWithNumbers } from './stance/explain.js';
export { restTravel } from './stance/springs.js';
export { steered, steeringSweep, turnedWheel, type Steered } from './stance/steering.js';
export {
  changeBrief,
  followsBrief,
  seatAtEase,
  type Seating,
  startFromBrief,
  type BriefStart,
  type Reason,
} from './start/brief.js';
export { stanceOf, type Stance } from './stance/stance.js';
export { KINDS, findKind } from './stance/kinds/registry.js';
export { MATERIALS, findMaterial, type Material } from './frame/materials.js';
export { SECTION_LIBRARY, findSection } from './frame/library.js';
export { acrossOf, sizeAt, type Size, isBar } from './frame/sections.js';
export { GAUGES, parseGauge } from './frame/gauge.js';
export { outlineOf, type Outline } from './frame/outline.js';
export { placesAlong, type Place } from './frame/places.js';
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
export { frameEdits, type FrameEdit } from './frame/edits.js';
export { type Mesh } from './solid/builder.js';
export { closedByJoints, MESH_BEND_STEP, pieceMesh } from './solid/pieceMesh.js';
export { plateMesh } from './solid/plateMesh.js';
export { pressedShare, pressedSize, pressingOf } from './solid/pressed.js';
export { sawSettingOf } from './joints/planar.js';
export { wallThickness, zonesOf } from './joints/wall.js';
export { groupWeights } from './mass/weight.js';
export { findLayout, layoutsFor } from './frame/layouts/registry.js';
export { planText } from './plan/planFile.js';
export { PlanFileSchema } from './plan/planSchema.js';
export { layoutOffer, type LayoutOffer } from './start/layouts.js';
export type { Layout } from './frame/layouts/layout.js';
export { idOfMark, pieceId, type Side, type Frame, type Piece, type PlacedPlate } from './frame/frame.js';
export { inTurn, USUAL_BENDING, type Bend, type BendSchedule } from './bends/schedule.js';
export { compoundFrom, diesFor, inBender, onBender, type OnBender } from './bends/bender.js';
export { pairMark, pairName, settingSum, springbackText, turnText } from './bends/words.js';
export { taperOf, type Taper } from './bends/taper.js';
export { scaleRead, setBeyondStraight, trialsOf, type Springback } from './bends/springback.js';
export type { PieceCut } from './joints/cut.js';
export { surfacesCutting, surroundingsOf, type EndCut, type Surroundings } from './joints/endCut.js';
export { castEdge, wallPoint, WALL_LINES, type Edge } from './joints/edge.js';
export { caster, crossing } from './joints/cast.js';
export { type Surface } from './joints/surfaces.js';
export { halvingSide } from './joints/handedness.js';
export { SCHOOLS, findSchool } from './fixture/registry.js';
export type { FixtureList, Measure, Scale, School, Stock } from './fixture/school.js';
export { contextOf, profileOf, sizeIn, standardProfile, type Built } from './fixture/context.js';
export { keysOf, type Keys } from './fixture/keys.js';
export { fixtureDetails, mainView, NO_DETAILS, type FixtureDetails } from './fixture/fixture.js';
export type { Fixture, Outcome, Setting } from './fixture/setting.js';
export { settle } from './fixture/settle.js';
export { workOf, type Working } from './fixture/working.js';
export { makeUps } from './fixture/makeUp.js';
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
export { PROFILE_SUFFIX, profileText, readProfileText, shopItemFaults } from './fixture/profile.js';
export { solidOutline, type Solid } from './fixture/solids.js';
export { cornersOf } from './proximity/distance.js';
export { type Finding, type Severity } from './findings/finding.js';
export type { FindingCode } from './findings/values.js';
export { findingText } from './findings/catalogue.js';
export {
  bodyOf,
  inseamOf,
  SET_STATURE,
  THICKNESS,
  type Body,
  type Measured as RiderMeasures,
} from './rider/body.js';
export { farthestCrank, figureOf, gripsAt, pedalAt, type Figure, type Motion } from './rider/figure.js';
export type { Hands, PostureName, RiderPlace, Seat } from './rider/place.js';
export { massOf, lumpAt, SET_MASS, type Laden } from './mass/mass.js';
export { frontShare, wheelLoads, type Contact } from './mass/loads.js';
export { scaleReadings, weighed } from './mass/scales.js';
export { CHANGE, FRICTION, happensFirst, type Tipping } from './tipping/tipping.js';
export { crownAt } from './tipping/lean.js';
export { CHANGES } from './seat/findings.js';
export { fitRange, type Fitted } from './seat/range.js';
export { clearanceFindings, clearancesOf, type Clearance, type Clearances } from './clearance/sweep.js';
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
export type { Linkage } from './steering/linkage.js';
export { stepAt, sweepOf, type SteeringStep, type SteeringSweep } from './steering/sweep.js';
export {
  collarFollowing,
  partsFollowing,
  withCollar,
  withoutSteeringParts,
  withSteeringParts,
} from './start/steeringParts.js';
export { HEAD_TUBE, hasSteeringParts, STEERING_GROUP } from './steering/parts.js';
export { MADE_PARTS, madeOf, steeringGraph, type MadeOne } from './steering/made/registry.js';
export type * from './steering/made/madePart.js';
export { withColumns } from './steering/columnJoints.js';
export { bumpSteerOf } from './steering/bump.js';
export { fixedPlan } from './plan/fixedPlan.js';
export { type BarSource, type Cutting, type NestedBar, type Wanted } from './stock/nest.js';
export {
  barsCut,
  cutBar,
  goneFromRack,
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
  outerFace,
  usualHole,
  widthSeen,
  type Bore,
  type DrilledPiece,
  metalTaken,
} from './holes/holes.js';
export {
  bySetting,
  closedBy,
  inOneSetUp,
  jobsOf,
  toolJobs,
  type Job,
  type ToolAnswer,
  type ToolJob,
} from './tools/settings.js';
export { cornersOfPlate, outlineFrom, type Corner } from './plates/corners.js';
export { madeAlike, sameTurnedOver } from './plates/findings.js';
export { foldsOf, type Fold } from './plates/folds.js';
export { noGussetText } from './plates/gussetWords.js';
export { gussetBetween, gussetPlate, nodeBeside, type Gusset } from './plates/gusset.js';
export { FLAT_SHAPES } from './plates/shapes.js';
export {
  captured,
  readInstrumentLine,
  simulatedReading,
  type Captured,
  type Simulated,
} from './instruments/capture.js';
export { differenceOf, type PieceDifference } from './plan/difference.js';
export { LOG_SORTS, logOf, searchLog, type LogLine, type LogSort } from './log/log.js';
export { checked, checkList, checkResults, type CheckList, type StageResult } from './plan/stages/checks.js';
export { type AsBuilt } from './checks/asBuilt.js';
export { type AsBuiltFigure } from './checks/figure.js';
export { builtDocument } from './checks/builtDocument.js';
export { verdictOf, type Verdict } from './checks/judge.js';
export { type By } from './checks/levers.js';
export { KEY_IDS, type KeyId } from './fixture/keys.js';
export { readingOf, type Comparison, type Measurand } from './checks/measure.js';
export { type MeasuringList } from './checks/list.js';
export { measuringList } from './checks/measures.js';
export { JOINT_NAMES, jointKindOf, usualMovement, type Movement, type Usual } from './checks/movement.js';
export { pictureOf, type MeasurePicture } from './checks/picture.js';
export { baseAt, heightsFrom, takenOff } from './checks/heights.js';
export { listAt } from './checks/setOff.js';
export { type MeasuringPoint } from './checks/points.js';
export { type Advice, type Pull } from './checks/pull.js';
export { springsBack } from './checks/springs.js';
export { CHECK_STAGES } from './checks/stages.js';
export { TOOL_NAMES } from './checks/tolerances.js';
export { blocks, work, workFindings } from './plan/stages/work.js';
export type { Work } from './work/work.js';
export type { Blocks } from './work/blocks.js';
export { PHASES, type Line, type Sort, type Step } from './work/step.js';
export { CAUTIONS } from './work/cautions.js';
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
export { lateChanges, lateSettings, numbersOf, type KeepingCost, type Late } from './work/late.js';
export { wantedVents, withVents } from './work/vents.js';
export { ENOUGH, paceOf, timedOf } from './work/time/learned.js';
export { schedule, USUAL_WAITS, USUAL_WEEK, type Schedule } from './work/time/schedule.js';
export { flushEdge } from './work/weld/flush.js';
export { estimate, passesOf, processFor, PROCESSES, tacksOf, type ProcessId } from './work/weld/estimate.js';
export { balanced, heatOf, neighbours, pauseOf, warmthOf, withMoves } from './work/weld/order.js';
export { stretchName, QUARTERS_FROM, segmentsOf, type Segment } from './work/weld/segments.js';
export { type Seam } from './work/weld/seams.js';
export { clearestView } from './work/view.js';
export { LARGEST_IMPORT, type NotUnderstood } from './imports/brought.js';
export { readDimensions } from './imports/dimensions.js';
export { readReadings } from './imports/readings.js';
export { readScales } from './imports/scales.js';
export { weighedTwice, withoutPieces } from './mass/twice.js';
export { takeMember } from './frame/edit/takeMember.js';
export { readSections } from './imports/sectionTable.js';
export { noTube, ownSection } from './frame/ownSection.js';
export { readDrawing, type DrawnFile } from './imports/dxfEntities.js';
export type { Flat, Stroke } from './imports/stroke.js';
export {
  bringCentreLines,
  likelyPlace,
  likelyPlan,
  type BringOptions,
  type LayerPlan,
} from './imports/centreLines.js';
