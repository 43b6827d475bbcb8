import { LIMITS, withinLimit } from '@yew-basin/contract/limits'
import type { PumpPart } from '@yew-basin/core'

/** A pump of which nothing is known yet but that it has a box with numbers on it. */
export function newPump(): PumpPart {
  return {
    id: 'new',
    partId: null,
    name: 'My pump',
    control: 'fixed-speed',
    mounting: 'under-water',
    curve: [],
    shutOffHeadM: null,
    maxFlowM3PerS: null,
    ratedPowerW: NaN,
    power: [],
    outletBoreM: 0.02,
    inletBoreM: null,
    leastDepthM: null,
    leastSpeed: 1,
    priceClass: null,
    size: null,
  }
}

/** Which of the numbers on its box are not given yet, in words; a pump with a curve needs its power alone. */
export function boxFaults(part: PumpPart, name = part.name): string[] {
  const power = ['Power', LIMITS.pumpPower, part.ratedPowerW] as const
  const needed =
    part.curve.length > 0
      ? [power]
      : [
          ['Most flow', LIMITS.pumpFlow, part.maxFlowM3PerS] as const,
          ['Most head', LIMITS.pumpHead, part.shutOffHeadM] as const,
          power,
        ]
  const faults = needed.flatMap(([label, limit, si]) =>
    si !== null && si > 0 && withinLimit(limit, si) ? [] : [`${label} is not set yet.`],
  )
  return name.trim() === '' ? [...faults, 'It has no name yet.'] : faults
}
