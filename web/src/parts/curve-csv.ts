import { fromSi, QUANTITIES, type QuantityName, type Unit } from '@yew-basin/core'
import Papa from 'papaparse'
import { cellSi, csvCells, type CsvCells, isNumeric, MOST_CHARACTERS } from './csv-cells.ts'

/** One row of a pump's curve as a file has it, SI. */
export interface CurveRow {
  readonly flowM3PerS: number
  readonly headM: number
  readonly powerW: number | null
}

/** What stands in a column of a file: a quantity in a unit, or nothing that is wanted. */
export type ColumnRole = { readonly name: ColumnName; readonly unit: Unit } | null
type ColumnName = 'flow' | 'head' | 'power'

export type ReadCurve =
  | { readonly ok: true; readonly rows: readonly CurveRow[] }
  | { readonly ok: false; readonly faults: readonly string[] }
  /** It has no header: its first lines, and what its columns most likely are. */
  | {
      readonly ok: false
      readonly asks: {
        readonly sample: readonly (readonly string[])[]
        readonly roles: readonly ColumnRole[]
      }
      readonly faults: readonly string[]
    }

interface Column {
  readonly name: ColumnName
  readonly quantity: QuantityName
  readonly words: RegExp
  readonly needed: boolean
}
const COLUMNS: readonly Column[] = [
  { name: 'flow', quantity: 'flow', words: /^(flow|discharge|capacity|q\b)/i, needed: true },
  { name: 'head', quantity: 'head', words: /^(head|height|lift|h\b)/i, needed: true },
  { name: 'power', quantity: 'power', words: /^(power|watts?|p\b)/i, needed: false },
]
const MOST_ROWS = 200
const SAMPLE_LINES = 4

/** Every unit that a column may be in. */
export function unitsOf(name: ColumnName): readonly Unit[] {
  const { shown, alsoTyped } = QUANTITIES[COLUMNS.find((column) => column.name === name)!.quantity]
  return [...new Set([shown.metric, shown.us, ...alsoTyped])]
}

interface Found {
  readonly column: Column
  readonly at: number
  readonly unit: Unit
}

/**
 * Reads a pump's curve as people have it: title lines, a header with flow, head and perhaps power,
 * units there or in the cells, lines in any order. Without a header it asks what its columns are, unless
 * they are told. Every fault is named by its line and column; with one fault nothing is read.
 *
 * @param told what stands in each column
 */
export function readCurveCsv(text: string, told?: readonly ColumnRole[]): ReadCurve {
  if (text.length > MOST_CHARACTERS)
    return { ok: false, faults: ['The file is too long for a curve.'] }
  const csv = csvCells(text)
  const { lines } = csv
  if (lines.every((cells) => cells.every((cell) => cell === ''))) {
    return { ok: false, faults: ['The file is empty.'] }
  }
  if (told) return readRows(csv, -1, foundOf(told))
  const headerAt = lines.findIndex(isHeader)
  if (headerAt < 0) return withoutHeader(csv)
  const header = findColumns(lines[headerAt]!, headerAt + 1)
  return header.ok ? readRows(csv, headerAt, header.found) : header
}

/** Names flow and head, in any words for them. */
function isHeader(cells: readonly string[]): boolean {
  return COLUMNS.filter(({ needed }) => needed).every(({ words }) =>
    cells.some((cell) => words.test(cell)),
  )
}

/** Columns of figures under no header: asked about. A line that names only some of them has a fault. */
function withoutHeader({ lines }: CsvCells): ReadCurve {
  const named = lines.findIndex((cells) =>
    cells.some((cell) => COLUMNS.some(({ words }) => words.test(cell))),
  )
  if (named >= 0 && lines[named]!.filter((cell) => cell !== '').length > 1) {
    const header = findColumns(lines[named]!, named + 1)
    if (!header.ok) return header
  }
  const figures = lines.filter((cells) => cells.filter(isNumeric).length >= 2)
  if (figures.length < 2) {
    return {
      ok: false,
      faults: ['A curve needs two lines of figures or more, each with flow and head.'],
    }
  }
  return {
    ok: false,
    faults: ['The file does not say which column is which.'],
    asks: { sample: figures.slice(0, SAMPLE_LINES), roles: likelyRoles(figures) },
  }
}

/** Flow in litres or gallons is the largest number of a curve; head is the first column beside it. */
function likelyRoles(figures: CsvCells['lines']): ColumnRole[] {
  const most = (at: number) =>
    Math.max(...figures.map((cells) => Number.parseFloat(cells[at] ?? '') || 0))
  const widths = figures.map((cells) => cells.length)
  const columns = Array.from({ length: Math.max(...widths) }, (_, at) => at)
  const flowAt = columns.reduce((a, b) => (most(b) > most(a) ? b : a))
  const headAt = flowAt === 0 ? 1 : 0
  const metric = (name: ColumnName): ColumnRole => ({ name, unit: unitsOf(name)[0]! })
  return columns.map((at) => {
    if (at === flowAt) return metric('flow')
    return at === headAt ? metric('head') : null
  })
}

