import type { Sump, TreatmentPlan } from '../design/index.ts'
import { QUOTED_TARGETS } from '../uv/index.ts'

/** What a sump is taken to want until the keeper says otherwise; its sizes are not set. */
export const USUAL_SUMP: Omit<Sump, 'chambers'> = {
  box: null,
  walls: [],
  marginM: 0.02,
  gapM: 0.0016,
  evaporationMmPerDay: 3,
  hungWaterM3: 0,
  topOff: null,
  devices: [],
  cabinet: null,
}

/** What is taken to be fed and wanted until the keeper says otherwise. */
export const USUAL_TREATMENT: TreatmentPlan = {
  feeds: [],
  stock: 'medium',
  otherShare: 0,
  school: 'match',
  oversizeFrom: 1.5,
  oversizeTo: 2,
  targets: QUOTED_TARGETS,
  targetId: 'green-water',
}
