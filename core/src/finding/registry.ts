import { OF_BUILDING } from './build/of-building.ts'
import { chamberWithoutFlow } from './place/chamber-without-flow.ts'
import { drainOutsideBox } from './place/drain-outside-box.ts'
import { drainOutsideChamber, lineOutsideChamber } from './place/end-outside-chamber.ts'
import { holeOutsideBox } from './place/hole-outside-box.ts'
import { levelBelowFloor } from './place/level-below-floor.ts'
import { pipeThroughPanel } from './place/pipe-through-panel.ts'
import { pumpDoesNotFit } from './place/pump-too-large.ts'
import { pumpOutsideChamber } from './place/pump-outside-chamber.ts'
import { chamberCases } from './case/chamber-case.ts'
import {
  type DeviceCase,
  deviceCases,
  skimmerCases,
  type SterilizerCase,
  sterilizerCases,
} from './case/device-case.ts'
import { type DrainCase, drainCases } from './case/drain-case.ts'
import { type FeedCase, feedCases } from './case/feed-case.ts'
import { type LineCase, lineCases } from './case/line-case.ts'
import { heatCases } from './case/heat-case.ts'
import { outageCases } from './case/outage-case.ts'
import { type OverflowCase, overflowCases } from './case/overflow-case.ts'
import { pumpCases } from './case/pump-case.ts'
import { tankCases } from './case/tank-case.ts'
import type { Whole } from './case/whole.ts'
import { cannotLiftOut } from './device/cannot-lift-out.ts'
import { deviceDoesNotFit } from './device/device-does-not-fit.ts'
import { deviceMeetsSump, devicesCollide } from './device/devices-collide.ts'
import { noHandRoom } from './device/no-hand-room.ts'
import { outsideWindow } from './device/outside-window.ts'
import { blockedPipeHeld } from './drains/blocked-pipe-held.ts'
import { boxWithoutDrain } from './drains/box-without-drain.ts'
import { drainTooLevel } from './drains/drain-too-level.ts'
import { emergencyCannotCarry } from './drains/emergency-cannot-carry.ts'
import { emergencyNotSure } from './drains/emergency-not-sure.ts'
import { emergencyOnlyFull } from './drains/emergency-only-full.ts'
import { emergencyWet } from './drains/emergency-wet.ts'
import { joinedDrains } from './drains/joined-drains.ts'
import { siphonCannotMatch } from './drains/siphon-cannot-match.ts'
import { siphonMayNotStart } from './drains/siphon-may-not-start.ts'
import { siphonNearAir } from './drains/siphon-near-air.ts'
import { siphonUntuned } from './drains/siphon-untuned.ts'
import { ventedLoud } from './drains/vented-loud.ts'
import type { FindingCode } from './codes.ts'
import { byDrawing } from './drawn-rule.ts'
import type { Finding } from './finding.ts'
import { heaterCouldCook } from './heat/heater-could-cook.ts'
import { heaterHolds } from './heat/heater-holds.ts'
import { heaterNearItsLimit } from './heat/heater-near-its-limit.ts'
import { heaterTooSmall } from './heat/heater-too-small.ts'
import { waterTooWarm } from './heat/water-too-warm.ts'
import { holeTooNear } from './overflow/hole-too-near.ts'
import { hungLosesPrime } from './overflow/hung-loses-prime.ts'
import { letsAnimalsThrough } from './overflow/lets-animals-through.ts'
import { teethDrowned } from './overflow/teeth-drowned.ts'
import { runsOverNow } from './overflow/runs-over-now.ts'
import { temperedPanel } from './overflow/tempered-panel.ts'
import { weirTooShort } from './overflow/weir-too-short.ts'
import { checkValveOnlyGuard } from './return/check-valve-only-guard.ts'
import { flowAsWanted } from './return/flow-as-wanted.ts'
import { flowPast } from './return/flow-past.ts'
import { flowShort } from './return/flow-short.ts'
import { flowsBack } from './return/flows-back.ts'
import { hardElbowsInARow } from './return/hard-elbows-in-a-row.ts'
import { hoseTooShort } from './return/hose-too-short.ts'
import { missesItsPlace } from './return/misses-its-place.ts'
import { mouthOutsideTank } from './return/mouth-outside-tank.ts'
import { mouthUnderWater } from './return/mouth-under-water.ts'
import { noFlowAtThisSpeed } from './return/no-flow-at-this-speed.ts'
import { noFoulingReserve } from './return/no-fouling-reserve.ts'
import { noUnionAtPump } from './return/no-union-at-pump.ts'
import { outletMismatch } from './return/outlet-mismatch.ts'
import { pastKnownCurve } from './return/past-known-curve.ts'
import { piecesAfterNozzle } from './return/pieces-after-nozzle.ts'
import { pumpDrawsAir } from './return/pump-draws-air.ts'
import { joinDoesNotMeet, startDoesNotMeet } from './return/sizes-do-not-meet.ts'
import { spareWithoutValve } from './return/spare-without-valve.ts'
import { takeoffOffTarget } from './return/takeoff-off-target.ts'
import { tankUnfed } from './return/tank-unfed.ts'
import { turnWithoutElbow } from './return/turn-without-elbow.ts'
import { couldNotSolve } from './return/unsettled.ts'
import { valveDoesPumpsWork } from './return/valve-does-pumps-work.ts'
import { valveShut } from './return/valve-shut.ts'
import { waterTooFast } from './return/water-too-fast.ts'
import { type Asked, each, type Occurrence, type RuleWords } from './rule.ts'
import { bySeverity } from './severity.ts'
import { cupStaysOn } from './skimmer/cup-stays-on.ts'
import { skimmerDepthOff } from './skimmer/skimmer-depth.ts'
import { skimmerFits } from './skimmer/skimmer-fits.ts'
import { skimmerRecirculates } from './skimmer/skimmer-recirculates.ts'
import { skimmerTooLarge } from './skimmer/skimmer-too-large.ts'
import { skimmerTooSmall } from './skimmer/skimmer-too-small.ts'
import { skimmerWithoutWater } from './skimmer/skimmer-without-water.ts'
import { topOffGivesUp } from './skimmer/top-off-gives-up.ts'
import { doseReached } from './sterilizer/dose-reached.ts'
import { doseShort } from './sterilizer/dose-short.ts'
import { lampCannotBeDrawn } from './sterilizer/lamp-cannot-be-drawn.ts'
import { lampGluedIn } from './sterilizer/lamp-glued-in.ts'
import { lampOld } from './sterilizer/lamp-old.ts'
import { lampWithoutFlow } from './sterilizer/lamp-without-flow.ts'
import { meterNotUpright } from './sterilizer/meter-not-upright.ts'
import { meterOffScale } from './sterilizer/meter-off-scale.ts'
import { portsDoNotMeet } from './sterilizer/ports-do-not-meet.ts'
import { aboveFillLine } from './sump/above-fill-line.ts'
import { bubblesGoDownTrap, drainsBesidePump } from './sump/bubbles-reach-pump.ts'
import { chamberRunsOver } from './sump/chamber-runs-over.ts'
import { chamberStarved } from './sump/chamber-starved.ts'
import { chamberTooShort } from './sump/chamber-too-short.ts'
import { lightLeaks } from './sump/light-leaks.ts'
import { outageElsewhere } from './sump/outage-elsewhere.ts'
import { outageHeld } from './sump/outage-held.ts'
import { runsDrySoon } from './sump/runs-dry-soon.ts'
import { chamberDepth } from './sump/skimmer-depth.ts'
import { sumpTooSmall } from './sump/sump-too-small.ts'
import { wallBelowNext } from './sump/wall-below-next.ts'
import { littleFreeboard } from './tank/little-freeboard.ts'
import { noNetWater } from './tank/no-net-water.ts'
import { rimOverPanels } from './tank/rim-over-panels.ts'
import { waterOverRim } from './tank/water-over-rim.ts'

