import { type BasinDesign, type DisplayTank, type Edit, setTo } from '../../design/index.ts'
import { isMoved, withNearerFace, withTank } from './shifts.ts'

/** Tanks that stood to the right of one that grows that way are moved along. */
export function makeRoom(before: BasinDesign, after: BasinDesign): Edit[] {
  if (before.tanks === after.tanks) return []
  return after.tanks.flatMap((tank, k): Edit[] => {
    const old = tankOf(before, tank.id)
    if (!old || old.xM !== tank.xM) return []
    const byM = after.tanks.reduce((sum, other) => sum + grownBeside(before, old, other), 0)
    return byM > 0 ? [setTo(['tanks', k, 'xM'], tank.xM + byM)] : []
  })
}

/** By how much another tank grew towards one that stood to its right. */
function grownBeside(before: BasinDesign, stood: DisplayTank, other: DisplayTank): number {
  const old = tankOf(before, other.id)
  if (!old || other.xM !== old.xM || stood.xM < old.xM + old.lengthM) return 0
  return Math.max(0, other.lengthM - old.lengthM)
}

const tankOf = ({ tanks }: BasinDesign, tankId: string) => tanks.find(({ id }) => id === tankId)

/** What belongs to a tank goes with it: its rim, its overflow with the box and the holes. */
export function followTanks(before: BasinDesign, after: BasinDesign): Edit[] {
  if (before.tanks === after.tanks) return []
  return after.tanks.flatMap((tank, i): Edit[] => {
    const old = tankOf(before, tank.id)
    if (!old || !isMoved(old, tank)) return []
    const grown = tank.heightM === old.heightM ? [] : withHeight(old, tank, i)
    return [...grown, ...withOverflow(old, tank, i)]
  })
}

/** Rim, water and crest keep their distance from the top of the panels, as far as that leaves them over the floor. */
function withHeight(old: DisplayTank, tank: DisplayTank, i: number): Edit[] {
  const riseM = tank.heightM - old.heightM
  const edits: Edit[] = []
  const raise = (name: 'rimM' | 'waterLevelM') => {
    if (tank[name] === old[name] && tank[name] + riseM > 0) {
      edits.push(setTo(['tanks', i, name], tank[name] + riseM))
    }
  }
  raise('rimM')
  raise('waterLevelM')
  const { overflow } = tank
  if (!overflow || overflow !== old.overflow || overflow.crestM + riseM <= 0) return edits
  edits.push(setTo(['tanks', i, 'overflow', 'crestM'], overflow.crestM + riseM))
  if (overflow.sensorM !== null) {
    edits.push(setTo(['tanks', i, 'overflow', 'sensorM'], overflow.sensorM + riseM))
  }
  const { box } = overflow
  if (box) {
    edits.push(setTo(['tanks', i, 'overflow', 'box', 'rimM'], box.rimM + riseM))
    if (!standsOnFloor(tank)) {
      edits.push(setTo(['tanks', i, 'overflow', 'box', 'floorM'], box.floorM + riseM))
    }
  }
  return edits
}

/** A box inside the tank that reaches its floor grows with it; any other hangs from its rim. */
export function standsOnFloor({ overflow }: DisplayTank): boolean {
  return overflow?.form === 'inner-box' && overflow.box !== null && overflow.box.floorM < 0.02
}

/** Box and holes stay by the panel they are nearest to. */
function withOverflow(old: DisplayTank, tank: DisplayTank, i: number): Edit[] {
  const { overflow } = tank
  if (!overflow || overflow !== old.overflow) return []
  const edits: Edit[] = []
  if (overflow.box) {
    const { xM, yM, lengthM, widthM } = overflow.box
    const middle = { xM: xM + lengthM / 2, yM: yM + widthM / 2, zM: tank.floorHeightM }
    const by = withTank(middle, old, tank)
    if (by.xM !== 0) edits.push(setTo(['tanks', i, 'overflow', 'box', 'xM'], xM + by.xM))
    if (by.yM !== 0) edits.push(setTo(['tanks', i, 'overflow', 'box', 'yM'], yM + by.yM))
  }
  overflow.holes.forEach(({ panel, alongM, upM }, k) => {
    const isAcross = panel === 'left' || panel === 'right'
    const along = (of: DisplayTank) => [0, isAcross ? of.widthM : of.lengthM] as const
    const up = (of: DisplayTank) => [0, panel === 'floor' ? of.widthM : of.heightM] as const
    const byM = withNearerFace(alongM, along(old), along(tank))
    const riseM = withNearerFace(upM, up(old), up(tank))
    if (byM !== 0) edits.push(setTo(['tanks', i, 'overflow', 'holes', k, 'alongM'], alongM + byM))
    if (riseM !== 0) edits.push(setTo(['tanks', i, 'overflow', 'holes', k, 'upM'], upM + riseM))
  })
  return edits
}
