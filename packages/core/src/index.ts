/** The whole public face of the core. Everything outside imports from here. */
export { type Advice } from './quilt/advice.ts';
export { blockChoices, countAt, proposedCut, type BlockChoices, type SizeChoice } from './block/choices.ts';
export { type Drift, seamDrift, seamsAlong, testStrip, testTarget } from './block/drift.ts';
export { measureOf, type BlockMeasure } from './block/measure.ts';
export { judgePile, type Pile } from './pile/pile.ts';
export { type RowScatter, type RowSpread, simulateRow } from './block/simulate.ts';
export { type CutTo, type Verdict, VERDICT_NAMES, verdictOn } from './block/verdict.ts';
export { BORDER_CORNERS, type BorderCorners, CORNER_NAMES } from './choice/border-corners.ts';
export { repeatsOf, type SpacerFit, spacerFits, withSpacer } from './border/spacer.ts';
export { judgeTop, type TopSize, type TopVerdict } from './border/sizes.ts';
export { buysTheSame, type Change, changesBetween } from './quilt/changes.ts';
export { computeAgain, computeQuilt, type Quilt } from './quilt/compute.ts';
export { type Cut, type CutRole, type CutShape } from './cut/cut.ts';
export { type CutLine } from './cut/line.ts';
export { allowanceFor, type FabricCut } from './shopping/buy.ts';
export { type JoinLine } from './cutting/join-lines.ts';
export { type StripGroup } from './strip/strip-plan.ts';
export { type BiasStrip, longAndShort } from './edge/bias.ts';
export { type Binding } from './edge/binding.ts';
export { finishedWidth } from './edge/binding-widths.ts';
export { type BindingJoin, type BindingJoins } from './edge/binding-joins.ts';
export {
  BINDING_GRAINS,
  type BindingGrain,
  EDGE_FINISHES,
  EDGE_SHAPE_NAMES,
  EDGE_SHAPES,
  type EdgeFinish,
  type EdgeShape,
  FINISH_NAMES,
  FOLD_NAMES,
  GRAIN_NAMES,
  POINT_FOLDS,
  type PointFold,
  type Side,
  SIDES,
} from './choice/edge.ts';
export { type Edge, type EdgePoints, planEdge } from './edge/edge.ts';
export { type Scallops } from './edge/scallops.ts';
export { scallopTemplates, sheetsOf, type Template } from './edge/template.ts';
export { joinedStrips, type JoinedStrip } from './cutting/join-words.ts';
export { type Mitre } from './edge/mitre.ts';
export { pointAt } from './edge/along.ts';
export { type EdgeOutline, edgeOutline, edgePath, edgePolygon, type EdgeRun } from './edge/outline.ts';
export { pointBase, pointHeight } from './edge/prairie-points.ts';
export { BINDING_SCHOOLS, type BindingSchool, SCHOOL_NAMES } from './choice/binding-schools.ts';
export { differenceOf, labOf, valueOf } from './colour/colour.ts';
export { FACE_GROUND, FACE_NAMES, type FaceName, FACES, type Patch } from './face/face.ts';
export { type Figure, numberOf } from './figure/figure.ts';
export { readBlocksCsv, type ReadBlocks, writeBlocksCsv } from './format/blocks-csv.ts';
export { readPlanJson, writePlanJson } from './format/plan-json.ts';
export { type Backing, type BackingOption } from './layer/backing.ts';
export { type BattingOption } from './layer/batting.ts';
export { BACKING_WAYS, type BackingWay, MARKING_NAMES, type Marking, MARKINGS } from './choice/layers.ts';
export { BATTING_COLOURS, FIBRE_IDS, type FibreId, FIBRES } from './choice/battings.ts';
export { backingCloth, type Layers } from './layer/layers.ts';
export {
  LONG_ARM_PATTERNS,
  type LongArmAnswer,
  longArmAnswerSchema,
  type LongArmJob,
  longArmJobSchema,
} from './layer/long-arm.ts';
export { SKEW_INCHES } from './layer/made.ts';
export { type Slab } from './layer/slabs.ts';
export { type Layout, layOut } from './layout/lay-out.ts';
export { type GrainMark, grainMark } from './piece/grain.ts';
export { type Lie, lieOf } from './layout/lie.ts';
export { middleOf, nearestSideOf } from './geometry/outline.ts';
export {
  type Band,
  type BandHandle,
  type FabricUse,
  type Part,
  type Piece,
  type Role,
} from './piece/piece.ts';
export type { Point } from './geometry/point.ts';
export { rectangle as rectangleOf } from './geometry/shapes.ts';
export { ROLE_NAMES } from './piece/roles.ts';
export {
  formatFine,
  formatLength,
  formatRun,
  formatSize,
  formatWithUnit,
  unitMark,
} from './length/format.ts';
export { type ParsedLength, parseLength } from './length/parse.ts';
export { limitIn, rulerNearest } from './length/rounding.ts';
export { near } from './length/tolerance.ts';
export { convertLength, fromInches, rulerStep, type Unit } from './length/unit.ts';
export { borderById, borderIndex, fabricById, fabricFor, fabricUses, withFabric } from './plan/fabric-use.ts';
export { convertPlan } from './plan/convert.ts';
export { BORDER_LIMIT, GRID_LIMIT, planProblems, type Problem } from './soundness/problems.ts';
export { type ReadPlan, readPlan } from './soundness/read.ts';
export {
  BLOCK_VALUES,
  type Fabric,
  type Measured,
  PILE_LIMIT,
  type PileBlock,
  type Plan,
  SCHEMA_VERSION,
  type Target,
  type WallSpot,
} from './plan/shape.ts';
export { startBorder, startPlan, STARTS, type StartId } from './plan/start.ts';
export { progressOf, type Stage, STAGES } from './progress/stages.ts';
export { USUAL } from './usual/lengths.ts';
export { CLOTH_DIRECTIONS, type ClothDirection, DIRECTION_NAMES } from './cloth/direction.ts';
export {
  lengthsOf,
  settingOf,
  type SettingKind,
  type SettingOptions,
  SETTINGS,
  turnInto,
} from './setting/registry.ts';
export { type Centre, type Setting, type SettingField } from './setting/setting.ts';
export { type Allowance, type ShopCut, shopCut } from './shopping/shop-cut.ts';
export { applyFit } from './finder/apply.ts';
export { type TargetComparison } from './target/compare.ts';
export { BEDS, bedOf, type BedId } from './choice/beds.ts';
export { BEST, findFits, type Fit, type Progress } from './finder/find.ts';
export {
  type FitRequest,
  fitRequestSchema,
  kindsFor,
  START_WEIGHTS,
  startRequest,
  type Weights,
} from './finder/request.ts';
export { mattress, startBed, type TargetSize, targetSize } from './target/size.ts';
export { type Split, splitCounts, splitQuilt } from './finder/split.ts';
export { type Random, randomFrom } from './random/random.ts';
export { arrange, type ArrangeProgress } from './wall/arrange.ts';
export { type Contrast, edgeColours, judgeContrast } from './wall/contrast.ts';
export { type Clash, type ClashReason, clashesOf, scoreOf, type WallScore } from './wall/costs.ts';
export { type Crowd, crowdsOf } from './wall/crowds.ts';
export { type Arrangement, type ArrangeRules, START_RULES, type WallJob } from './wall/job.ts';
export { type Laid, type Wall, wallFrom, wallOf } from './wall/wall.ts';
export {
  type RowLabel,
  rowLabels,
  withLocked,
  withMoved,
  withParked,
  withPlaced,
  withTurned,
} from './wall/edits.ts';
export { blockValue, kindOf, wallJob, withArrangement } from './wall/wall-job.ts';
export { doubtOf } from './block/reading.ts';
export { mainColours } from './colour/main-colours.ts';
export { type Answer, type AnswerDrawn, type Flag, type Said, type Topic } from './counter/topic.ts';
export { askCounter, flagStart, quiltFromCounter, TOPICS } from './counter/topics.ts';
export { type Booking, bookingIn, bookingInOldPlan } from './log/booking.ts';
export { LOG_BATCH, type LogEntry, logEntrySchema } from './log/entry.ts';
export { type EntryBody } from './log/kinds.ts';
export { mergeLogs } from './log/merge.ts';
export { ontoCorners, sceneSvg } from './format/scene-svg.ts';
export { type Path, pathData, pathRound } from './geometry/path.ts';
export { type BlockLabel, blockLabels } from './scene/label-scene.ts';
export { type BlockLook, lookOf } from './scene/look.ts';
export { blockLayers, clothLayer, joinLayer, laidLook, quiltScene } from './scene/quilt-scene.ts';
export { type LineKind, type Scene, type SceneItem, type SceneLayer } from './scene/scene.ts';
export { checkScene, checkSide, sheetScenes, templatesScene } from './scene/template-scene.ts';