/** Every case of a design that rules are asked about. */
interface Cases {
  readonly whole: Whole
  readonly lines: readonly LineCase[]
}

const OF_TANK = [rimOverPanels, waterOverRim, littleFreeboard, noNetWater]

/** Why nothing, or the wrong thing, comes out of a line's end. */
const OF_IDLE_LINE = [valveShut, flowsBack, noFlowAtThisSpeed]

const OF_FEED: readonly Asked<FeedCase>[] = [
  tankUnfed,
  each(
    ({ feeding }: FeedCase) => feeding.filter(({ solved }) => solved.status !== 'flows'),
    ...OF_IDLE_LINE,
  ),
  flowShort,
  flowPast,
  flowAsWanted,
]

const OF_LINE: readonly Asked<LineCase>[] = [
  each(
    (line: LineCase) => (line.laid.line.end.at === 'chamber' ? [line] : []),
    flowsBack,
    takeoffOffTarget,
  ),
  byDrawing(
    missesItsPlace,
    pipeThroughPanel,
    lineOutsideChamber,
    turnWithoutElbow,
    hoseTooShort,
    piecesAfterNozzle,
    hardElbowsInARow,
    spareWithoutValve,
  ),
  mouthOutsideTank,
  mouthUnderWater,
  outletMismatch,
  startDoesNotMeet,
  joinDoesNotMeet,
  waterTooFast,
  checkValveOnlyGuard,
]

const OF_PUMP = [
  pastKnownCurve,
  noFoulingReserve,
  valveDoesPumpsWork,
  noUnionAtPump,
  pumpDrawsAir,
  pumpOutsideChamber,
  pumpDoesNotFit,
]

