import type { Law } from '../rates.ts'

/** A pump that gasps: its chamber stays at its inlet's level, so it passes what all others bring there, up to what it ran at. */
export function gaspOf(chamber: number, tank: number, mostM3PerS: number): Law {
  return {
    add: (_levels, rates) =>
      rates.flow(chamber, tank, Math.min(Math.max(0, rates.rate[chamber]!), mostM3PerS)),
  }
}
