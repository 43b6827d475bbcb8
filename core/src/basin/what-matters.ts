import { applyEdits, type BasinDesign, type Edit, type ReturnLine, setTo } from '../design/index.ts'
import type { SpreadKind } from '../fitting/index.ts'
import { endLink, type Layout, pathTo, pumpOf } from '../layout/index.ts'
import { findSteadyState, steadyState, type SteadyState } from '../loop/index.ts'
import { Bands, makeNetwork, solveNetwork } from '../network/index.ts'
import { nextSizeUp, sizeWords } from '../pipe/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'

/** One thing that a flow's band comes from, the largest first. */
export interface Matter {
  readonly name: Sentence
  /** Of the squared band. */
  readonly share: number
  /** What would make it smaller. */
  readonly shrink: Sentence
}

/** What a flow would be after one step of one choice, all else as it is. */
export interface FlowStep {
  readonly change: Sentence
  readonly flowM3PerS: number
  readonly byM3PerS: number
}

/** What matters most to the flow at a line's end. */
export interface WhatMatters {
  readonly flowM3PerS: number
  readonly bandM3PerS: number
  readonly matters: readonly Matter[]
  readonly steps: readonly FlowStep[]
  /** The same flow were its lift another. */
  readonly lifts: readonly { readonly liftM: number; readonly flowM3PerS: number }[]
}

/** A share smaller than this is not worth a line (choice). */
const WORTH_A_LINE = 0.005
/** One step of each choice (choices). */
const VALVE_STEP = 0.1
const SPEED_STEP = 0.05
const LIFT_STEP_M = 0.1
/** The lift is swept so far below and above what it is, in this many steps. */
const LIFT_SWEEP_M = 0.6
const LIFT_POINTS = 7

const KINDS: Readonly<Record<SpreadKind, { readonly name: string; readonly shrink: string }>> = {
  fittings: {
    name: 'Fittings, unions, adapters',
    shrink:
      'Fewer of them, or sweeps for elbows; measured at the nozzle it is known better at once.',
  },
  tees: {
    name: 'Tees',
    shrink: 'Measure the flow at this end: how a tee divides is known no better on paper.',
  },
  'part-closed-valves': {
    name: 'Valves part closed',
    shrink: 'Open them and slow the pump, or measure the flow once they are set.',
  },
  devices: { name: 'Devices and makers’ figures', shrink: 'Measure the flow through them.' },
  friction: { name: 'Friction in the pipe', shrink: 'Measure the pipe’s bore and write it in.' },
}

/** What brings the band of the flow at a line's end, and what moves that flow; null where nothing flows. */
export function whatMatters(design: BasinDesign, lineId: string): WhatMatters | null {
  const steady = steadyState(design)
  const { layout, network, solution } = steady
  const index = layout.lines.findIndex(({ line }) => line.id === lineId)
  if (index < 0 || solution.unsettledLinkId !== null) return null
  const link = endLink(layout, index)
  const flowM3PerS = solution.flows.flowsM3PerS[link]!
  if (flowM3PerS === 0) return null
  const { band, shareOfKind, shareOfPump } = new Bands(network).ofFlow(link)
  const kinds = Object.entries(shareOfKind).map(([kind, share]): Matter => {
    const { name, shrink } = KINDS[kind as SpreadKind]
    return { name: sentence(name), share, shrink: sentence(shrink) }
  })
  const pumps = shareOfPump.map((pump) => ofPump(layout, pump))
  return {
    flowM3PerS,
    bandM3PerS: band,
    matters: [...pumps, ...kinds]
      .filter(({ share }) => share >= WORTH_A_LINE)
      .sort((a, b) => b.share - a.share),
    steps: [
      ...stepsOf(design, layout, index).map(({ change, edits }) => ({
        change,
        flowM3PerS: flowAfter(applyEdits(design, edits), lineId, steady),
      })),
      {
        change: sentence('Lift {less} less', { less: ['length', LIFT_STEP_M] }),
        flowM3PerS: flowAtLift(layout, index, solution.flows.flowsM3PerS, -LIFT_STEP_M),
      },
    ]
      .map((step) => ({ ...step, byM3PerS: step.flowM3PerS - flowM3PerS }))
      .filter(({ byM3PerS }) => Number.isFinite(byM3PerS))
      .sort((a, b) => Math.abs(b.byM3PerS) - Math.abs(a.byM3PerS)),
    lifts: liftsOf(layout, index, solution.flows.flowsM3PerS),
  }
}

/** The flow at a line's end in a design that is tried and thrown away: nobody else will ask for it. */
function flowAfter(design: BasinDesign, lineId: string, near: SteadyState): number {
  const { layout, solution } = findSteadyState(design, { near })
  const index = layout.lines.findIndex(({ line }) => line.id === lineId)
  return solution.flows.flowsM3PerS[endLink(layout, index)]!
}

