import type { BasinDesign } from '../../design/index.ts'
import { flatMap } from '../../numeric/index.ts'
import type { NetWater } from '../gravity/net-water.ts'
import type { RunningSump } from '../gravity/solved-gravity.ts'
import type { SolvedReturn } from '../return/solved.ts'
import { solveDevice } from './solve-devices.ts'
import { solveLoad } from './solve-load.ts'
import { solveSkimmer } from './solve-skimmer.ts'
import { solveSterilizer } from './solve-sterilizer.ts'
import type { DeviceClearance, SolvedTreatment } from './solved-treatment.ts'

/** What treatment is matched to: the loop as it was solved. */
export interface SolvedWay {
  readonly water: NetWater
  readonly sump: RunningSump
  readonly returnSide: SolvedReturn
  /** Of each device. */
  readonly clearances: readonly (DeviceClearance | null)[]
}

/** Every device against the loop it stands in. `design` has its water where it runs. */
export function solveTreatment(design: BasinDesign, way: SolvedWay): SolvedTreatment {
  const { devices } = design.sump
  const { returnSide, sump, clearances } = way
  const load = solveLoad(design, way.water)
  return {
    load,
    devices: devices.map((device, i) =>
      solveDevice(design, device, returnSide, { sump, clearance: clearances[i]! }),
    ),
    skimmers: flatMap(devices, (device) =>
      device.part.skimmer
        ? [solveSkimmer(design, device, device.part.skimmer, { load, sump, returnSide })]
        : [],
    ),
    sterilizers: flatMap(devices, (device) =>
      device.part.sterilizer
        ? [solveSterilizer(design, device, device.part.sterilizer, { load, returnSide })]
        : [],
    ),
  }
}
