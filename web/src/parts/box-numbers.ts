import type { PumpPart } from '@yew-basin/core'

/** The numbers that are on every pump's box. */
export type BoxNumbers = Pick<PumpPart, 'maxFlowM3PerS' | 'shutOffHeadM' | 'ratedPowerW'>
