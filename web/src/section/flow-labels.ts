import type { BasinDesign, SolvedBasin, Solved } from '@yew-basin/core'
import { type PxBox, sharedWith } from './px-box.ts'
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
  /** null: no upright pipe to say it beside. */
  readonly speedMPerS: number | null
}

/** What flows in each line to a tank, beside its longest upright pipe, clear of pipes and of the words that stand already; what ends in a chamber is written there. */
export function flowLabels(
  design: BasinDesign,
  solved: SolvedBasin,
  { scale, words }: { readonly scale: Scale; readonly words: readonly PxBox[] },
): FlowLabel[] {
  const { lines } = solved.returnSide
  const many = lines.length > 1
  const pipes = pipeBoxes(solved, scale)
  const taken: PxBox[] = [...words]
  return lines.flatMap((line, i) => {
    const { name: lineName, end } = design.returnSide.lines[i]!
    if (end.at !== 'tank') return []
    const name = many ? lineName : ''
    const tank = design.tanks.find(({ id }) => id === end.id)!
    const within = { underTank: scale.y(tank.floorHeightM), right: scale.x(tank.xM + tank.lengthM) }
    const spots = spotsBeside(line, scale, within).filter(
      (spot) => spot.anchor === 'end' || textBox(spot, name).right <= within.right,
    )
    const best = clearest(spots, name, [...pipes, ...taken])
    const { x, y, anchor, speedMPerS } = best ?? overMouth(line, scale)
    taken.push(textBox({ x, y, anchor }, name))
    return [
      {
        x,
        y,
        anchor,
        flowM3PerS: line.flowM3PerS,
        flowBandM3PerS: line.flowBandM3PerS,
        name,
        speedMPerS,
      },
    ]
  })
}

type Spot = Pick<FlowLabel, 'x' | 'y' | 'anchor' | 'speedMPerS'>

const overMouth = ({ mouth }: Solved<'line'>, scale: Scale): Spot => ({
  x: scale.x(mouth.xM),
  y: scale.y(mouth.zM) - 14,
  anchor: 'end',
  speedMPerS: null,
})

/** Words stand this far off their pipe, past a neighbour of it where they must, and move along it by so much, px. */
const OFF_PX = 6
const PAST_NEIGHBOUR_PX = 32
/** The tank's right end is kept free so far, px. */
const END_PX = 14
const ALONG_PX = 17
/** A little past the pipe's low end they still read as its own, px. */
const BEYOND_PX = 50

/** Where a flow may be written beside its line's longest upright pipe, best first: under the tank, at its left. */
function spotsBeside(
  { pieces }: Solved<'line'>,
  scale: Scale,
  { underTank, right }: { readonly underTank: number; readonly right: number },
): Spot[] {
  const height = (piece: Solved<'piece'>) => Math.abs(piece.to.zM - piece.from.zM)
  const longest = pieces
    .filter((piece) => piece.kind === 'pipe')
    .reduce<Solved<'piece'> | null>(
      (best, piece) => (best && height(best) >= height(piece) ? best : piece),
      null,
    )
  if (!longest) return []
  const { speedMPerS } = longest
  const besidePx = halfPx(longest, scale) + OFF_PX
  const high = scale.y(Math.max(longest.from.zM, longest.to.zM))
  const low = scale.y(Math.min(longest.from.zM, longest.to.zM))
  const wanted = low - underTank > 60 ? underTank + 34 : (high + low) / 2
  const at = scale.x(longest.to.xM)
  const spots: Spot[] = []
  for (const beside of [besidePx, besidePx + PAST_NEIGHBOUR_PX])
    for (let y = wanted; y < Math.max(wanted + 1, low + BEYOND_PX); y += ALONG_PX) {
      spots.push({ x: Math.min(at - beside, right - END_PX), y, anchor: 'end', speedMPerS })
      spots.push({ x: at + beside, y, anchor: 'start', speedMPerS })
    }
  return spots
}

/** Half of the narrowest pipe as it is drawn, with a little air, px; a pipe's outside over its bore, at most. */
const LEAST_HALF_PX = 8
const OUTSIDE_OVER_BORE = 1.3

/** Half of a pipe's width on the sheet, with a little air, px. */
const halfPx = ({ boreM }: Pick<Solved<'piece'>, 'boreM'>, { pxPerM }: Scale): number =>
  Math.max(LEAST_HALF_PX, (OUTSIDE_OVER_BORE / 2) * boreM * pxPerM + 2)

/** The room that every pipe takes on the sheet. */
function pipeBoxes({ returnSide, drains }: SolvedBasin, scale: Scale): PxBox[] {
  return [...returnSide.lines, ...drains].flatMap(({ pieces }) =>
    pieces.map((piece) => {
      const half = halfPx(piece, scale)
      const x = [scale.x(piece.from.xM), scale.x(piece.to.xM)]
      const y = [scale.y(piece.from.zM), scale.y(piece.to.zM)]
      return {
        left: Math.min(...x) - half,
        right: Math.max(...x) + half,
        top: Math.min(...y) - half,
        bottom: Math.max(...y) + half,
      }
    }),
  )
}

/** About what two lines of words take: a flow, and a name with a speed. */
function textBox({ x, y, anchor }: Pick<Spot, 'x' | 'y' | 'anchor'>, name: string): PxBox {
  const wide = 66 + 7 * name.length
  const left = anchor === 'end' ? x - wide : x
  return { left, right: left + wide, top: y - 13, bottom: y + 21 }
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
