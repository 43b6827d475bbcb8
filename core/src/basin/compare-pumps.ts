import type { BasinDesign } from '../design/index.ts'
import type { SolvedPump } from '../figures/index.ts'
import { steadyState } from '../loop/index.ts'
import { pumpCurve, type PumpPart } from '../pump/index.ts'
import { type HeadPoint, pumpPoints, systemCurve } from './curves.ts'
import { solveBasin } from './solve.ts'
import { pumpSwappedIn } from './swap.ts'

/** One pump in a pump's place: its curves, and how it would run. */
export interface ComparedPump {
  readonly part: PumpPart
  /** At the speed it is compared at. */
  readonly curve: readonly HeadPoint[]
  /** At a family of speeds, where it has them. */
  readonly family: readonly { readonly speed: number; readonly points: readonly HeadPoint[] }[]
  /** As the whole design is solved with it. */
  readonly solved: SolvedPump
  readonly intoTanksM3PerS: number
  readonly intoTanksBandM3PerS: number
  readonly turnoverPerH: number | null
}

/** Pumps side by side in one place of a design, and what their line asks of each. */
export interface PumpComparison {
  /** What the network asks of the pump in that place. */
  readonly system: readonly HeadPoint[]
  readonly pumps: readonly ComparedPump[]
}

/** Speeds drawn for a controllable pump. */
const FAMILY = [1, 0.85, 0.7, 0.55, 0.4]

/** Any number of pumps in one place of a design, each solved with everything else as it is. */
export function comparePumps(
  design: BasinDesign,
  placedId: string,
  chosen: readonly { readonly part: PumpPart; readonly speed: number }[],
  samples = 40,
): PumpComparison {
  const widest = chosen.reduce<PumpPart | null>(
    (most, { part }) =>
      most && pumpCurve(most).freeFlowM3PerS >= pumpCurve(part).freeFlowM3PerS ? most : part,
    null,
  )
  const reach = steadyState(widest ? pumpSwappedIn(design, widest, placedId) : design).layout
  const pump = reach.pumps.find(({ placed }) => placed.id === placedId)
  return {
    system: pump ? systemCurve(reach, pump, samples) : [],
    pumps: chosen.map(({ part, speed }) => compared(design, { placedId, part, speed, samples })),
  }
}

function compared(
  design: BasinDesign,
  {
    placedId,
    part,
    speed,
    samples,
  }: {
    readonly placedId: string
    readonly part: PumpPart
    readonly speed: number
    readonly samples: number
  },
): ComparedPump {
  const { returnSide } = solveBasin(pumpSwappedIn(design, part, placedId, speed))
  const curve = pumpCurve(part)
  const controllable = part.control === 'controllable'
  return {
    part,
    curve: pumpPoints(curve, controllable ? speed : 1, samples),
    family: controllable
      ? FAMILY.filter((atSpeed) => atSpeed >= part.leastSpeed).map((atSpeed) => ({
          speed: atSpeed,
          points: pumpPoints(curve, atSpeed, samples),
        }))
      : [],
    solved: returnSide.pumps.find((pump) => pump.placedId === placedId)!,
    intoTanksM3PerS: returnSide.flowM3PerS,
    intoTanksBandM3PerS: returnSide.flowBandM3PerS,
    turnoverPerH: returnSide.turnoverPerH,
  }
}
