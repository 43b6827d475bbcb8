import type { BasinDesign, SolvedBasin, Solved } from '@yew-basin/core'
import { type PxBox, sharedWith } from './px-box.ts'
import type { DrawnPipe, DrawnRun } from './run-drawing.ts'
import type { Scale } from './scale.ts'

/** A flow written beside its pipe. */
export interface FlowLabel {
  readonly x: number
  readonly y: number
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  /** Of the line, where there are several. */
  readonly name: string
  /** Which end of its words stands there. */
  readonly anchor: 'start' | 'end'
  /** null: no upright pipe to say it beside, or no room. */
  readonly speedMPerS: number | null
  /** Its name and its speed have a line each. */
  readonly isStacked: boolean
}

/** What flows in each line to a tank, beside its longest upright pipe, clear of pipes and of the words that stand already; what ends in a chamber is written there. */
export function flowLabels(
  design: BasinDesign,
  solved: SolvedBasin,
  {
    scale,
    runs,
    words,
  }: {
    readonly scale: Scale
    /** All that is drawn: first the lines, in the design's order, then the drains. */
    readonly runs: readonly DrawnRun[]
    readonly words: readonly PxBox[]
  },
): FlowLabel[] {
  const { lines } = solved.returnSide
  const many = lines.length > 1
  const taken: PxBox[] = [...runs.flatMap(boxesOf), ...words]
  return lines.flatMap((line, i) => {
    const { name: lineName, end } = design.returnSide.lines[i]!
    if (end.at !== 'tank') return []
    const name = many ? lineName : ''
    const tank = design.tanks.find(({ id }) => id === end.id)!
    const within = { underTank: scale.y(tank.floorHeightM), right: scale.x(tank.xM + tank.lengthM) }
    const spots = spotsBeside(line, runs[i]!, within).filter(
      (spot) => spot.anchor === 'end' || textBox(spot, name).right <= within.right,
    )
    const best = clearest(spots, name, taken)
    const spot = best ?? overMouth(line, scale)
    taken.push(textBox(spot, name))
    const { flowM3PerS, flowBandM3PerS } = line
    return [{ ...spot, flowM3PerS, flowBandM3PerS, name }]
  })
}

type Spot = Pick<FlowLabel, 'x' | 'y' | 'anchor' | 'speedMPerS' | 'isStacked'>

const overMouth = ({ mouth }: Solved<'line'>, scale: Scale): Spot => ({
  x: scale.x(mouth.xM),
  y: scale.y(mouth.zM) - 14,
  anchor: 'end',
  speedMPerS: null,
  isStacked: false,
})

/** Words stand this far off their pipe, past a neighbour of it where they must, and move along it by so much, px. */
const OFF_PX = 6
const PAST_NEIGHBOUR_PX = 32
/** The tank's right end is kept free so far, px. */
const END_PX = 14
const ALONG_PX = 17
/** Where there is little room they begin so much nearer to the tank, px. */
const CLOSER_PX = 10
/** A little past the pipe's low end they still read as its own, px. */
const BEYOND_PX = 50

/** Where and how a flow may be written beside its line's longest upright pipe, best first: under the tank, at its left, with all that is said of it. */
function spotsBeside(
  { pieces }: Solved<'line'>,
  { pipes }: DrawnRun,
  { underTank, right }: { readonly underTank: number; readonly right: number },
): Spot[] {
  const height = ({ y1, y2 }: DrawnPipe) => Math.abs(y2 - y1)
  const [longest] = pipes
    .filter(({ curve }) => curve === null)
    .toSorted((a, b) => height(b) - height(a))
  if (!longest) return []
  const { speedMPerS } = pieces.find(({ pieceId }) => pieceId === longest.pieceId)!
  const besidePx = halfPx(longest) + OFF_PX
  const high = Math.min(longest.y1, longest.y2)
  const low = Math.max(longest.y1, longest.y2)
  const wanted = low - underTank > 60 ? underTank + 34 : (high + low) / 2
  const at = longest.x2
  const spots: Spot[] = []
  const add = (fromY: number, how: Pick<Spot, 'speedMPerS' | 'isStacked'>) => {
    for (const beside of [besidePx, besidePx + PAST_NEIGHBOUR_PX])
      for (let y = fromY; y < Math.max(fromY + 1, low + BEYOND_PX); y += ALONG_PX) {
        spots.push({ x: Math.min(at - beside, right - END_PX), y, anchor: 'end', ...how })
        spots.push({ x: at + beside, y, anchor: 'start', ...how })
      }
  }
  add(wanted, { speedMPerS, isStacked: false })
  add(wanted - CLOSER_PX, { speedMPerS, isStacked: true })
  add(wanted - CLOSER_PX, { speedMPerS: null, isStacked: false })
  return spots
}

/** A little air beside a pipe, px. */
const AIR_PX = 3
const halfPx = ({ outsidePx }: DrawnPipe) => outsidePx / 2 + AIR_PX

/** The room that a run takes on the sheet. */
const boxesOf = ({ pipes, fittings }: DrawnRun): PxBox[] => [
  ...pipes.map(boxOf),
  ...fittings.map(({ x, y, halfPx: half }) => ({
    left: x - half,
    right: x + half,
    top: y - half,
    bottom: y + half,
  })),
]

function boxOf(pipe: DrawnPipe): PxBox {
  const half = halfPx(pipe)
  return {
    left: Math.min(pipe.x1, pipe.x2) - half,
    right: Math.max(pipe.x1, pipe.x2) + half,
    top: Math.min(pipe.y1, pipe.y2) - half,
    bottom: Math.max(pipe.y1, pipe.y2) + half,
  }
}

/** From one line of its words to the next, px. */
export const LINE_PX = 17
/** A letter's width, about, and what a flow or a speed takes, px. */
const LETTER_PX = 7
const FIGURE_PX = 66

/** About what its words take: a flow, then a name and a speed in a line or in two. */
function textBox({ x, y, anchor, speedMPerS, isStacked }: Spot, name: string): PxBox {
  const namePx = LETTER_PX * name.length
  const isOneLine = name !== '' && speedMPerS !== null && !isStacked
  const wide = isOneLine ? FIGURE_PX + namePx : Math.max(FIGURE_PX, namePx)
  const below = isStacked ? 2 : name === '' && speedMPerS === null ? 0 : 1
  const left = anchor === 'end' ? x - wide : x
  return { left, right: left + wide, top: y - 13, bottom: y + 4 + LINE_PX * below }
}

/** The first spot that covers nothing, else the one that covers least. */
function clearest(spots: readonly Spot[], name: string, taken: readonly PxBox[]): Spot | null {
  let best: Spot | null = null
  let least = Infinity
  for (const spot of spots) {
    const box = textBox(spot, name)
    const covers = sharedWith(box, taken)
    if (covers < least) {
      least = covers
      best = spot
    }
  }
  return best
}
