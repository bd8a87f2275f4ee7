/** The whole public face of the core. Everything outside imports from here. */
export { type Advice } from './quilt/advice.ts';
export { blockChoices, type SizeChoice } from './block/choices.ts';
export { begin, type Beginning, BORDERS_OFFERED } from './beginning/begin.ts';
export { gridFor } from './beginning/grid-for.ts';
export { withSaidPile } from './beginning/blocks-of.ts';
export { readMeasurements } from './beginning/measurements.ts';
export {
  type PileLine,
  pileLineWords,
  readPileLine,
  type SizeMeant,
  withMeant,
} from './beginning/pile-line.ts';
export { proposedCut } from './block/usual-size.ts';
export { seamDrift, seamsAlong, testStrip, testTarget } from './block/drift.ts';
export { measureOf } from './block/measure.ts';
export { type Pile } from './pile/pile.ts';
export { type RowScatter, type RowSpread, simulateRow } from './block/simulate.ts';
export { type CutTo, type Verdict, VERDICT_NAMES, verdictOn } from './block/verdict.ts';
export { BORDER_CORNERS, type BorderCorners, CORNER_NAMES } from './choice/border-corners.ts';
export {
  CHECKER_ROWS,
  MADE_NAMES,
  PIECED_CORNER_NAMES,
  PIECED_CORNERS,
  PIECED_KINDS,
  PIECED_NAMES,
  type PiecedCorner,
  type PiecedKindId,
  type UnitsMade,
} from './choice/pieced-borders.ts';
export { piecedSays } from './border/words.ts';
export { withPieced } from './border/pieced/choose.ts';
export { piecedKind } from './border/pieced/registry.ts';
export { isSpacerSewn, repeatsOf, spacerFits, withSpacer } from './border/spacer.ts';
export { isMeasured, isMeasuredBothWays, judgeTop, type TopSize } from './border/sizes.ts';
export { buysTheSame, type Change, changesBetween } from './quilt/changes.ts';
export { computeQuilt, computingAgain, cuttingJob, finishedSize, layOutAgain } from './quilt/compute.ts';
export type { Quilt } from './quilt/quilt.ts';
export { toTheEnd } from './quilt/parts.ts';
export {
  type CuttingJob,
  type CuttingWay,
  cuttingWay,
  type FoundSheet,
  longerSearch,
} from './cutting/ways.ts';
export { type Manner as CuttingManner } from './placing/views.ts';
export { type Fold, FOLDS, stepInHand, stepSays } from './cutting/step-words.ts';
export { type CuttingStep } from './cutting/steps.ts';
export { pressingOf, type Sewing, sewingOf, type SewingWay } from './sewing/sewing.ts';
export { type ChosenSewing, chosenSewing } from './sewing/chosen.ts';
export { guideOf } from './sewing/guide.ts';
export { CAUTIONS } from './choice/cautions.ts';
export { TIPS } from './choice/tips.ts';
export { cautionsOf, type GuideStep } from './sewing/guide-step.ts';
export { easeSays, judgePart, partSays, type PartSize } from './sewing/part-sizes.ts';
export { howSidesLie } from './sewing/seam-lie.ts';
export { rawSizeOf, type SeamParts, seamParts } from './sewing/parts.ts';
export {
  type Act,
  afterPiece,
  type AtMachine,
  atMachine,
  actsWith,
  placedBefore,
  type Placing,
  rowsOf,
  seamKey,
  sidesOf,
} from './sewing/machine.ts';
export { type SeamWords, seamWords } from './sewing/words.ts';
export { centreWithSeamError } from './sewing/seam-error.ts';
export { PRESS_RULES } from './sewing/press-rules.ts';
export { type Pressing } from './sewing/pressing.ts';
export { logInCopy } from './log/in-copy.ts';
export { type SewRecord, sewRecord } from './log/sew-record.ts';
export { sewingJson } from './format/sewing-json.ts';
export { planKey } from './format/plan-key.ts';
export { cutTree } from './cutting/cut-tree.ts';
export { type ClothBox, type Placed } from './cutting/placed.ts';
export { hasLongSashes } from './cutting/over-long.ts';
export { type Waiting, waitingOf, waitOf } from './cutting/waits.ts';
export { atTable, type TableCloth, type TableStep } from './table/at-table.ts';
export { openedSays, partsFrom, stepDoneLast, nextStep, stepOpened } from './table/in-hand.ts';
export { shortSays, toBuy, type ToBuy } from './table/to-buy.ts';
export { leftoverEntries, planEntry, stepEntry } from './table/entries.ts';
export { type CutRecord, cutRecord } from './log/cut-record.ts';
export { type StashPiece, stashIn } from './log/stash.ts';
export { STASH, STASH_KINDS, type StashKind } from './log/stash-words.ts';
export { setAsideFor, stockFor, stockPlace } from './table/set-aside.ts';
export { aroundFlaw } from './table/around-flaw.ts';
export { enoughOf } from './table/enough.ts';
export { fromStash, type FromStashWay } from './finder/from-stash.ts';
export { spokenCut, spokenList } from './shopping/spoken.ts';
export { boughtIn } from './log/bought.ts';
export { holdsIn } from './log/shop-holds.ts';
export {
  type ShopAnswer,
  shopAnswerSchema,
  type ShopList,
  shopListSchema,
  type ShopOffer,
  type ShopOrder,
  shopOrderSchema,
} from './shopping/shop.ts';
export { readStashCsv, writeStashCsv } from './format/stash-csv.ts';
export { readCuttingProblems, solveCuttingProblem } from './format/cutting-problems.ts';
export { type Cut } from './cut/cut.ts';
export { type CutLine } from './cut/line.ts';
export { allowanceFor } from './shopping/buy.ts';
export { type JoinLine } from './cutting/join-lines.ts';
export { type BiasStrip, longAndShort } from './edge/bias.ts';
export { type Binding } from './edge/binding.ts';
export { pointsSewn, pointsSewnSays } from './edge/points-sewn.ts';
export { bindingSteps } from './edge/binding-steps.ts';
export { bindingStripsSay, joinSays } from './edge/binding-words.ts';
export { FLOAT_SAYS } from './setting/edge-triangles.ts';
export { edgeBeyond, finishOf, wholeFinish } from './edge/finish/registry.ts';
export type { FinishedEdge, FinishLine } from './edge/finish/finish.ts';
export { shortStripsSay } from './edge/strips-as-cut.ts';
export { quiltAsCut } from './quilt/edge-as-cut.ts';
export { finishedWidth } from './edge/binding-widths.ts';
export { type BindingJoin } from './edge/binding-joins.ts';
export {
  BINDING_GRAINS,
  CLOSING_STEPS,
  EDGE_FINISHES,
  EDGE_SHAPE_NAMES,
  EDGE_SHAPES,
  type EdgeFinish,
  type EdgeShape,
  FACING_CORNER_NAMES,
  FACING_CORNERS,
  FINISH_NAMES,
  FOLD_NAMES,
  GRAIN_NAMES,
  POINT_FOLDS,
  POINTS_SEWN,
  type PointsSewn,
  SEWN_NAMES,
  type Side,
  SIDES,
} from './choice/edge.ts';
export { bindingBySchool, type Edge, type EdgePoints, planEdge } from './edge/edge.ts';
export { type Scallops } from './edge/scallops.ts';
export { scallopTemplates, sheetsOf, type Template } from './edge/template.ts';
export { joinedStrips } from './cutting/join-words.ts';
export { pointAt } from './edge/along.ts';
export { type EdgeOutline, edgeOutline, edgePath, edgePolygon, isCornered } from './edge/outline.ts';
export { pointBase, pointHeight } from './edge/prairie-points.ts';
export { BINDING_SCHOOLS, SCHOOL_NAMES } from './choice/binding-schools.ts';
export { differenceOf, labOf, valueOf } from './colour/colour.ts';
export { FACE_NAMES, type FaceName, FACES } from './face/face.ts';
export { type Figure, numberOf } from './figure/figure.ts';
export { readBlocksCsv, type ReadBlocks, writeBlocksCsv } from './format/blocks-csv.ts';
export { readPlanJson, writePlanJson } from './format/plan-json.ts';
export { type Backing } from './layer/backing.ts';
export type { BackingOption } from './layer/backing-option.ts';
export { type BattingOption } from './layer/batting.ts';
export { BACKING_WAYS, MARKING_NAMES, MARKINGS, SEAM_NAMES } from './choice/layers.ts';
export { BATTING_COLOURS, FIBRE_IDS, FIBRES } from './choice/battings.ts';
export { backingCloth, type Layers } from './layer/layers.ts';
export {
  LONG_ARM_PATTERNS,
  type LongArmAnswer,
  longArmAnswerSchema,
  type LongArmJob,
  longArmJobSchema,
} from './layer/long-arm.ts';
export { measuredBacking, SKEW_INCHES } from './layer/made.ts';
export { type Slab } from './layer/slabs.ts';
export { type Layout, layOut } from './layout/lay-out.ts';
export { type GrainMark, grainMark } from './piece/grain.ts';
export { type Orientation, orientationOf } from './layout/orientation.ts';
export { middleOf, nearestSideOf } from './geometry/outline.ts';
export { type Band, type BandHandle, type FabricUse, type Piece, TURN_FABRICS } from './piece/piece.ts';
export type { Point } from './geometry/point.ts';
export { rectangle as rectangleOf } from './geometry/shapes.ts';
export {
  formatFine,
  formatLength,
  formatRun,
  formatSize,
  formatWithUnit,
  unitMark,
} from './length/format.ts';
export { parseLength } from './length/parse.ts';
export { limitIn, rulerFine, rulerNearest } from './length/rounding.ts';
export { atLeast, longer, near, shorter } from './length/tolerance.ts';
export { convertLength, fromInches, rulerStep, type Unit } from './length/unit.ts';
export {
  clothsFor,
  fabricById,
  fabricFor,
  fabricUses,
  isUsed,
  withFabric,
  withoutFabric,
} from './plan/fabric-use.ts';
export { type StockJob } from './plan/cloth-shape.ts';
export { withStock } from './plan/stock.ts';
export { convertPlan } from './plan/convert.ts';
export { excessIn } from './soundness/bounds.ts';
export { LIMITS } from './soundness/limits.ts';
export { planProblems } from './soundness/problems.ts';
export type { Problem } from './refusal/refusal.ts';
export { sizeSoFar } from './quilt/size-so-far.ts';
export { plannedSize } from './soundness/planned-size.ts';
export { readPlan, readPlanShape } from './soundness/read.ts';
export {
  type InStock,
  BLOCK_VALUES,
  BORDER_LIMIT,
  type Fabric,
  type Measured,
  type PileBlock,
  type Plan,
  SCHEMA_VERSION,
  TAG_LIMIT,
  type Target,
} from './plan/shape.ts';
export { addedBorder, blankPlan, startBorder, startPlan, STARTS } from './plan/start.ts';
export { type Stage, STAGES } from './choice/stages.ts';
export { progressOf, stepsAside } from './progress/stages.ts';
export { CLOTH_DIRECTIONS, type ClothDirection, DIRECTION_NAMES } from './cloth/direction.ts';
export {
  type AnySetting,
  lengthsOf,
  settingOf,
  type SettingKind,
  type SettingOptions,
  SETTINGS,
  turnInto,
  withLengths,
} from './setting/registry.ts';
export { type Centre, type Setting, type SettingField } from './setting/setting.ts';
export { type Allowance, shopCut } from './shopping/shop-cut.ts';
export { cutLengthwiseInstead } from './finder/lengthwise.ts';
export { isEnough, waysToUseLessCloth, type WayToUseLess } from './finder/less-cloth.ts';
export { applyFit } from './finder/apply.ts';
export { BEDS, type BedId } from './choice/beds.ts';
export { findFits, type Fit } from './finder/find.ts';
export {
  clothUse,
  type FitRequest,
  fitRequestSchema,
  kindsFor,
  startRequest,
  type Weights,
} from './finder/request.ts';
export { precutsSay } from './finder/cloth.ts';
export { type OnBed, onBed } from './target/on-bed.ts';
export { footRadius, isForBaby, mattress, postCutOut, startBed, targetSize } from './target/size.ts';
export { type Split, splitCounts, splitQuilt } from './finder/split.ts';
export { type Random, randomFrom } from './random/random.ts';
export { arrange, type ArrangeProgress } from './wall/arrange.ts';
export { type Contrast, edgeColours, judgeContrast } from './wall/contrast.ts';
export { type Clash, type ClashReason, clashesOf, scoreOf, type WallScore } from './wall/costs.ts';
export { type Crowd, crowdsOf } from './wall/crowds.ts';
export { type Arrangement, type ArrangeRules, START_RULES, type WallJob } from './wall/job.ts';
export { type WallPlace, type Wall, wallFrom, wallOf } from './wall/wall.ts';
export {
  type RowLabel,
  placesInRows,
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
export { type Answer, type AnswerDrawn, type Flag, type Topic } from './counter/topic.ts';
export { askCounter, flagStart, quiltFromCounter, TOPICS } from './counter/topics.ts';
export { bookingIn } from './log/booking.ts';
export { bookingInOldPlan } from './log/old-booking.ts';
export { LOG_BATCH, type LogEntry, logEntrySchema } from './log/entry.ts';
export { type EntryBody, OF_CLOTH } from './log/kinds/registry.ts';
export { mergeLogs } from './log/merge.ts';
export { mergePlans, withTheirs } from './merge/merge-plans.ts';
export { type BothChanged } from './merge/three-way.ts';
export { nameOfField, sayValue } from './merge/words.ts';
export { cuttingCsv, logCsv, placedCsv, shoppingCsv, timeCsv } from './format/lists-csv.ts';
export { type Marks } from './format/table-csv.ts';
export { asMarkup } from './format/markup.ts';
export { textOf } from './format/text-of.ts';
export { readPalette, writePalette } from './format/palette-gpl.ts';
export { planSchema } from './format/plan-schema.ts';
export { ontoCorners, sceneSvg } from './format/scene-svg.ts';
export { type Path, pathData, pathRound } from './geometry/path.ts';
export { blockLabels } from './scene/label-scene.ts';
export { type BlockLook, lookOf } from './scene/look.ts';
export { blockLayers, clothLayer, joinLayer, quiltScene, seamLayer } from './scene/quilt-scene.ts';
export { type LineKind, type Scene, type SceneItem, type SceneLayer } from './scene/scene.ts';
export { clothScene, cutsScene } from './scene/cuts-scene.ts';
export { templatesOf } from './scene/part-templates.ts';
export { measuredScene, placesScene } from './scene/places-scene.ts';
export { quiltLabelScene, usualLabel } from './scene/quilt-label.ts';
export { stepScene } from './scene/step-scene.ts';
export { bordersScene, edgeScene, layersScene } from './scene/stage-scenes.ts';
export { MEASURING_SHEETS, measuringSheetScene, SHEET_SQUARE } from './scene/measuring-sheet.ts';
export { checkScene, checkSide, sheetScenes, templatesScene, testSquares } from './scene/template-scene.ts';
export { type Work, WORK_WORDS, WORKS } from './choice/works.ts';
export { forgottenClock, type Running, type Sitting, sittingsIn } from './clock/sittings.ts';
export { LIKELY } from './schedule/enough.ts';
export { timeByStep } from './clock/by-step.ts';
export { hodgesLehmann, pacesFrom, studentT90 } from './clock/pace.ts';
export { sayMinutes, saySteps } from './clock/words.ts';
export { JOURNAL_KINDS, type JournalKind, type JournalLine } from './log/line.ts';
export { journalOf } from './journal/lines.ts';
export { planChangesBetween } from './journal/plan-changes.ts';
export { MAKER } from './log/maker.ts';
export { dateOf, dayOf, weekdayOf } from './moment/moment.ts';
export { dueIn, duesIn, type Hours, hoursIn } from './schedule/hours.ts';
export { type QuiltJobs } from './schedule/jobs.ts';
export { type LeftThen, lookBack } from './schedule/look-back.ts';
export {
  type Forecast,
  forecast,
  type ForecastTask,
  type Milestone,
  triangular,
} from './schedule/simulate.ts';
export { type Spent, walk, latest } from './schedule/walk.ts';
export { workLeft } from './schedule/work-left.ts';
export { namesFrom } from './journal/names.ts';
export { journalMarkdown } from './format/journal-md.ts';
export { sizeDoneIn } from './clock/size-done.ts';
export { type DiaryEntry, diaryOf } from './schedule/diary.ts';
export { type RecordField } from './log/record-fields.ts';
export { labelSays, recordCard, recordSaidIn, usualCare } from './record/card.ts';
export {
  type Exercise,
  type ExerciseDrawing,
  type Given,
  isRight,
  type Level,
  LEVELS,
  rightSaid,
} from './practice/exercise.ts';
export { exerciseOf, EXERCISES } from './practice/registry.ts';
export { nextUp, standingsIn } from './practice/spaced.ts';
export { type Giver, giversOf, rowsByTable } from './group/group.ts';
export { HANGING_NAMES, HANGINGS, type HangingKind } from './choice/hanging.ts';
export { PRECUT_IDS, PRECUTS, type PrecutId } from './cloth/precuts.ts';
export { givesSays } from './placing/gives.ts';
export { drawsIn, plannedFor } from './layer/draws-in.ts';
export { measuredAfter, measuredSays, type MeasuredWhen } from './record/measured-after.ts';
export { same } from './document/same.ts';
export { capital } from './figure/many.ts';
