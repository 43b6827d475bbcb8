import { aBasin, aLine } from '../a-basin.ts'
import { aSterilizer, withDevices } from '../a-device.ts'
import { A_SUMP, aLoop } from '../a-loop.ts'
import { type Changes, withChanges } from '../changes.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { applyEdits, insertAt } from '../../src/design/edit.ts'
import type { FindingCode } from '../../src/finding/codes.ts'
import { AS_USUAL } from '../../src/run/index.ts'

const ROOMY = aBasin(
  'up 200 mm, union, up 800 mm, elbow, left 300 mm, elbow, down 200 mm, nozzle 20 mm',
)
const nozzle = (before: 'push-fit' | 'glued'): BasinDesign =>
  withChanges(ROOMY, { 'returnSide.lines.0.run.pieces.7.made': { ...AS_USUAL, before } })
const hose = (size: string) => ({
  'returnSide.lines.0.run.size': { series: 'smooth-hose', size, boreM: null },
})
const HOSED = aBasin('up 800 mm, union, left 300 mm', hose('20'))
const TEED = aBasin('up 300 mm, tee, up 700 mm, elbow, left 300 mm')
const capped = (typed: string): BasinDesign =>
  applyEdits(TEED, [
    insertAt(
      ['returnSide', 'lines'],
      1,
      aLine('spare', { at: 'tee', id: 'p2' }, typed, { at: 'cap', id: null }),
    ),
  ])
const barbed = (line: string, more: Changes = {}) =>
  withChanges(aBasin(line), { 'returnSide.pumps.0.joint': 'barb', ...more })
const wiped = (hasWiper: boolean) =>
  withChanges(withDevices(aLoop(), aSterilizer()), {
    'sump.devices.0.part.sterilizer.hasWiper': hasWiper,
  })

/** A union under the rim of a sump so wide, in its middle. */
function inSump(widthM: number): BasinDesign {
  const design = aBasin('up 100 mm, union, up 900 mm, elbow, left 300 mm')
  const { outlet } = design.returnSide.pumps[0]!
  const yM = outlet.yM - widthM / 2
  return withChanges(design, { 'sump.box': { ...A_SUMP, yM, widthM } })
}

/** A union's own half is on the pump's side of it; an elbow beyond is not. */
const CLIPPED = (at: number): Changes => ({
  [`returnSide.lines.0.run.pieces.${at}.made`]: { ...AS_USUAL, isClipped: true },
})

/** What is found of a design as it is built: where it is, and where not. */
export const BUILD_CASES: Partial<
  Readonly<Record<FindingCode, { readonly fires: BasinDesign; readonly silent: BasinDesign }>>
> = {
  'stub-too-short': {
    fires: aBasin('up 300 mm, elbow, left 30 mm, elbow, up 700 mm, elbow, left 300 mm'),
    silent: aBasin('up 300 mm, elbow, left 130 mm, elbow, up 700 mm, elbow, left 300 mm'),
  },
  'no-single-adapter': {
    fires: barbed('up 300 mm, union, up 700 mm, elbow, left 300 mm'),
    silent: ROOMY,
  },
  'hose-without-clamp': {
    fires: withChanges(HOSED, {
      'returnSide.lines.0.run.pieces.1.made': { ...AS_USUAL, before: 'push-fit' },
    }),
    silent: HOSED,
  },
  'hose-stretched': {
    fires: barbed('up 1 m, left 300 mm', { 'pumps.0.outletBoreM': 0.02, ...hose('19') }),
    silent: barbed('up 1 m, left 300 mm', { 'pumps.0.outletBoreM': 0.02, ...hose('20') }),
  },
  'push-fit-under-pressure': { fires: nozzle('push-fit'), silent: nozzle('glued') },
  'spare-stub-too-short': {
    fires: capped('left 120 mm, gate, left 90 mm'),
    silent: capped('left 120 mm, gate, left 400 mm'),
  },
  'cannot-come-out': {
    fires: withChanges(ROOMY, { 'returnSide.lines.0.run.pieces.0.lengthM': 1, ...CLIPPED(1) }),
    silent: withChanges(ROOMY, CLIPPED(3)),
  },
  'glued-between-fixed': {
    fires: aBasin('up 1 m, elbow, left 400 mm, bulkhead, left 100 mm, nozzle 20 mm'),
    silent: aBasin(
      'up 300 mm, union, up 700 mm, elbow, left 400 mm, bulkhead, left 100 mm, nozzle 20 mm',
    ),
  },
  'joint-out-of-reach': { fires: inSump(0.1), silent: inSump(0.3) },
  'wiper-in-salt-water': { fires: wiped(true), silent: wiped(false) },
}
