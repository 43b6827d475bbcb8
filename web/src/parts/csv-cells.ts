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
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: false,
    delimitersToGuess: [';', '\t', ',', '|'],
  })
  const lines = data.map((cells) => cells.map((cell) => cell.trim()))
  const decimals = lines.flat().some((cell) => /^[+-]?\d+,(\d{1,2}|\d{4,})$/.test(cell))
  return { lines, decimalComma: meta.delimiter !== ',' && decimals }
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
