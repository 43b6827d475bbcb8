import {
  applyEdits,
  type BasinDesign,
  type DisplayTank,
  type Drain,
  type Edit,
  isInChamber,
  type Overflow,
  setTo,
} from '../../design/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { layDrains } from '../../loop/index.ts'
import { followLips } from '../follow/follow-ends.ts'
import { followTanks, standsOnFloor } from '../follow/follow-tanks.ts'
import { laidAnew } from '../gravity/new-drains.ts'

/** Which tank's overflow goes to which, by their places in the design, and what comes into the other. */
export interface OverflowCopy {
  readonly from: number
  readonly to: number
  readonly flowM3PerS: number
}

/** May a tank's overflow be copied? One behind an all-in-one's wall belongs to its chambers. */
export const mayCopyOverflow = ({ overflow }: DisplayTank): boolean => overflow?.box != null

/**
 * A tank's overflow and its drains, at another tank as they stand at this one: by the same panels,
 * as far under its rim; the drains come down in the same chambers, led anew where theirs don't reach.
 */
export function copyOverflow(design: BasinDesign, { from, to, flowM3PerS }: OverflowCopy): Edit[] {
  const source = design.tanks[from]!
  const target = design.tanks[to]!
  const own = design.drains.filter(({ tankId }) => tankId === source.id)
  // The other tank is taken for this one, moved there and resized.
  const before: BasinDesign = { ...design, tanks: [source], drains: own }
  const standIn = { ...target, id: source.id, overflow: source.overflow }
  const after: BasinDesign = { ...before, tanks: [standIn] }
  const grown = applyEdits(after, followTanks(before, after))
  const overflow = underRim(grown.tanks[0]!, source, target.rimM)
  const moved: BasinDesign = { ...grown, tanks: [{ ...standIn, overflow }] }
  const lips = applyEdits(moved, followLips(before, moved)).drains
  const others = design.drains.filter(({ tankId }) => tankId !== target.id)
  const withBox = applyEdits(design, [setTo(['tanks', to, 'overflow'], overflow)])
  const copies = copiedTo(lips, target, new Set(others.map(({ id }) => id)))
  const whole: BasinDesign = { ...withBox, drains: [...others, ...copies] }
  const led = whole.drains.map((drain, i) =>
    drain.tankId === target.id ? reaching(whole, i, flowM3PerS) : drain,
  )
  return [setTo(['tanks', to, 'overflow'], overflow), setTo(['drains'], led)]
}

/** An overflow whose crest is as far under the rim as it was at its own tank. */
function underRim(tank: DisplayTank, source: DisplayTank, rimM: number): Overflow {
  const overflow = tank.overflow!
  const byM = rimM - (source.rimM - source.overflow!.crestM) - overflow.crestM
  const { box, sensorM } = overflow
  return {
    ...overflow,
    crestM: overflow.crestM + byM,
    sensorM: sensorM === null ? null : sensorM + byM,
    holes: overflow.holes.map((hole) => ({ ...hole, id: `${hole.id}-copy` })),
    box: box && {
      ...box,
      rimM: box.rimM + byM,
      floorM: standsOnFloor(tank) ? box.floorM : box.floorM + byM,
    },
  }
}

/** Drains with ids of their own, those that join each other joined again. */
function copiedTo(
  drains: readonly Drain[],
  { id: tankId }: DisplayTank,
  taken: ReadonlySet<string>,
): Drain[] {
  const idOf = (id: string) => {
    let made = `${tankId}-${id}`
    for (let n = 2; taken.has(made); n++) made = `${tankId}-${id}-${n}`
    return made
  }
  const pieces = new Map(
    drains.flatMap(({ id, run }) => run.pieces.map((p, i) => [p.id, `${idOf(id)}-${i + 1}`])),
  )
  return drains.map((drain) => ({
    ...drain,
    id: idOf(drain.id),
    tankId,
    run: {
      ...drain.run,
      pieces: drain.run.pieces.map((piece) => ({ ...piece, id: pieces.get(piece.id)! })),
    },
    end: drain.end.at === 'tee' ? { ...drain.end, id: pieces.get(drain.end.id)! } : drain.end,
  }))
}

/** A drain as it is where it still comes down in its chamber, or led there anew. */
function reaching(design: BasinDesign, index: number, flowM3PerS: number): Drain {
  const drain = design.drains[index]!
  const { end } = drain
  if (end.at !== 'chamber') return drain
  const { mouth } = layDrains(design.drains, waterAt(design.water))[index]!
  const reaches = isInChamber(design.sump, end.id, mouth)
  const isMet = design.drains.some(
    (other) => other.end.at === 'tee' && drain.run.pieces.some(({ id }) => id === other.end.id),
  )
  return reaches || isMet ? drain : laidAnew(design, drain, { chamberId: end.id, flowM3PerS })
}
