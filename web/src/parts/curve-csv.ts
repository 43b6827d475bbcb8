import { fromSi, QUANTITIES, toSi, type QuantityName, type Unit } from '@yew-basin/core'
import Papa from 'papaparse'

/** One row of a pump's curve as a file has it, SI. */
export interface CurveRow {
  readonly flowM3PerS: number
  readonly headM: number
  readonly powerW: number | null
}

export type ReadCurve =
  | { readonly ok: true; readonly rows: readonly CurveRow[] }
  | { readonly ok: false; readonly faults: readonly string[] }

interface Column {
  readonly name: 'flow' | 'head' | 'power'
  readonly quantity: QuantityName
  readonly needed: boolean
}
const COLUMNS: readonly Column[] = [
  { name: 'flow', quantity: 'flow', needed: true },
  { name: 'head', quantity: 'head', needed: true },
  { name: 'power', quantity: 'power', needed: false },
]
/** Largest file that is read, characters: a curve has tens of lines, not thousands. */
const MOST_CHARACTERS = 200_000
const MOST_ROWS = 200

/** "flow (L/h)", "flow L/h", "flow_L_h": a column's name and its unit; without one the metric unit counts. */
function unitOf(header: string, { name, quantity }: Column): Unit | null {
  const text = header
    .trim()
    .toLowerCase()
    .slice(name.length)
    .replace(/^[\s_:,]+/, '')
    .replace(/[()[\]\s]/g, '')
  const { shown, alsoTyped } = QUANTITIES[quantity]
  const units = [shown.metric, shown.us, ...alsoTyped]
  if (text === '') return shown.metric
  const plain = (unit: string) => unit.toLowerCase().replace(/[_/]/g, '').replace('³', '3')
  return (
    units.find((unit) =>
      [unit.label, ...unit.typed].some((known) => plain(known) === plain(text)),
    ) ?? null
  )
}

interface Found {
  readonly column: Column
  readonly at: number
  readonly unit: Unit
}

/**
 * Reads a pump's curve: a header with flow, head and perhaps power, each with its unit, then a line
 * a point. Every fault is named by its line and column; with one fault nothing is read.
 */
export function readCurveCsv(text: string): ReadCurve {
  if (text.length > MOST_CHARACTERS)
    return { ok: false, faults: ['The file is too long for a curve.'] }
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false })
  const lines = parsed.data
  const headerAt = lines.findIndex((cells) => cells.some((cell) => cell.trim() !== ''))
  if (headerAt < 0) return { ok: false, faults: ['The file is empty.'] }
  const header = findColumns(lines[headerAt]!, headerAt + 1)
  if (!header.ok) return header
  const faults: string[] = []
  const rows: CurveRow[] = []
  lines.forEach((cells, i) => {
    if (i <= headerAt || cells.every((cell) => cell.trim() === '')) return
    const row = readRow(cells, i + 1, header.found, faults)
    if (row) rows.push(row)
  })
  if (faults.length === 0 && rows.length < 2)
    faults.push('A curve needs two lines of figures or more.')
  if (rows.length > MOST_ROWS)
    faults.push(`A curve takes ${MOST_ROWS} points; the file has ${rows.length}.`)
  faults.push(...orderFaults(rows))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, rows }
}

function findColumns(
  cells: readonly string[],
  line: number,
): { ok: true; found: Found[] } | { ok: false; faults: string[] } {
  const faults: string[] = []
  const found: Found[] = []
  for (const column of COLUMNS) {
    const at = cells.findIndex((cell) => cell.trim().toLowerCase().startsWith(column.name))
    if (at < 0) {
      if (column.needed) {
        faults.push(
          `Line ${line}: there is no column “${column.name}”. Name the columns flow, head and, if you have it, power.`,
        )
      }
      continue
    }
    const unit = unitOf(cells[at]!, column)
    if (unit) found.push({ column, at, unit })
    else
      faults.push(
        `Line ${line}, column ${at + 1}: “${cells[at]!.trim()}” has a unit that is not known.`,
      )
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, found }
}

function readRow(
  cells: readonly string[],
  line: number,
  found: readonly Found[],
  faults: string[],
): CurveRow | null {
  const values: Record<string, number | null> = { flow: null, head: null, power: null }
  let good = true
  for (const { column, at, unit } of found) {
    const text = (cells[at] ?? '').trim()
    if (text === '' && !column.needed) continue
    const number = text === '' ? NaN : Number(text.replace(/^\+/, ''))
    if (!Number.isFinite(number) || number < 0) {
      faults.push(
        `Line ${line}, column ${at + 1} (${column.name}): ${text === '' ? 'nothing stands there' : `“${text}” is no number from 0 up`}.`,
      )
      good = false
    } else values[column.name] = toSi(unit, number)
  }
  return good ? { flowM3PerS: values.flow!, headM: values.head!, powerW: values.power! } : null
}

/** Flow must rise from line to line, and head must not. */
function orderFaults(rows: readonly CurveRow[]): string[] {
  return rows.flatMap((row, i) => {
    const before = rows[i - 1]
    if (!before) return []
    if (!(row.flowM3PerS > before.flowM3PerS))
      return [`Point ${i + 1}: its flow is not above that of the point before it.`]
    if (row.headM > before.headM)
      return [`Point ${i + 1}: its head is above that of the point before it.`]
    return []
  })
}

/** The same file back: L/h, m and W, with a header that says so. */
export function writeCurveCsv(rows: readonly CurveRow[]): string {
  const hasPower = rows.some(({ powerW }) => powerW !== null)
  const round = (value: number) => Number(value.toPrecision(8))
  return (
    Papa.unparse({
      fields: ['flow (L/h)', 'head (m)', ...(hasPower ? ['power (W)'] : [])],
      data: rows.map(({ flowM3PerS, headM, powerW }) => [
        round(fromSi(QUANTITIES.flow.shown.metric, flowM3PerS)),
        round(headM),
        ...(hasPower ? [powerW ?? ''] : []),
      ]),
    }) + '\r\n'
  )
}
