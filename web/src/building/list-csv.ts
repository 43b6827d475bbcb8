import type { building } from '@yew-basin/core'
import Papa from 'papaparse'
import { millimetres } from '../shell/millimetres.ts'

/** A line as it goes out: what the sheet says, and what the keeper does. */
export interface CsvLine {
  readonly line: building.ListLine
  readonly have: number | null
  readonly price: number | null
  readonly toBuy: number
}

const HEADER = [
  'group',
  'name',
  'size',
  'unit',
  'wanted',
  'spare',
  'have',
  'to buy',
  'price',
  'for',
  'line',
]

/** A list as CSV, SI inside its units: pieces, stocks, metres, millilitres; panels in mm. */
export function listCsv(lines: readonly CsvLine[]): string {
  const rows = lines.map(({ line, have, price, toBuy }) => [
    line.group,
    line.name,
    line.panelM ? line.panelM.map((m) => millimetres(m)).join(' × ') + ' mm' : line.size,
    line.unit,
    rounded(line.count),
    rounded(line.spare),
    have ?? '',
    rounded(toBuy),
    price ?? '',
    line.uses.join('; '),
    line.key,
  ])
  return Papa.unparse([HEADER, ...rows], { newline: '\r\n' })
}

const rounded = (count: number) => Math.round(count * 1000) / 1000

/** What is read of a line. */
export interface ReadLine {
  readonly key: string
  readonly have: number | null
  readonly price: number | null
}

/** Counts of "have" and prices of a CSV that was saved here and filled in; all or nothing. */
export function readListCsv(
  text: string,
  list: readonly building.ListLine[],
): { readonly lines: readonly ReadLine[] } | { readonly fault: string } {
  const { data } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  })
  if (data.length === 0 || !('line' in data[0]! && 'have' in data[0]))
    return {
      fault: 'This file has no columns “line” and “have”: save the list here, and fill it in.',
    }
  const lines: ReadLine[] = []
  for (const [i, row] of data.entries()) {
    const key = (row.line ?? '').trim()
    if (!list.some((line) => line.key === key)) continue
    const have = numberIn(row.have)
    const price = numberIn(row.price)
    if (have === undefined || price === undefined)
      return {
        fault: `Line ${i + 2}: “${have === undefined ? row.have : row.price}” in ${have === undefined ? 'have' : 'price'} is no number from 0 on.`,
      }
    lines.push({ key, have, price })
  }
  if (lines.length === 0) return { fault: 'No line of this file is in this list.' }
  return { lines }
}

/** Empty is null; what is no number is undefined. */
function numberIn(cell: string | undefined): number | null | undefined {
  const text = (cell ?? '').trim().replace(',', '.')
  if (text === '') return null
  const value = Number(text)
  return Number.isFinite(value) && value >= 0 ? value : undefined
}
