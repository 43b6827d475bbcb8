import { applyEdits, type BasinDesign, type Edit, setTo } from '../design/index.ts'
import {
  holdFlows,
  openingFor,
  settingValve,
  type SettingValve,
  valveLossM,
  valvePath,
} from '../editing/index.ts'
import type { FlowTarget } from '../figures/index.ts'
import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import type { Layout } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import { brent } from '../numeric/index.ts'
import type { PumpPart } from '../pump/index.ts'
import { sizedFlows, type SizedFlows } from './sized-flows.ts'

/** A way to set the return: with valves at full speed, with the speed alone, or with both. */
export type School = 'valves' | 'speed' | 'both'

/** A valve's place and the opening it is set to. */
export interface SetValve {
  readonly lineId: string
  readonly pieceId: string
  readonly opening: number
}

/** What a line gets beside what is wanted for it. */
export interface LineAgainstTarget {
  readonly lineId: string
  readonly flowM3PerS: number
  readonly targetM3PerS: number
  /** (flow − target)/target. */
  readonly off: number
}

/** One way to come near the targets, and what it costs. */
export interface BalanceOption {
  readonly school: School
  readonly speed: number
  readonly valves: readonly SetValve[]
  readonly lines: readonly LineAgainstTarget[]
  /** Largest miss of any target, as a share of it. */
  readonly worstOff: number
  readonly wirePowerW: number
  /** Of the power in the water, what is lost in the valves that are turned. */
  readonly wastedW: number
  /** How much the first target's flow moves with the smallest step: 1 % of speed, or 1 % of its valve. */
  readonly finestStepM3PerS: number
  /** The pump runs at one speed: so it would be if a controller could turn it down. */
  readonly hypothetical: boolean
  readonly edits: readonly Edit[]
}

/**
 * Three ways to bring the targets, side by side. The valves' openings are found all at once: every
 * target is held, and what each valve must then lose says how far it is open.
 */
export function balance(
  design: BasinDesign,
  targets: readonly FlowTarget[],
  pumpIndex = 0,
): BalanceOption[] {
  if (targets.length === 0) return []
  const placed = design.returnSide.pumps[pumpIndex]!
  const part = design.pumps.find(({ id }) => id === placed.pumpId)!
  const search: Search = { design, targets, pumpIndex }
  const valves = optionOf(search, 'valves', 1, valveEdits(search, 1))
  const hypothetical = part.control === 'fixed-speed'
  const turned = hypothetical ? { ...search, design: controllable(design, part) } : search
  const least = hypothetical ? LEAST_SPEED : part.leastSpeed
  const open = openEdits(turned)
  const speed = closestSpeed(turned, open, least)
  const both = leastSpeed(turned, least)
  return [
    valves,
    { ...optionOf(turned, 'speed', speed, open), hypothetical },
    { ...optionOf(turned, 'both', both, valveEdits(turned, both)), hypothetical },
  ]
}

/** Least speed of a pump that has no controller, were there one (choice: what many hold). */
const LEAST_SPEED = 0.3

/** The design with a pump of one speed as if its speed could be set. */
function controllable(design: BasinDesign, part: PumpPart): BasinDesign {
  const pumps = design.pumps.map((pump) =>
    pump === part ? { ...pump, control: 'controllable' as const, leastSpeed: LEAST_SPEED } : pump,
  )
  return { ...design, pumps }
}

interface Search {
  readonly design: BasinDesign
  readonly targets: readonly FlowTarget[]
  readonly pumpIndex: number
}

function atSpeed({ design, pumpIndex }: Search, speed: number): Edit[] {
  const at = ['returnSide', 'pumps', pumpIndex] as const
  const { stopped } = design.returnSide.pumps[pumpIndex]!
  return [setTo([...at, 'speed'], speed), ...(stopped ? [setTo([...at, 'stopped'], false)] : [])]
}

const openingOf = ({ lineIndex, piece }: SettingValve) => valvePath(lineIndex, piece)

function settings(layout: Layout, targets: readonly FlowTarget[]): (SettingValve | null)[] {
  return targets.map(({ lineId }) => {
    const index = layout.lines.findIndex(({ line }) => line.id === lineId)
    return index < 0 ? null : settingValve(layout, index)
  })
}

/** Every valve of a target line fully open. */
function openEdits({ design, targets }: Search): Edit[] {
  return settings(steadyState(design).layout, targets).flatMap((setting): Edit[] =>
    setting ? [setTo(openingOf(setting), 1)] : [],
  )
}

/** The openings that bring the targets at a speed; a valve that would have to push stays open. */
function valveEdits(search: Search, speed: number): Edit[] {
  const { design, targets } = search
  const opened = applyEdits(design, [...openEdits(search), ...atSpeed(search, speed)])
  const layout = steadyState(opened).layout
  const valves = settings(layout, targets)
  let held = targets.flatMap((target, i) => {
    const setting = valves[i]
    return setting ? [{ setting, flowM3PerS: target.flowM3PerS }] : []
  })
  // A line that falls short with its valve open is let go, and the others are held again.
  for (let round = 0; round <= targets.length; round++) {
    const { extraLossM } = holdFlows(
      layout,
      layout.problem.links,
      held.map(({ setting, flowM3PerS }) => ({ link: setting.link, flowM3PerS })),
    )
    const short = held.filter((_, i) => extraLossM[i]! < 0)
    if (short.length === 0) {
      const set = held.map(({ setting, flowM3PerS }, i): Edit => {
        const openM = valveLossM(layout, setting, 1, flowM3PerS)
        const opening = openingFor(layout, setting, openM + extraLossM[i]!, flowM3PerS)
        return setTo(openingOf(setting), Math.round(opening * 1e4) / 1e4)
      })
      const turned = new Set(held.map(({ setting }) => setting.lineIndex))
      const rest = valves.flatMap((setting): Edit[] =>
        setting && !turned.has(setting.lineIndex) ? [setTo(openingOf(setting), 1)] : [],
      )
      return [...set, ...rest]
    }
    const worst = short.reduce((a, b) =>
      extraLossM[held.indexOf(a)]! <= extraLossM[held.indexOf(b)]! ? a : b,
    )
    held = held.filter((loose) => loose !== worst)
  }
  return openEdits(search)
}

