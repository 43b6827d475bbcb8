import { withDevices } from './a-device.ts'
import { aLoop } from './a-loop.ts'
import { type Changes, withChanges } from './changes.ts'
import { solveBasin } from '../src/basin/solve.ts'
import type { BasinDesign } from '../src/design/design.ts'
import type { Device } from '../src/design/devices.ts'
import type { EditPath } from '../src/design/edit.ts'
import type { Finding } from '../src/finding/finding.ts'

/** The loop of the tests that devices are put into. */
export const LOOP = aLoop()
/** Its skimmer's chamber's place. */
export const AT = LOOP.sump.chambers.findIndex(({ use }) => use === 'skimmer')
export const CHAMBER = LOOP.sump.chambers[AT]!.id
export const FROM_M = LOOP.sump.walls[AT - 1]!.atM + LOOP.sump.walls[AT - 1]!.thicknessM
/** Well inside it. */
export const INSIDE = { chamberId: CHAMBER, xM: FROM_M + 0.02, yM: 0.1 }
export const CABINET = { xM: -0.2, yM: 0, lengthM: 1.4, widthM: 0.6, topM: 0.75, doors: [] }

export const solvedWith = (...devices: Device[]) => solveBasin(withDevices(LOOP, ...devices))

export const set = (design: BasinDesign, path: EditPath, to: unknown) =>
  withChanges(design, { [path.join('.')]: to } satisfies Changes)

export const codesAt = (findings: readonly Finding[], station: string) =>
  findings.filter((finding) => finding.station === station).map(({ code }) => code)

/** A finding of a list; a test that looks for one that is not there says what is. */
export function named(findings: readonly Finding[], code: string): Finding {
  const found = findings.find((finding) => finding.code === code)
  if (!found)
    throw new Error(`no ${code}, only ${findings.map((finding) => finding.code).join(', ')}`)
  return found
}
