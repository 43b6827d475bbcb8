import type { BasinDesign, HeatPlan } from '../src/design/index.ts'
import { aDevice, withDevices } from './a-device.ts'
import { INSIDE, LOOP } from './a-treated-loop.ts'

/** A room that is cold in winter and warm in summer, and nothing else of note. */
export const ROOM: HeatPlan = {
  coldestRoomC: 17,
  warmestRoomC: 26,
  humidity: null,
  stirred: 1,
  tankPanels: 'glass',
  sumpPanels: 'glass',
  lightsW: 100,
  lightHoursPerDay: 10,
  chillerW: null,
  warningS: 8 * 3600,
}

/** The loop in that room, with heaters of these powers in its skimmer's chamber. */
export function aHeatedLoop(
  heatersW: readonly number[],
  room: Partial<HeatPlan> = {},
): BasinDesign {
  const heaters = heatersW.map((powerW, i) =>
    aDevice({
      ...INSIDE,
      id: `heater-${i}`,
      yM: 0.05 * i,
      made: { kind: 'heater', powerW, lengthM: 0.03, widthM: 0.03, sectionM2: 0.0007, handM: 0 },
    }),
  )
  return { ...withDevices(LOOP, ...heaters), heat: { ...ROOM, ...room } }
}
