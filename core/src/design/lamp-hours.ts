import { memoizeWith } from '../numeric/index.ts'
import type { BasinDesign } from './design.ts'
import type { Lamp } from './devices.ts'

const DAY_MS = 86_400_000
const HOUR_S = 3600

/** Whole days from one day (yyyy-mm-dd) to another; not below zero. */
export function daysBetween(from: string, to: string): number {
  return Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS))
}

/** What a lamp has burned by a day, s. */
export function burnedByS(
  { burnedS, burnedOn, lampSince, hoursPerDay }: Lamp,
  day: string,
): number {
  const since = (from: string) => daysBetween(from, day) * hoursPerDay * HOUR_S
  if (burnedOn !== null) return burnedS + since(burnedOn)
  return lampSince === null ? burnedS : Math.max(burnedS, since(lampSince))
}

/** The design as it is on a day (yyyy-mm-dd): its lamps have burned on. The same object where none has. */
export const onDay = memoizeWith(
  (design: BasinDesign, day: string): BasinDesign => {
    const { sump } = design
    const older = sump.devices.map((device) => {
      if (!device.lamp) return device
      const burnedS = burnedByS(device.lamp, day)
      return burnedS === device.lamp.burnedS
        ? device
        : { ...device, lamp: { ...device.lamp, burnedS, burnedOn: day } }
    })
    if (older.every((device, i) => device === sump.devices[i])) return design
    return { ...design, sump: { ...sump, devices: older } }
  },
  (before, now) => before === now,
)
