/** A file as plain data. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests break these files in every way there is
export type Plain = any
