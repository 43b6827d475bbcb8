import { parseQuantity, type QuantityName, toSi, type Unit } from '@yew-basin/core'
import Papa from 'papaparse'

/** Largest file that is read, characters: a curve has tens of lines, not thousands. */
export const MOST_CHARACTERS = 200_000

/** A file's cells, and how its numbers are written. */
export interface CsvCells {
  readonly lines: readonly (readonly string[])[]
  /** "2,5" is two and a half: the cells are parted by something else, and a comma stands before other than three figures. */
  readonly decimalComma: boolean
}

/** Commas, semicolons or tabs; quoted cells; points or decimal commas. */
export function csvCells(text: string): CsvCells {
  const plain = text.replace(/^\uFEFF/, '')
  const delimiter = delimiterOf(plain)
  const { data } = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter })
  const lines = data.map((cells) => cells.map((cell) => cell.trim()))
  const decimals = lines.flat().some((cell) => /^[+-]?\d+,(\d{1,2}|\d{4,})$/.test(cell))
  return { lines, decimalComma: delimiter !== ',' && decimals }
}

/** What parts the cells: what most lines of figures have, and a comma only where they have nothing else. */
function delimiterOf(text: string): string {
  const figures = text.split(/\r?\n/).filter((line) => /\d/.test(line))
  const parts = (mark: string) => figures.filter((line) => line.includes(mark)).length
  return ['\t', ';', '|'].find((mark) => 2 * parts(mark) > figures.length) ?? ','
}

/** Does a cell begin as a number does? */
export function isNumeric(cell: string): boolean {
  return /^[+-]?[.,]?\d/.test(cell)
}

/** What a cell says in SI, in its own unit where it names one; null: it is no number from zero up. */
export function cellSi(
  cell: string,
  { quantity, unit }: { readonly quantity: QuantityName; readonly unit: Unit },
  decimalComma: boolean,
): number | null {
  const written = decimalComma ? cell.replace(/\./g, '').replace(',', '.') : cell
  const plain = written.replace(/^\+/, '')
  const bare = /^[\d\s\u202f\u00a0,.]+(e[+-]?\d+)?$/i.test(plain)
  const grouped = /^\d{1,3}([,\s\u202f\u00a0]\d{3})+(\.\d+)?$/.test(plain)
  if (bare) {
    const number = Number(
      grouped ? plain.replace(/[,\s\u202f\u00a0]/g, '') : plain.replace(',', '.'),
    )
    return Number.isFinite(number) && number >= 0 ? toSi(unit, number) : null
  }
  const read = parseQuantity(plain, quantity, 'metric')
  return read.ok && read.si >= 0 ? read.si : null
}
