import { applyEdits, type BasinDesign, setTo } from '../design/index.ts'
import type { DevicePart } from '../device/index.ts'
import { deviceSwappedIn } from '../editing/index.ts'
import { steadyState } from '../loop/index.ts'
import { figuresOf, type SolvedDevice, type SolvedSterilizer } from '../figures/index.ts'

/** A sterilizer in another one's place and line, its lamp as old as the one there, or new where it is another. */
export interface SterilizerCandidate {
  readonly part: DevicePart
  readonly sterilizer: SolvedSterilizer
  readonly device: SolvedDevice
  /** Lit around the clock, W; against the one that stands there. */
  readonly savesW: number
}

/** Every sterilizer of a list in the place of one of the design's, its ports' loss counted. */
export function sterilizerCandidates(
  design: BasinDesign,
  deviceId: string,
  parts: readonly DevicePart[],
): SterilizerCandidate[] {
  const at = design.sump.devices.findIndex(({ id }) => id === deviceId)
  const now = design.sump.devices[at]
  if (!now?.lamp) return []
  return parts.flatMap((part): SterilizerCandidate[] => {
    if (!part.sterilizer) return []
    const device = deviceSwappedIn(design, now, part, now.standM)
    const { treatment } = figuresOf(
      steadyState(applyEdits(design, [setTo(['sump', 'devices', at], device)])),
    )
    const of = (solved: { readonly deviceId: string }) => solved.deviceId === deviceId
    const sterilizer = treatment.sterilizers.find(of)
    const solved = treatment.devices.find(of)
    if (!sterilizer || !solved) return []
    return [{ part, sterilizer, device: solved, savesW: now.part.powerW - part.powerW }]
  })
}