const OF_DRAIN: readonly Asked<DrainCase>[] = [
  byDrawing(drainOutsideBox, drainOutsideChamber),
  siphonCannotMatch,
  siphonUntuned,
  siphonNearAir,
  siphonMayNotStart,
  emergencyWet,
  emergencyNotSure,
  emergencyOnlyFull,
  ventedLoud,
  drainTooLevel,
  joinedDrains,
]

const OF_OVERFLOW: readonly Asked<OverflowCase>[] = [
  runsOverNow,
  teethDrowned,
  weirTooShort,
  letsAnimalsThrough,
  byDrawing(temperedPanel, holeTooNear, holeOutsideBox),
  hungLosesPrime,
  boxWithoutDrain,
  each(drainCases, ...OF_DRAIN),
  emergencyCannotCarry,
  blockedPipeHeld,
]

const OF_OUTAGE = [outageHeld, outageElsewhere, sumpTooSmall, aboveFillLine]

const OF_SUMP = [runsDrySoon, drainsBesidePump, bubblesGoDownTrap]

const OF_CHAMBER = [
  chamberStarved,
  chamberWithoutFlow,
  levelBelowFloor,
  chamberRunsOver,
  wallBelowNext,
  chamberDepth,
  chamberTooShort,
  lightLeaks,
]

const OF_SKIMMER = [
  skimmerWithoutWater,
  skimmerFits,
  skimmerTooSmall,
  skimmerTooLarge,
  skimmerDepthOff,
  cupStaysOn,
  skimmerRecirculates,
  topOffGivesUp,
]

const OF_STERILIZER: readonly Asked<SterilizerCase>[] = [
  lampWithoutFlow,
  doseReached,
  doseShort,
  lampOld,
  byDrawing(lampCannotBeDrawn, lampGluedIn, portsDoNotMeet),
]

const OF_DEVICE: readonly Asked<DeviceCase>[] = [
  each(skimmerCases, ...OF_SKIMMER),
  each(sterilizerCases, ...OF_STERILIZER),
  meterOffScale,
  outsideWindow,
  byDrawing(
    meterNotUpright,
    deviceDoesNotFit,
    devicesCollide,
    deviceMeetsSump,
    noHandRoom,
    cannotLiftOut,
  ),
]

const OF_HEAT = [heaterTooSmall, heaterNearItsLimit, heaterHolds, heaterCouldCook, waterTooWarm]

/** A return side that could not be solved says that and nothing else of its flow. */
const isSolved = ({ whole }: Cases) => whole.returnSide.unsettledLineId === null

/** Every rule there is, asked in the order of the water's way. */
const REGISTRY: Asked<Cases> = each(
  (all: Cases) => [all],
  each(({ whole }: Cases) => tankCases(whole), ...OF_TANK),
  each((all: Cases) => (isSolved(all) ? [] : all.lines), couldNotSolve),
  each((all: Cases) => (isSolved(all) ? feedCases(all.whole, all.lines) : []), ...OF_FEED),
  each(({ lines }: Cases) => lines, ...OF_LINE),
  each(({ lines }: Cases) => pumpCases(lines), ...OF_PUMP),
  each(({ whole }: Cases) => overflowCases(whole), ...OF_OVERFLOW),
  each(({ whole }: Cases) => outageCases(whole), ...OF_OUTAGE),
  each(({ whole }: Cases) => [whole], ...OF_SUMP),
  each(({ whole }: Cases) => chamberCases(whole), ...OF_CHAMBER),
  each(({ whole, lines }: Cases) => deviceCases(whole, lines), ...OF_DEVICE),
  each(({ whole }: Cases) => heatCases(whole), ...OF_HEAT),
  each(({ whole }: Cases) => (whole.isBuilt ? [whole] : []), OF_BUILDING),
)

/** Every rule, once; several may share a code. */
export const RULES: readonly RuleWords[] = [...new Set(REGISTRY.rules)]

/** Codes of what is found of a design as it is built: after the frame, from its sheet. */
export const BUILD_CODES: ReadonlySet<FindingCode> = new Set(
  OF_BUILDING.rules.map(({ code }) => code),
)

/** All that is found of a design, with what it was found of; in the order of the water's way. */
export function occurrencesIn(whole: Whole): readonly Occurrence[] {
  const found: Occurrence[] = []
  REGISTRY.ask({ whole, lines: lineCases(whole) }, found)
  return found
}

/** Every finding, worst first; within one severity in the order the water passes. */
export function findingsOf(whole: Whole): Finding[] {
  return bySeverity(occurrencesIn(whole).map(({ finding }) => finding))
}

/** What is found of it as it is built, and nothing else. */
export function findingsOfBuilding(whole: Whole): Finding[] {
  const found: Occurrence[] = []
  OF_BUILDING.ask(whole, found)
  return bySeverity(found.map(({ finding }) => finding))
}
