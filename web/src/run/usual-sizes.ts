import { isHose, type PipeSeries, type PipeSize, type UnitFamily } from '@yew-basin/core'

/** What is taken until the keeper says otherwise, by what his shop sells. */
interface UsualSizes {
  readonly pipe: PipeSize
  readonly hose: PipeSize
  readonly bulkhead: string
}

const USUAL: Readonly<Record<UnitFamily, UsualSizes>> = {
  metric: {
    pipe: { series: 'pn-16', size: '25', boreM: null },
    hose: { series: 'smooth-hose', size: '20', boreM: null },
    bulkhead: '32 mm',
  },
  us: {
    pipe: { series: 'schedule-40', size: '3/4', boreM: null },
    hose: { series: 'smooth-hose', size: '3/4 in', boreM: null },
    bulkhead: '1 in',
  },
}

/** Sizes of a keeper who reads in these units. */
export const usualSizes = (family: UnitFamily): UsualSizes => USUAL[family]

/** The series a design's rigid pipe is of; of a design in hose, or with none, the usual one. */
export function rigidSeries(lead: PipeSeries | undefined, family: UnitFamily): PipeSeries {
  return lead === undefined || isHose(lead) ? USUAL[family].pipe.series : lead
}
