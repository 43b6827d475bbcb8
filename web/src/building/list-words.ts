import type { building } from '@yew-basin/core'
import { PANEL_PARTS } from '../sump/cut-drawing.ts'
import type { useUnits } from '../shell/units.ts'

type Units = ReturnType<typeof useUnits>

/** The parts of a shop, as they are headed. */
export const GROUP_WORDS: Readonly<Record<building.ShopGroup, string>> = {
  adapters: 'Adapters, which a shop may not have',
  pipe: 'Pipe and hose',
  fittings: 'Fittings',
  valves: 'Valves and unions',
  bulkheads: 'Bulkheads',
  devices: 'Pumps and devices',
  glue: 'Glue, seals and clamps',
  panels: 'Panels',
}

/** A line's size as it is asked for. */
export function askedSize(line: building.ListLine, units: Units): string {
  if (line.panelM) return line.panelM.map((m) => units.cut(m, PANEL_PARTS)).join(' × ')
  return line.size
}

/** So much of a line, in its own unit. */
export function countWords(line: building.ListLine, count: number, units: Units): string {
  if (line.unit === 'metre') return units.text('head', count)
  if (line.unit === 'glue') return units.text('glue', count)
  if (line.unit === 'stock' && line.pipe?.stockM)
    return `${count} × ${units.text('head', line.pipe.stockM)}`
  return String(count)
}

/** What one of it costs is asked for: apiece, a metre, a length. */
export const PER_WORDS: Readonly<Record<building.ListLine['unit'], string>> = {
  piece: 'each',
  stock: 'a length',
  metre: 'a metre',
  glue: 'in all',
}
