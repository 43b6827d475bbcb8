import {
  type BasinDesign,
  type DisplayTank,
  type Edit,
  isInPlan,
  setTo,
} from '../../design/index.ts'
import { layOut } from '../../layout/index.ts'
import { mouthKept } from '../stretch.ts'

/**
 * The chambers of an all-in-one taken out of its tank, to stand on the room's floor below it: their
 * levels and pumps go with them, and each pump's line grows by as much as it can. None where the
 * sump does not stand in the tank.
 */
export function sumpBelow(design: BasinDesign, tank: DisplayTank): Edit[] {
  const { sump, returnSide } = design
  const { box } = sump
  const standsIn = box !== null && isInPlan(tank, box) && box.floorHeightM >= tank.floorHeightM
  if (!standsIn) return []
  const byM = box.floorHeightM
  const edits: Edit[] = [setTo(['sump', 'box', 'floorHeightM'], 0)]
  sump.chambers.forEach(({ levelM }, i) => {
    edits.push(setTo(['sump', 'chambers', i, 'levelM'], levelM - byM))
  })
  const lines = layOut(design).lines.filter(
    ({ line: { start, end } }) => start.at === 'pump' && end.at === 'tank',
  )
  returnSide.pumps.forEach(({ id, outlet, inletHeightM }, i) => {
    const at = ['returnSide', 'pumps', i] as const
    const zM = Math.max(0, outlet.zM - byM)
    edits.push(setTo([...at, 'outlet'], { ...outlet, zM }))
    if (inletHeightM !== null) {
      edits.push(setTo([...at, 'inletHeightM'], Math.max(0, inletHeightM - byM)))
    }
    for (const line of lines.filter(({ line: { start } }) => start.id === id)) {
      edits.push(...(mouthKept(line, { xM: 0, yM: 0, zM: zM - outlet.zM }) ?? []))
    }
  })
  return edits
}
