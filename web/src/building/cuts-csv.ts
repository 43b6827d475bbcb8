import type { building } from '@yew-basin/core'
import Papa from 'papaparse'
import { betweenWords } from './cut-words.ts'
import { millimetres } from '../shell/millimetres.ts'

/** The cuts as CSV, in millimetres. */
export function cutsCsv({ cuts, routes }: building.BuildSheet): string {
  const rows = cuts.map((cut) => [
    cut.mark,
    routes.find(({ id }) => id === cut.routeId)?.name ?? '',
    cut.kind,
    `${cut.size.series} ${cut.size.size}`,
    millimetres(cut.cutM),
    millimetres(cut.centreToCentreM),
    betweenWords(cut, routes),
    cut.parts,
    cut.verdict,
  ])
  const header = [
    'mark',
    'run',
    'kind',
    'size',
    'cut mm',
    'middle to middle mm',
    'between',
    'parts',
    'verdict',
  ]
  return Papa.unparse([header, ...rows], { newline: '\r\n' })
}
