import { type BasinDesign, type Device, standsInWater } from '../../design/index.ts'
import type { DevicePart } from '../../device/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import type { Figures } from '../figures.ts'
import { clearanceOf } from './place.ts'
import { devicePowerW, solveDevice } from './solve-devices.ts'
import { solveSkimmer } from './solve-skimmer.ts'
import type { SolvedDevice, SolvedSkimmer } from './solved-treatment.ts'

/** A skimmer in another one's place, on the stand that suits it. */
export interface SkimmerCandidate {
  readonly part: DevicePart
  readonly skimmer: SolvedSkimmer
  readonly device: SolvedDevice
  /** Stand under it, m. */
  readonly standM: number
  /** It stands in its chamber, clear of the rest, in water that suits it, and its cup comes off. */
  readonly fits: boolean
  /** Of the water's surface, against the one that stands there; negative: it takes more. */
  readonly freesM2: number
  readonly savesW: number
}

/** Every skimmer of a list in the place of one of the design's. `running` has its water where it runs. */
export function skimmerCandidates(
  running: BasinDesign,
  solved: Pick<Figures, 'treatment' | 'sump' | 'returnSide'>,
  deviceId: string,
  parts: readonly DevicePart[],
): SkimmerCandidate[] {
  const now = running.sump.devices.find(({ id }) => id === deviceId)
  if (!now) return []
  return parts.flatMap((part) => {
    const spec = part.skimmer
    if (!spec) return []
    const around = {
      load: solved.treatment.load,
      sump: solved.sump,
      returnSide: solved.returnSide,
    }
    const flat = swapped(now, part, part.id === now.part.id ? now.standM : 0)
    const first = solveSkimmer(running, flat, spec, around)
    const standM = part.id === now.part.id ? now.standM : toMillimetre(first.depth?.standM ?? 0)
    const placed = { ...flat, standM }
    const skimmer = solveSkimmer(running, placed, spec, around)
    const device = solveDevice(running, placed, solved.returnSide, {
      sump: solved.sump,
      clearance: clearanceOf(running.sump, placed),
    })
    return [
      {
        part,
        skimmer,
        device,
        standM,
        fits: fits(skimmer, device),
        freesM2: takesM2(now) - takesM2(placed),
        savesW: devicePowerW(now) - devicePowerW(placed),
      },
    ]
  })
}

/** Of the water's surface; what stands outside takes none. */
const takesM2 = (device: Device) => (standsInWater(device) ? device.part.sectionM2 : 0)

/** A device with another part in its place; another sterilizer has a new lamp and sleeve. */
export function swapped(now: Device, part: DevicePart, standM: number): Device {
  const unburned = {
    burnedS: 0,
    sleeveFactor: 1,
    burnedOn: null,
    lampSince: null,
    sleeveSince: null,
  }
  return {
    ...now,
    lamp: now.lamp && part.id !== now.part.id ? { ...now.lamp, ...unburned } : now.lamp,
    name: now.name === now.part.name ? part.name : now.name,
    part,
    standM,
    speed: part.control === 'controllable' && now.part.control === 'controllable' ? now.speed : 1,
  }
}

function fits({ depth, aboveCupM }: SolvedSkimmer, { clearance }: SolvedDevice): boolean {
  // What goes beside the sump is placed in the room, not where the other one stood.
  const stands =
    clearance === null ||
    !clearance.inWater ||
    (clearance.sticksOutM === 0 && clearance.collidesWith.length === 0 && !clearance.runsIntoSump)
  return stands && (depth === null || depth.says === 'right') && (aboveCupM ?? 0) >= 0
}
