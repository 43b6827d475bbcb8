/**
 * The loss of one fitting as K = km/Re + k, both on the fitting's own bore. Every law of this
 * folder has this form, so a whole line adds up to two numbers a bore.
 * `null` in place of a loss means that no water passes (a shut valve): not a big K, no flow.
 */
export interface Loss {
  readonly km: number
  readonly k: number
}

/** A loss that does not feel the Reynolds number. */
export function constantLoss(k: number): Loss {
  return { km: 0, k }
}

/** K at a Reynolds number. */
export function kAt(loss: Loss, re: number): number {
  return (loss.km === 0 ? 0 : loss.km / re) + loss.k
}
