/** A length for a file that is cut, printed or sorted by: millimetres, to a tenth. */
export const millimetres = (m: number): number => Math.round(m * 10_000) / 10
