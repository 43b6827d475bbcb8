import { type Edit, middleOfChamber, setTo, type TooLarge } from '../design/index.ts'
import { mouthKept, wallRange } from '../editing/index.ts'
import {
  chamberStarved,
  drainOutsideBox,
  drainOutsideChamber,
  holeOutsideBox,
  type LineCase,
  lineCases,
  levelBelowFloor,
  lineOutsideChamber,
  ofLine,
  type PumpCase,
  pumpCases,
  pumpDoesNotFit,
  pumpOutsideChamber,
} from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { givingFlow } from './flow/wish.ts'
import { layAnew } from './lever/way-down.ts'
import { stretchFix } from './line-end-fixes.ts'
import { brought } from './way-down-fixes.ts'

/** A chamber without water is filled to so much of the sump's height (choice). */
const FILLED_SHARE = 0.4

/** What brings things where they belong. */
export const PLACE_FIXES: readonly FindingFixes[] = [
  fixesFor(holeOutsideBox, ({ overflow, tank, index }, { at }) => {
    const { box, holes } = overflow
    if (!box || overflow.form === 'hung-box' || overflow.form === 'outer-box') return []
    const hole = holes[at]!
    const alongM = inside(tank.xM + hole.alongM, box.xM, box.lengthM) - tank.xM
    const upM = inside(tank.yM + hole.upM, box.yM, box.widthM) - tank.yM
    return [
      {
        label: sentence('Drill it under the box'),
        brings: () =>
          sentence('It stands {along} from the left and {back} from the front.', {
            along: ['length', alongM],
            back: ['length', upM],
          }),
        edits: [setTo(['tanks', index, 'overflow', 'holes', at], { ...hole, alongM, upM })],
      },
    ]
  }),
  fixesFor(drainOutsideBox, (drainCase) => brought(drainCase.box, layAnew(drainCase))),
  fixesFor(drainOutsideChamber, (drainCase) => brought(drainCase.box, layAnew(drainCase))),
  fixesFor(lineOutsideChamber, (line, { chamber }) => {
    const to = middleOfChamber(line.design.sump, chamber.id)
    if (!to) return []
    const label = sentence('Stretch the run to {chamber}', { chamber: chamber.name })
    return stretchFix(line, { ...to, zM: line.laid.mouth.zM }, label)
  }),
  fixesFor(pumpOutsideChamber, (pumpCase, { chamber, standsIn }) => [
    ...movedPump(pumpCase, chamber),
    ...(standsIn ? [drawnFrom(pumpCase, standsIn)] : []),
  ]),
  fixesFor(chamberStarved, ({ whole, chamber }) => {
    const home = whole.design.sump.chambers[whole.steady.returnIndex]!
    if (home.id === chamber.id) return []
    return pumpCases(lineCases(whole))
      .filter(({ pump }) => pump.placed.chamberId === chamber.id)
      .map((pumpCase) => drawnFrom(pumpCase, home))
  }),
  fixesFor(pumpDoesNotFit, longerChamber),
  fixesFor(levelBelowFloor, ({ box, index }) => {
    const depthM = box.heightM * FILLED_SHARE
    return [
      {
        label: sentence('Fill it to {depth}', { depth: ['length', depthM] }),
        brings: () => sentence('The pump has water to draw.'),
        edits: [setTo(['sump', 'chambers', index, 'levelM'], box.floorHeightM + depthM)],
      },
    ]
  }),
]

/** A wall of its chamber moved away, as far as the next chamber has room. */
function longerChamber(
  { design: { sump }, pump }: PumpCase,
  { overM }: TooLarge,
): FindingCandidate[] {
  if (overM <= 0) return []
  const byM = Math.ceil(overM * 1000) / 1000
  const chamber = sump.chambers.findIndex(({ id }) => id === pump.placed.chamberId)
  const moves = [
    { wall: chamber - 1, byM: -byM },
    { wall: chamber, byM },
  ]
  return moves.flatMap(({ wall, byM: moved }) => {
    if (!sump.walls[wall]) return []
    const toM = sump.walls[wall].atM + moved
    const { leastM, mostM } = wallRange(sump, wall)
    if (toM < leastM || toM > mostM) return []
    const neighbour = sump.chambers[moved < 0 ? wall : wall + 1]!
    return [
      {
        label: sentence('Take {by} of {neighbour} for it', {
          by: ['length', byM],
          neighbour: neighbour.name,
        }),
        brings: () => sentence('The pump then stands in its chamber.'),
        edits: [setTo(['sump', 'walls', wall, 'atM'], toM)],
      },
    ]
  })
}

function inside(at: number, from: number, size: number): number {
  const marginM = Math.min(0.04, size / 2)
  return Math.min(from + size - marginM, Math.max(from + marginM, at))
}

/** The pump in the middle of its chamber, and its line as much longer or shorter. */
function movedPump(line: PumpCase, chamber: { readonly id: string; readonly name: string }) {
  const to = middleOfChamber(line.design.sump, chamber.id)
  if (!to) return []
  const { outlet } = line.pump.placed
  const at = line.design.returnSide.pumps.indexOf(line.pump.placed)
  const stretched = mouthKept(line.laid, {
    xM: to.xM - outlet.xM,
    yM: to.yM - outlet.yM,
    zM: 0,
  })
  if (!stretched) return []
  const edits: Edit[] = [
    setTo(['returnSide', 'pumps', at, 'outlet'], { ...outlet, ...to }),
    ...stretched,
  ]
  const label = sentence('Stand it in {chamber}, and its line with it', { chamber: chamber.name })
  return [givingFlow(label, edits, ofLine(line))]
}

function drawnFrom(
  line: LineCase,
  chamber: { readonly id: string; readonly name: string },
): FindingCandidate {
  const at = line.design.returnSide.pumps.indexOf(line.pump.placed)
  return givingFlow(
    sentence('Let it draw from {chamber}', { chamber: chamber.name }),
    [setTo(['returnSide', 'pumps', at, 'chamberId'], chamber.id)],
    ofLine(line),
  )
}
