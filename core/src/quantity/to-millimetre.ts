/** To the millimetre, as a keeper marks and cuts. */
export function toMillimetre(m: number): number {
  return Math.round(m * 1000) / 1000
}

/** A length up to whole millimetres, where less would be too little. */
export function upToMillimetre(m: number): number {
  return Math.ceil(m * 1000) / 1000
}
