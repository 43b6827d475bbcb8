import {
  type BasinDesign,
  type DisplayTank,
  type Edit,
  isInPlan,
  setTo,
} from '../../design/index.ts'
import { layOut } from '../../layout/index.ts'
import { stretchRun } from '../stretch.ts'

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
  const laid = layOut(design)
  const edits: Edit[] = [setTo(['sump', 'box', 'floorHeightM'], 0)]
  sump.chambers.forEach(({ levelM }, i) => {
    edits.push(setTo(['sump', 'chambers', i, 'levelM'], levelM - byM))
  })
  returnSide.pumps.forEach(({ outlet }, i) => {
    edits.push(
      setTo(['returnSide', 'pumps', i, 'outlet'], { ...outlet, zM: Math.max(0, outlet.zM - byM) }),
    )
  })
  for (const line of laid.lines) {
    const { start, end } = line.line
    if (start.at !== 'pump' || end.at !== 'tank') continue
    const { mouth, index } = line
    const { outlet } = returnSide.pumps.find(({ id }) => id === start.id)!
    const loweredM = Math.min(outlet.zM, byM)
    for (const { piece, key, toM } of stretchRun(line, { ...mouth, zM: mouth.zM + loweredM }) ??
      []) {
      edits.push(setTo(['returnSide', 'lines', index, 'run', 'pieces', piece, key], toM))
    }
  }
  return edits
}