function foundOf(told: readonly ColumnRole[]): Found[] {
  return told.flatMap((role, at): Found[] => {
    const column = COLUMNS.find(({ name }) => name === role?.name)
    return role && column ? [{ column, at, unit: role.unit }] : []
  })
}

function findColumns(
  cells: readonly string[],
  line: number,
): { ok: true; found: Found[] } | { ok: false; faults: string[] } {
  const faults: string[] = []
  const found: Found[] = []
  for (const column of COLUMNS) {
    const at = cells.findIndex((cell) => column.words.test(cell))
    if (at < 0) {
      if (column.needed) {
        faults.push(
          `Line ${line}: there is no column “${column.name}”. Name the columns flow, head and, if you have it, power.`,
        )
      }
      continue
    }
    const unit = unitIn(cells[at]!, column)
    if (unit) found.push({ column, at, unit })
    else
      faults.push(
        `Line ${line}, column ${at + 1}: “${cells[at]!.trim()}” has a unit that is not known.`,
      )
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, found }
}

/** "flow (L/h)", "flow L/h", "flow_L_h": a column's name and its unit; without one the metric unit counts. */
function unitIn(header: string, { name, words }: Column): Unit | null {
  const text = header
    .replace(words, '')
    .replace(/^[\s_:,]+/, '')
    .replace(/[()[\]\s]/g, '')
  const units = unitsOf(name)
  if (text === '') return units[0]!
  const plain = (unit: string) => unit.toLowerCase().replace(/[_/]/g, '').replace('³', '3')
  return (
    units.find((unit) =>
      [unit.label, ...unit.typed].some((known) => plain(known) === plain(text)),
    ) ?? null
  )
}

function readRows(
  { lines, decimalComma }: CsvCells,
  headerAt: number,
  found: readonly Found[],
): ReadCurve {
  const unclear = roleFaults(found)
  if (unclear.length > 0) return { ok: false, faults: unclear }
  const faults: string[] = []
  const rows: CurveRow[] = []
  lines.forEach((cells, i) => {
    if (i <= headerAt || cells.every((cell) => cell === '')) return
    // Above figures without a header stand titles, if anything.
    if (headerAt < 0 && rows.length === 0 && !cells.some(isNumeric)) return
    const row = readRow(cells, i + 1, { found, decimalComma }, faults)
    if (row) rows.push(row)
  })
  if (faults.length === 0 && rows.length < 2)
    faults.push('A curve needs two lines of figures or more.')
  if (rows.length > MOST_ROWS)
    faults.push(`A curve takes ${MOST_ROWS} points; the file has ${rows.length}.`)
  const inOrder = rows.toSorted((a, b) => a.flowM3PerS - b.flowM3PerS)
  faults.push(...orderFaults(inOrder))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, rows: inOrder }
}

/** Each quantity stands in one column, those that are needed in just one. */
function roleFaults(found: readonly Found[]): string[] {
  return COLUMNS.flatMap(({ name, needed }) => {
    const columns = found.filter(({ column }) => column.name === name).length
    if (columns > 1) return [`${columns} columns are its ${name}; it has one.`]
    return needed && columns === 0 ? [`No column is its ${name}.`] : []
  })
}

function readRow(
  cells: readonly string[],
  line: number,
  { found, decimalComma }: { readonly found: readonly Found[]; readonly decimalComma: boolean },
  faults: string[],
): CurveRow | null {
  const values: Record<ColumnName, number | null> = { flow: null, head: null, power: null }
  let good = true
  for (const { column, at, unit } of found) {
    const text = cells[at] ?? ''
    if (text === '' && !column.needed) continue
    const si = text === '' ? null : cellSi(text, { quantity: column.quantity, unit }, decimalComma)
    if (si === null) {
      faults.push(
        `Line ${line}, column ${at + 1} (${column.name}): ${text === '' ? 'nothing stands there' : `“${text}” is no ${column.name} from 0 up`}.`,
      )
      good = false
    } else values[column.name] = si
  }
  return good ? { flowM3PerS: values.flow!, headM: values.head!, powerW: values.power } : null
}

/** In the order of their flows, no two alike, and the head falls from each to the next. */
function orderFaults(rows: readonly CurveRow[]): string[] {
  return rows.flatMap((row, i) => {
    const before = rows[i - 1]
    if (!before) return []
    const flow = Math.round(fromSi(QUANTITIES.flow.shown.metric, row.flowM3PerS))
    if (row.flowM3PerS === before.flowM3PerS) return [`Two points have the flow ${flow} L/h.`]
    if (!(row.headM < before.headM))
      return [`At ${flow} L/h its head is not below that of the point before it.`]
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
