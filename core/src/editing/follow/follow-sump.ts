import { type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import { areWallsMoved, withItsChamber } from './shifts.ts'

/** What stands in a sump goes with its box and its walls: pumps, and the levels that are filled to. */
export function followSump(before: BasinDesign, after: BasinDesign): Edit[] {
  if (!areWallsMoved(before, after)) return []
  return [...levelsOf(before, after), ...pumpsOf(before, after)]
}

function levelsOf({ sump: before }: BasinDesign, { sump: after }: BasinDesign): Edit[] {
  const riseM = after.box!.floorHeightM - before.box!.floorHeightM
  if (riseM === 0) return []
  return after.chambers.flatMap(({ id, levelM }, i): Edit[] => {
    const same = before.chambers.some((old) => old.id === id && old.levelM === levelM)
    return same ? [setTo(['sump', 'chambers', i, 'levelM'], levelM + riseM)] : []
  })
}

function pumpsOf(before: BasinDesign, after: BasinDesign): Edit[] {
  return after.returnSide.pumps.flatMap((pump, i): Edit[] => {
    const { chamberId, outlet, inletHeightM } = pump
    const same = before.returnSide.pumps.some(
      (old) => old.outlet === outlet && old.chamberId === chamberId,
    )
    if (!same) return []
    const by = withItsChamber(outlet, chamberId, before.sump, after.sump)
    const edits: Edit[] = []
    const at = ['returnSide', 'pumps', i] as const
    for (const axis of ['xM', 'yM', 'zM'] as const) {
      if (by[axis] !== 0) edits.push(setTo([...at, 'outlet', axis], outlet[axis] + by[axis]))
    }
    if (by.zM !== 0 && inletHeightM !== null) {
      edits.push(setTo([...at, 'inletHeightM'], inletHeightM + by.zM))
    }
    return edits
  })
}