/** Largest ratio between a flow and its target, either way, as a logarithm: none at all is furthest. */
function furthest({ targets }: Search, { flow }: SizedFlows): number {
  return targets.reduce((most, { lineId, flowM3PerS }) => {
    const now = flow(lineId)
    return Math.max(most, now > 0 ? Math.abs(Math.log(now / flowM3PerS)) : Infinity)
  }, 0)
}

/** The speed at which every flow is as near to its target as it gets, with the valves open. */
function closestSpeed(search: Search, open: readonly Edit[], least: number): number {
  let best = { speed: 1, miss: Infinity }
  for (let percent = Math.ceil(least * 100); percent <= 100; percent++) {
    const speed = percent / 100
    const miss = furthest(search, settled(search, [...open, ...atSpeed(search, speed)]))
    if (miss < best.miss) best = { speed, miss }
  }
  return best.speed
}

/** The least whole percent of speed at which every target that full speed reaches is still reached. */
function leastSpeed(search: Search, least: number): number {
  const reached = (speed: number) =>
    search.targets.every(({ lineId, flowM3PerS }) => {
      const flow = settled(search, [...valveEdits(search, speed), ...atSpeed(search, speed)]).flow(
        lineId,
      )
      return flow >= 0.998 * flowM3PerS
    })
  if (!reached(1)) return 1
  const spare = (speed: number) => (reached(speed) ? 1 : -1)
  if (spare(least) > 0) return Math.ceil(least * 100) / 100
  const found = brent(spare, least, 1, { tolerance: 2e-3 })
  return found.ok ? Math.min(1, Math.ceil(found.value * 100 + 0.2) / 100) : 1
}

function settled({ design, pumpIndex }: Search, edits: readonly Edit[]): SizedFlows {
  return sizedFlows(applyEdits(design, edits), pumpIndex)
}

function worstOff({ targets }: Search, { flow }: SizedFlows): number {
  return targets.reduce(
    (most, { lineId, flowM3PerS }) =>
      Math.max(most, Math.abs(flow(lineId) - flowM3PerS) / flowM3PerS),
    0,
  )
}

function optionOf(
  search: Search,
  school: School,
  speed: number,
  turned: readonly Edit[],
): BalanceOption {
  const { design, targets } = search
  const edits = [...turned, ...atSpeed(search, speed)]
  const after = applyEdits(design, edits)
  const sized = sizedFlows(after, search.pumpIndex)
  const { layout } = sized
  const valves = settings(layout, targets).filter((setting) => setting !== null)
  const wastedM4PerS = valves.reduce((sum, setting) => {
    const flow = Math.max(0, sized.linkFlow(setting.link))
    const { opening } = setting.valve
    const lossM = valveLossM(layout, setting, opening, flow) - valveLossM(layout, setting, 1, flow)
    return sum + (opening > 0 ? flow * lossM : 0)
  }, 0)
  return {
    school,
    speed,
    valves: valves.map(({ lineIndex, valve }) => ({
      lineId: layout.lines[lineIndex]!.line.id,
      pieceId: valve.id,
      opening: valve.opening,
    })),
    lines: targets.map(({ lineId, flowM3PerS }) => ({
      lineId,
      flowM3PerS: sized.flow(lineId),
      targetM3PerS: flowM3PerS,
      off: (sized.flow(lineId) - flowM3PerS) / flowM3PerS,
    })),
    worstOff: worstOff(search, sized),
    wirePowerW: sized.wirePowerW,
    wastedW: layout.water.densityKgPerM3 * GRAVITY_M_PER_S2 * wastedM4PerS,
    finestStepM3PerS: finestStep(search, { school, edits, sized, valve: valves[0] }),
    hypothetical: false,
    edits,
  }
}

const STEP = 0.01

/** A step down, so that an open valve or a pump at full speed can take it. */
function finestStep(
  search: Search,
  {
    school,
    edits,
    sized,
    valve,
  }: {
    readonly school: School
    readonly edits: readonly Edit[]
    readonly sized: SizedFlows
    readonly valve: SettingValve | undefined
  },
): number {
  const { lineId } = search.targets[0]!
  const byValve = school !== 'speed' && valve
  const step: Edit = byValve
    ? setTo(openingOf(valve), Math.max(0.01, valve.valve.opening - STEP))
    : setTo(['returnSide', 'pumps', search.pumpIndex, 'speed'], sized.speed - STEP)
  const moved = settled(search, [...edits, step]).flow(lineId)
  return Math.abs(sized.flow(lineId) - moved)
}
