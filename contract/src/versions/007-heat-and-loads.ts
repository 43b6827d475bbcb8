import { asPlain, eachOf, type Plain } from './plain.ts'

/** Where the upper of two factors begins, and how far over the lower one it is at least. */
const OVERSIZE_TO = 2
const OVERSIZE_SPAN = 4 / 3
const MOST_OVERSIZE = 4

/** A lamp of format 6 was taken to burn day and night. */
const HOURS_PER_DAY = 24

/**
 * Format 7 knows the room round the water, feeding that differs from day to day, two factors of the
 * school that oversizes, and hours that a lamp burns on. What was given stays: hours without a day
 * are the least that the lamp has burned.
 */
export function heatAndLoads(document: unknown): unknown {
  const { treatment, sump, returnSide, ...other } = asPlain(document)
  return {
    ...other,
    returnSide: isObject(returnSide) ? { ...returnSide, ownShare: null } : returnSide,
    sump: isObject(sump) ? { ...sump, devices: eachOf(sump.devices, withLampHours) } : sump,
    treatment: isObject(treatment) ? withRanges(treatment) : treatment,
    heat: null,
  }
}

const isObject = (value: unknown): value is Plain => typeof value === 'object' && value !== null

function withRanges({ factor, feeds, ...treatment }: Plain): Plain {
  const to =
    typeof factor === 'number'
      ? Math.min(MOST_OVERSIZE, Math.max(OVERSIZE_TO, factor * OVERSIZE_SPAN))
      : factor
  return {
    ...treatment,
    feeds: eachOf(feeds, (feed) => ({ ...feed, mostPerDay: null })),
    oversizeFrom: factor,
    oversizeTo: to,
  }
}

function withLampHours(device: Plain): Plain {
  if (!isObject(device.lamp)) return device
  return { ...device, lamp: { ...device.lamp, hoursPerDay: HOURS_PER_DAY, burnedOn: null } }
}