function ofPump(layout: Layout, { link, share }: { link: number; share: number }): Matter {
  const pump = layout.pumps.find(
    ({ lineIndex }) => lineIndex !== null && layout.segments[lineIndex]![0]!.link === link,
  )!
  return {
    name: sentence('The pump’s curve, {pump}', { pump: pump.part.name }),
    share,
    shrink: sentence(
      pump.curve.twoNumber
        ? 'Its curve is a guess between two numbers: give its printed points, or time a bucket at the nozzle.'
        : 'Measure the pump: time a bucket at the nozzle.',
    ),
  }
}

/** A choice a step further. */
interface Step {
  readonly change: Sentence
  readonly edits: readonly Edit[]
}

/** A step of each choice on the way of a line's water. */
function stepsOf(design: BasinDesign, layout: Layout, index: number): Step[] {
  const path = pathTo(layout, index)
  const lines = path.map(({ lineIndex }) => design.returnSide.lines[lineIndex]!)
  const steps = path.flatMap(({ lineIndex, pieces }, i) => {
    const line = lines[i]!
    const passed = new Set(pieces.map(({ id }) => id))
    return [
      ...boreUp(line, lineIndex),
      ...elbowLess(line, lineIndex, passed),
      ...valvesOpened(line, lineIndex, passed),
    ]
  })
  return [...steps, ...faster(design, layout, index)]
}

const at = (lineIndex: number) => ['returnSide', 'lines', lineIndex] as const

function boreUp({ name, run }: ReturnLine, lineIndex: number): Step[] {
  const size = nextSizeUp(run.size)
  if (!size) return []
  const change = sentence('{line} in {size}', { line: name, size: sizeWords(size) })
  return [{ change, edits: [setTo([...at(lineIndex), 'run', 'size'], size)] }]
}

function elbowLess(
  { name, run }: ReturnLine,
  lineIndex: number,
  passed: ReadonlySet<string>,
): Step[] {
  const elbow = run.pieces.find(({ id, kind }) => kind === 'elbow' && passed.has(id))
  if (!elbow) return []
  const pieces = run.pieces.filter((piece) => piece !== elbow)
  const change = sentence('An elbow less in {line}', { line: name })
  return [{ change, edits: [setTo([...at(lineIndex), 'run', 'pieces'], pieces)] }]
}

function valvesOpened(
  { name, run }: ReturnLine,
  lineIndex: number,
  passed: ReadonlySet<string>,
): Step[] {
  return run.pieces.flatMap((piece): Step[] => {
    if (piece.kind !== 'valve' || piece.opening >= 1 || !passed.has(piece.id)) return []
    const opening = Math.min(1, piece.opening + VALVE_STEP)
    const pieces = run.pieces.map((other) => (other === piece ? { ...piece, opening } : other))
    const change = sentence('Valve of {line} {more} more open', {
      line: name,
      more: ['share', opening - piece.opening],
    })
    return [{ change, edits: [setTo([...at(lineIndex), 'run', 'pieces'], pieces)] }]
  })
}

function faster(design: BasinDesign, layout: Layout, index: number): Step[] {
  const { placed, part } = pumpOf(layout, index)
  const pump = design.returnSide.pumps.findIndex(({ id }) => id === placed.id)
  if (part.control === 'fixed-speed' || placed.stopped || placed.speed >= 1) return []
  const speed = Math.min(1, placed.speed + SPEED_STEP)
  const change = sentence('Pump {more} faster', { more: ['share', speed - placed.speed] })
  return [{ change, edits: [setTo(['returnSide', 'pumps', pump, 'speed'], speed)] }]
}

/** The flow at a line's end, were that end higher by so much, with all levels as they are; NaN where it ends in a tee. */
function flowAtLift(layout: Layout, index: number, from: number[], byM: number): number {
  const link = endLink(layout, index)
  const { to } = layout.problem.links[link]!
  const nodes = layout.problem.nodes.map((node, n) =>
    n === to && node.headM !== null ? { ...node, headM: node.headM + byM } : node,
  )
  if (nodes[to]!.headM === null) return NaN
  const outcome = solveNetwork(makeNetwork({ ...layout.problem, nodes }), from)
  return outcome.ok ? outcome.value.flowsM3PerS[link]! : NaN
}

function liftsOf(layout: Layout, index: number, from: number[]): WhatMatters['lifts'] {
  const endM = layout.problem.nodes[layout.problem.links[endLink(layout, index)]!.to]!.headM
  if (endM === null) return []
  const liftM = endM - pumpOf(layout, index).sourceLevelM
  return Array.from({ length: LIFT_POINTS }, (_, i) => {
    const byM = LIFT_SWEEP_M * ((2 * i) / (LIFT_POINTS - 1) - 1)
    return { liftM: liftM + byM, flowM3PerS: flowAtLift(layout, index, from, byM) }
  })
}
