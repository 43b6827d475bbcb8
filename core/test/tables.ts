import { readFileSync } from 'node:fs'

/**
 * Tables of values worked out independently of this project, as this repository keeps them: a
 * change of law brings the table that holds it along.
 */
const tableText = (name: string) =>
  readFileSync(new URL(`./check-values/${name}`, import.meta.url), 'utf8')

export type Row = Readonly<Record<string, string>>

export function csvTable(name: string): Row[] {
  const [head = '', ...lines] = tableText(name).trim().split('\n')
  const columns = head.trim().split(',')
  return lines.map((line) => {
    const cells = cellsOf(line.trim())
    return Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? '']))
  })
}

/** A comment may stand in quotes, with commas in it. */
function cellsOf(line: string): string[] {
  return [...line.matchAll(/(?:^|,)(?:"([^"]*)"|([^,]*))/g)].map(
    ([, quoted, plain]) => quoted ?? plain ?? '',
  )
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
