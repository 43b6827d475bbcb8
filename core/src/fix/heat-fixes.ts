import { applyEdits, type BasinDesign, type Device, type Edit, setTo } from '../design/index.ts'
import type { DevicePart } from '../device/index.ts'
import { newDevice } from '../editing/index.ts'
import { type HeatCase, heaterNearItsLimit, heaterTooSmall } from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'

/** Powers that heaters are sold in (choice), W. */
const SOLD_W = [25, 50, 75, 100, 150, 200, 250, 300, 400, 500, 600, 800, 1000]

/** A heater of the usual build: a glass or titanium rod, m. */
const ROD: Omit<DevicePart, 'id' | 'name' | 'powerW'> = {
  kind: 'heater',
  lengthM: 0.04,
  widthM: 0.04,
  heightM: 0.32,
  sectionM2: 0.0007,
  handM: 0.02,
  control: 'fixed-speed',
  noise: 'silent',
  priceClass: 2,
  window: null,
  skimmer: null,
  sterilizer: null,
}

/** What holds the water: two heaters of two thirds each, so that one that fails leaves most of it. */
export const HEAT_FIXES: readonly FindingFixes[] = [
  fixesFor(heaterTooSmall, strongerHeaters),
  fixesFor(heaterNearItsLimit, strongerHeaters),
]

const OF_TWO = 2 / 3

function strongerHeaters({ whole, heat }: HeatCase): FindingCandidate[] {
  const { coldest } = heat
  const wantedW = coldest.wantedW + coldest.wantedBandW
  const eachW = SOLD_W.find((soldW) => soldW >= OF_TWO * wantedW && 2 * soldW >= wantedW)
  if (eachW === undefined) return []
  return [
    {
      label: sentence('Take two heaters of {power} each', { power: ['power', eachW] }),
      brings: () =>
        sentence('They give {both} where {wanted} are wanted.', {
          both: ['power', 2 * eachW],
          wanted: ['power', coldest.wantedW, coldest.wantedBandW],
        }),
      edits: twoHeaters(whole.design, eachW),
    },
  ]
}

/** Every heater there is becomes one of this power; where there is but one, or none, more are put beside it. */
function twoHeaters(design: BasinDesign, eachW: number): Edit[] {
  const part = (like: Omit<DevicePart, 'id' | 'name' | 'powerW'>): DevicePart => ({
    ...like,
    id: `heater-${eachW}`,
    name: `Heater ${eachW} W`,
    powerW: eachW,
  })
  const { devices } = design.sump
  const swapped = devices.map((device): Device => {
    if (device.part.kind !== 'heater') return device
    const stronger = part(device.part)
    return {
      ...device,
      part: stronger,
      name: device.name === device.part.name ? stronger.name : device.name,
    }
  })
  let after = applyEdits(design, [setTo(['sump', 'devices'], swapped)])
  const missing = 2 - devices.filter((device) => device.part.kind === 'heater').length
  for (let k = 0; k < missing; k++) {
    const added = newDevice(after, part(ROD), freeId(after.sump.devices))
    after = applyEdits(after, [setTo(['sump', 'devices'], [...after.sump.devices, added])])
  }
  return [setTo(['sump', 'devices'], after.sump.devices)]
}

function freeId(devices: readonly Device[]): string {
  const taken = new Set(devices.map(({ id }) => id))
  let n = 1
  while (taken.has(`heater-${n}`)) n += 1
  return `heater-${n}`
}
