import type { PipeSeries, PipeSize } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { ByRule, OneOf, WithinOrNull } from './rules.ts'

/** Sizes of each series, as they are stored. A test holds them against the core's own table. */
const INCH_PIPE = ['1/2', '3/4', '1', '1 1/4', '1 1/2', '2', '3']
const METRIC_PIPE = ['20', '25', '32', '40', '50', '63']
const HOSE = [
  '10',
  '12',
  '13',
  '16',
  '19',
  '20',
  '25',
  '32',
  '38',
  '40',
  '50',
  '3/8 in',
  '1/2 in',
  '5/8 in',
  '3/4 in',
  '1 in',
  '1 1/4 in',
  '1 1/2 in',
  '2 in',
]

/** Sizes of every series, by name. */
export const SIZES: Readonly<Record<PipeSeries, readonly string[]>> = {
  'schedule-40': INCH_PIPE,
  'schedule-80': INCH_PIPE,
  'pn-16': METRIC_PIPE,
  'pn-10': METRIC_PIPE,
  'smooth-hose': HOSE,
  'braided-hose': HOSE,
  'ribbed-hose': HOSE,
}

/** A pipe or hose by its series and size. */
export class PipeSizeDocument implements PipeSize {
  @OneOf(
    Object.keys(SIZES),
    'Schedule 40 and 80 by ASTM D1785, PN 16 and PN 10 by EN ISO 1452, or hose by its true inside diameter.',
  )
  series!: PipeSeries

  @OneOf(
    [...new Set([...INCH_PIPE, ...METRIC_PIPE, ...HOSE])],
    'Trade size: inches for schedule pipe, outside diameter in mm for PN pipe, inside diameter for hose (mm, or inches marked "in").',
  )
  @ByRule('size of its series', (size, owner) => {
    const sizes: readonly unknown[] = SIZES[(owner as PipeSizeDocument).series]
    return sizes.includes(size) ? null : `must be one of ${sizes.join(', ')}`
  })
  size!: string

  @WithinOrNull(LIMITS.bore, 'True bore as measured, m, in place of the standard’s.')
  boreM!: number | null
}
