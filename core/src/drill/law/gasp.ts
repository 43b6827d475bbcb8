import type { Law, Rates } from '../rates.ts'

/**
 * A pump that gasps: its chamber stays at its inlet's level, so it passes what all others bring there, up to what it
 * ran at. Comes last among the laws; its slopes are theirs, since what they bring it takes.
 */
export function gaspOf(chamber: number, tank: number, mostM3PerS: number): Law {
  return {
    add: (_levels, rates, wantsSlopes) => {
      const brought = rates.rate[chamber]!
      if (brought <= 0) return
      rates.flow(chamber, tank, Math.min(brought, mostM3PerS))
      if (wantsSlopes && brought < mostM3PerS) passSlopes(rates, chamber, tank)
    },
  }
}

function passSlopes(rates: Rates, chamber: number, tank: number): void {
  const { perLevel, size } = rates
  for (let level = 0; level < size; level++) {
    const slope = perLevel[chamber * size + level]!
    if (slope !== 0) rates.slope(chamber, tank, level, slope)
  }
}
