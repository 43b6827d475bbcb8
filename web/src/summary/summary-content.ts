import { keyFigures, type KeyFigure, say, type Severity } from '@yew-basin/core'
import type { useUnits } from '../shell/units.ts'
import { besideFigure } from '../workspace/beside-figure.ts'
import { STATION_NAMES, STATIONS } from '../workspace/stations.ts'
import type { useDesign } from '../workspace/design-store.ts'

/** A line of figures as the page has it. */
export interface SummaryFigure {
  readonly label: string
  readonly value: string
  readonly beside: string
  readonly state: string
}

/** What stands on the one page that sums a basin up. */
export interface SummaryContent {
  readonly heading: string
  readonly below: string
  readonly figures: readonly SummaryFigure[]
  readonly findings: readonly { readonly severity: Severity; readonly words: string }[]
  /** Findings that found no room. */
  readonly more: number
  /** Of the figures everything rests on, so many are not given; zero: all are. */
  readonly assumed: number
  /** The same by where they are asked: "Return 4". */
  readonly assumedAt: readonly string[]
}

/** On paper a figure has its band, and then what stands beside it on a screen. */
function besideWithBand(figure: KeyFigure, units: ReturnType<typeof useUnits>): string {
  const { value, beside } = figure
  const band = value.bandSi && beside?.is !== 'band' ? `± ${units.band(value, value.bandSi)}` : ''
  return [band, besideFigure(figure, units)].filter(Boolean).join(', ')
}

/** So many findings have room under the drawing. */
const MOST_FINDINGS = 11
const ORDER: readonly Severity[] = ['stop', 'watch']
const STATE_WORDS: Readonly<Record<KeyFigure['state'], string>> = {
  stop: 'stop',
  watch: 'watch',
  fine: '',
}

/** Key figures with their bands, what stops and what to watch, and how much of it is assumed. */
export function summaryOf(
  store: ReturnType<typeof useDesign>,
  units: ReturnType<typeof useUnits>,
  today: string,
): SummaryContent {
  const solved = store.solved!
  const told = ORDER.flatMap((severity) =>
    solved.findings
      .filter((finding) => finding.severity === severity)
      .map(({ title }) => ({ severity, words: say(title, units.family) })),
  )
  return {
    heading: store.basin!.name,
    below: `${store.basin!.current.name}, ${today}`,
    figures: keyFigures(solved).map((figure) => {
      const { number, unit } = units.shown(figure.value)
      return {
        label: figure.label,
        value: `${number} ${unit}`,
        beside: besideWithBand(figure, units),
        state: STATE_WORDS[figure.state],
      }
    }),
    findings: told.slice(0, MOST_FINDINGS),
    more: Math.max(0, told.length - MOST_FINDINGS),
    assumed: store.assumed.size,
    assumedAt: STATIONS.flatMap((station) => {
      const count = store.standings?.[station].assumed.length ?? 0
      return count > 0 ? [`${STATION_NAMES[station]} ${count}`] : []
    }),
  }
}
