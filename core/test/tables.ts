import { existsSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

/**
 * Tables of values worked out independently of this project. The steering folder beside the
 * checkout holds the newest; a checkout that stands alone reads the copy kept here.
 */
const PLACES = ['../../../shared/check-values/', './check-values/']

function tableText(name: string): string {
  const found = PLACES.map((place) => fileURLToPath(new URL(place + name, import.meta.url))).find(
    (path) => existsSync(path),
  )
  if (!found) throw new Error(`no check table ${name}`)
  return readFileSync(found, 'utf8')
}

export type Row = Readonly<Record<string, string>>

export function csvTable(name: string): Row[] {
  const [head = '', ...lines] = tableText(name).trim().split('\n')
  const columns = head.trim().split(',')
  return lines.map((line) => {
    const cells = line.trim().split(',')
    return Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? '']))
  })
}

export function jsonTable<T>(name: string): T {
  return JSON.parse(tableText(name)) as T
}

/** A cell as a number; a blank one does not apply. */
export function cell(row: Row, column: string): number | null {
  const text = row[column]
  if (text === undefined) throw new Error(`no column ${column}`)
  return text === '' ? null : Number(text)
}

/** A cell that must be there. */
export function number(row: Row, column: string): number {
  const value = cell(row, column)
  if (value === null) throw new Error(`blank ${column} in ${JSON.stringify(row)}`)
  return value
}

export const L_PER_H = 1 / 3.6e6
