import { fallFlow, fallHeadM } from './fall.ts'
import { type OpenPipe, openPipeFlow, openPipeRiseM } from './emergency.ts'

/** An emergency pipe as it is laid: its open mouth, what it does below, and the rim it must stay under. */
export interface EmergencyPipe extends OpenPipe {
  /** Its end so far under water, m; nil or less: in air. */
  readonly endUnderM: number
  /** A stretch of it rises. */
  readonly rises: boolean
  /** Another pipe runs into it, or it into one: what that brings nobody knows, so running full is not counted on. */
  readonly joined: boolean
}

/** What decides whether a pipe ever runs full. */
type Filling = Pick<EmergencyPipe, 'boreM' | 'endUnderM' | 'rises' | 'joined'>

/** An upright pipe runs full from so much water over its mouth, in bores (Kalinske 1940). */
export const PRIMES_FROM_BORES = 1.25
/** And for certain from here. */
const PRIMES_LATE_BORES = 1.5
/** An end deeper under water than this, in bores, keeps the air in. */
export const DEEP_END_BORES = 1.5
/** So much more flow than wanted must be carried too before it is called fine. */
const RESERVE = 1.15

/** Why an emergency can't be relied on whatever its size. */
export type EmergencyFault = 'stretch-rises' | 'end-too-deep'

const endsTooDeep = ({ boreM, endUnderM }: Filling) => endUnderM > DEEP_END_BORES * boreM

/** What keeps an emergency pipe from ever running full by its own making; each is a stop of its own. */
export function emergencyFaults(pipe: Filling): EmergencyFault[] {
  const faults: EmergencyFault[] = []
  if (pipe.rises) faults.push('stretch-rises')
  if (endsTooDeep(pipe)) faults.push('end-too-deep')
  return faults
}

/** Does an upright pipe ever run full? */
export function canRunFull(pipe: Filling): boolean {
  return !pipe.rises && !pipe.joined && !endsTooDeep(pipe)
}

/** What it takes once it runs full, with so much water over its mouth; nil where that is too little, or it never does. */
function primedEmergencyFlow(pipe: EmergencyPipe, riseM: number): number {
  const { boreM, below } = pipe
  if (!below || !canRunFull(pipe) || riseM < PRIMES_FROM_BORES * boreM) return 0
  return fallFlow(below.fall, below.dropM + riseM)
}

/** Rise over the mouth at which the full pipe takes a flow, counted from so many bores on; Infinity: it never runs full. */
function primedRiseM(pipe: EmergencyPipe, flowM3PerS: number, fromBores: number): number {
  const { boreM, below } = pipe
  if (!below || below.fall.shut || !canRunFull(pipe)) return Infinity
  return Math.max(fromBores * boreM, fallHeadM(below.fall, flowM3PerS) - below.dropM)
}

/** How an emergency takes the whole flow. */
export interface EmergencyAnswer {
  /** What the open mouth, and the full pipe, take with the water at the rim, m³/s. */
  readonly openAtRimM3PerS: number
  readonly primedAtRimM3PerS: number
  /** Rise over the mouth for the flow by the open mouth alone, m. */
  readonly riseOpenM: number
  /** By the full pipe alone; Infinity: it never runs full. */
  readonly risePrimedM: number
  /** By the better of the two. */
  readonly riseNeededM: number
  readonly by: 'open' | 'primed'
  /** For 15 % more flow. */
  readonly riseWithReserveM: number
  readonly verdict: 'fine' | 'watch' | 'stop'
}

/**
 * Does an emergency take a flow before the water passes a rim (hydraulics reference, §7)? By the better
 * of its open mouth and its full pipe; fine only where the open mouth alone, a pipe that fills late
 * and 15 % more flow all stay under the rim.
 */
export function emergencyAnswer(
  pipe: EmergencyPipe,
  flowM3PerS: number,
  inletToRimM: number,
): EmergencyAnswer {
  const riseOpenM = openPipeRiseM(pipe, flowM3PerS)
  const risePrimedM = primedRiseM(pipe, flowM3PerS, PRIMES_FROM_BORES)
  const riseNeededM = Math.min(riseOpenM, risePrimedM)
  const lateM = Math.min(riseOpenM, primedRiseM(pipe, flowM3PerS, PRIMES_LATE_BORES))
  const more = RESERVE * flowM3PerS
  const riseWithReserveM = Math.min(
    openPipeRiseM(pipe, more),
    primedRiseM(pipe, more, PRIMES_FROM_BORES),
  )
  const doubtfulM = Math.max(riseOpenM, lateM, riseWithReserveM)
  return {
    openAtRimM3PerS: openPipeFlow(pipe, inletToRimM),
    primedAtRimM3PerS: primedEmergencyFlow(pipe, inletToRimM),
    riseOpenM,
    risePrimedM,
    riseNeededM,
    by: risePrimedM < riseOpenM ? 'primed' : 'open',
    riseWithReserveM,
    verdict: riseNeededM > inletToRimM ? 'stop' : doubtfulM > inletToRimM ? 'watch' : 'fine',
  }
}
