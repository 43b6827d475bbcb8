import { applyEdits, type BasinDesign, editing, setTo } from '@yew-basin/core'
import { aDesign } from './a-design.ts'

const BOX = {
  make: 'self-built',
  xM: -0.05,
  yM: 0,
  floorHeightM: 0.05,
  lengthM: 1.1,
  widthM: 0.4,
  heightM: 0.4,
  panelM: 0.008,
} as const

/** The plain design of the tests with its way down: a box inside, three pipes, a walled sump. */
export function aWayDown(): BasinDesign {
  const plain = aDesign('up 1.3 m, elbow, left 300 mm, elbow, down 50 mm')
  const sump = editing.newSump(plain.sump, BOX, ['socks', 'refugium', 'trap', 'trap', 'return'])
  const walled = applyEdits(plain, editing.sumpEdits(plain, sump))
  const overflow = editing.newOverflow(
    walled.tanks[0]!,
    { form: 'inner-box', place: 'back' },
    { rearChamberId: 'socks', flowM3PerS: 6e-4 },
  )
  const open = applyEdits(walled, [setTo(['tanks', 0, 'overflow'], overflow)])
  const drains = editing.newDrains(open, {
    tankId: 'tank',
    school: 'siphon-trickle-emergency',
    chamberId: open.sump.chambers[0]!.id,
    series: 'pn-16',
    flowM3PerS: 6e-4,
  })
  return { ...open, drains }
}
