import { describe, expect, test } from '@jest/globals'
import { aSterilizer, withDevices } from '../a-device.ts'
import { LOOP } from '../a-treated-loop.ts'
import { choosing } from '../../src/basin/index.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, setTo } from '../../src/design/index.ts'
import { deviceSwappedIn, withFollowing } from '../../src/editing/index.ts'

describe('sterilizers in another one’s place', () => {
  const lineId = LOOP.returnSide.lines[0]!.id
  const own0 = withDevices(LOOP, aSterilizer({ lineId: null }))
  const put = setTo(['sump', 'devices', 0, 'lineId'], lineId)
  const design = applyEdits(own0, withFollowing(own0, [put]))
  const at = design.sump.devices.findIndex(({ part }) => part.sterilizer !== null)
  const own = design.sump.devices[at]!
  const narrow = {
    ...aSterilizer().part,
    id: 'narrow',
    powerW: 55,
    sterilizer: { ...own.part.sterilizer!, ratedDoseJPerM2: 900, portBoreM: 0.008 },
  }
  const [same, other] = choosing.sterilizerCandidates(design, own.id, [own.part, narrow])

  test('are what the design is with them', () => {
    const solved = solveBasin(design).treatment
    expect(same!.sterilizer).toEqual(solved.sterilizers.find(({ deviceId }) => deviceId === own.id))
    expect(same!.savesW).toBe(0)
    const swapped = setTo(['sump', 'devices', at], deviceSwappedIn(design, own, narrow, own.standM))
    const with2 = solveBasin(applyEdits(design, [swapped])).treatment
    expect(other!.sterilizer).toEqual(with2.sterilizers.find(({ deviceId }) => deviceId === own.id))
  })
  test('bring their own ports, their own lamp and their own power', () => {
    expect(other!.sterilizer.flowM3PerS).toBeLessThan(same!.sterilizer.flowM3PerS)
    expect(other!.sterilizer.ageing).toBe(1)
    expect(other!.savesW).toBe(own.part.powerW - 55)
  })
  test('are none for another kind, and for a device that is not there', () => {
    const part = { ...narrow, sterilizer: null }
    expect(choosing.sterilizerCandidates(design, own.id, [part])).toEqual([])
    expect(choosing.sterilizerCandidates(design, 'nobody', [narrow])).toEqual([])
  })
})
