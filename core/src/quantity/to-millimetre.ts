/** To the millimetre, as a keeper marks and cuts. */
export function toMillimetre(m: number): number {
  return Math.round(m * 1000) / 1000
}
