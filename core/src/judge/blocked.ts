import { swayM } from '../design/index.ts'
import { type BandedFlow, flowShareOf, levelBandsM, type SolvedDrain } from '../figures/index.ts'
import {
  BoxSearch,
  chamberLevelM,
  type LaidDrain,
  levelsOver,
  type Overflowing,
  type SteadyState,
  type TankLevels,
} from '../loop/index.ts'
import type { DrillSaid } from './drilled.ts'
import { flatMap } from '../numeric/index.ts'

/** What happens with one pipe, or what a join makes one, blocked. */
export interface BlockedRow {
  /** Of the pipes that carry nothing. */
  readonly drainIds: readonly string[]
  readonly name: string
  /** Of the display; Infinity never: a level that spills stands at the rim. */
  readonly surfaceM: number
  readonly boxM: number | null
  readonly carries: boolean
  /** To the rim it would spill over first, less waves and what the tank is out of level, m; zero when it spills. */
  readonly marginM: number
  /** How far the margin may be off, m. */
  readonly marginBandM: number
  /** The level sensor stops the pump before it spills. */
  readonly sensorStops: boolean
  /** An emergency that carries water here, and whose carrying is doubtful; null: none. */
  readonly leansOnId: string | null
  /** The margin that counts, m: of the steady state, and of its drill once that is known; null: it spills. */
  readonly leftM: number | null
  /** What its drill came to, once that is known. */
  readonly drilled: DrillSaid | null
  /** fine: what is left carries it, with more to the rim than that may be off. watch: just so, by a doubtful emergency, or a sensor stops it. */
  readonly verdict: 'fine' | 'watch' | 'stop'
}

/** What a row is judged with: the flow that comes, and how each drain would do its work. */
export interface BlockedBeside extends BandedFlow {
  readonly drains: readonly SolvedDrain[]
}

/** Every single pipe blocked in turn; pipes that join go together too. A pipe that is dry is not missed. */
export function blockedRows(
  steady: SteadyState,
  overflowing: Overflowing,
  running: TankLevels,
  { flowM3PerS, flowBandM3PerS, drains }: BlockedBeside,
): BlockedRow[] {
  const allowsM = swayM(steady.design.allowances)
  const share = flowShareOf({ flowM3PerS, flowBandM3PerS })
  const doubtful = overflowing.drains.filter(
    ({ index }) => drains[index]!.emergency?.verdict === 'watch',
  )
  const near = { levelM: running.boxM ?? NaN, drainFlows: steady.drainFlows }
  const search = new BoxSearch(overflowing.box, near)
  search.endAgainst((id) => chamberLevelM(steady, id))
  const without = (drainIds: readonly string[]) =>
    levelsOver(overflowing, search, flowM3PerS, new Set(drainIds))
  return causesOf(overflowing.drains).map((cause) => {
    const drainIds = cause.map(({ drain }) => drain.id)
    const missed = cause.some(({ index }) => steady.drainFlows[index]! > 0)
    const levels = missed ? without(drainIds) : running
    const name = cause.map(({ drain }) => drain.name).join(' and ')
    const { boxM } = levels
    const leansOn = doubtful.find(
      ({ drain, lipM }) => boxM !== null && boxM > lipM && !drainIds.includes(drain.id),
    )
    const leansOnId = leansOn?.drain.id ?? null
    return rowOf(overflowing, levels, { drainIds, name, share, leansOnId, allowsM })
  })
}

/** What one blockage can take: each pipe, and each join's two. */
function causesOf(drains: readonly LaidDrain[]): LaidDrain[][] {
  const joined = flatMap(drains, (laid) => {
    const trunk = drains.find(({ drain }) => drain.id === laid.trunkId)
    return trunk ? [[trunk, laid]] : []
  })
  return [...drains.map((laid) => [laid]), ...joined]
}

interface RowBeside extends Pick<BlockedRow, 'drainIds' | 'name' | 'leansOnId'> {
  /** What waves and a tank out of level take of its margin, m. */
  readonly allowsM: number
  /** Share by which the flow may be off. */
  readonly share: number
}

function rowOf(
  overflowing: Overflowing,
  levels: TankLevels,
  { drainIds, name, share, leansOnId, allowsM }: RowBeside,
): BlockedRow {
  const { surfaceM, boxM, spills } = levels
  const { tank, overflow } = overflowing
  const tankLeft = tank.floorHeightM + tank.rimM - surfaceM - allowsM
  const bands = levelBandsM(overflowing, levels, share)
  const boxLeft =
    overflow.box && overflow.form !== 'inner-box'
      ? tank.floorHeightM + overflow.box.rimM - (boxM ?? -Infinity)
      : Infinity
  const sensorM = overflow.sensorM === null ? Infinity : tank.floorHeightM + overflow.sensorM
  const carries = spills === null
  const marginM = carries ? Math.max(0, Math.min(tankLeft, boxLeft)) : 0
  const marginBandM = tankLeft <= boxLeft ? bands.surfaceM : bands.boxM
  const sensorStops = (boxM ?? surfaceM) >= sensorM
  const isSure = carries && marginM > marginBandM && leansOnId === null
  return {
    drainIds,
    name,
    surfaceM,
    boxM,
    carries,
    marginM,
    marginBandM,
    sensorStops,
    leansOnId,
    leftM: carries ? marginM : null,
    drilled: null,
    verdict: isSure ? 'fine' : carries || sensorStops ? 'watch' : 'stop',
  }
}
