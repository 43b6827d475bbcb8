import { fuzzRequests, type Footholds } from './fuzz-requests.ts'
import { outcome, type Outcome } from './outcome.ts'

/** Some 50 ms are usual, and a shared machine has slow spells; longer than this it hangs, ms. */
const MOST_MS = 3000

/** Sends so many requests to a running application. */
export async function requests(
  holds: Footholds,
  { count, seed }: { count: number; seed: number },
): Promise<Outcome> {
  const report = await fuzzRequests(holds, { count, seed })
  const failures = [...report.wrong]
  if (report.slowestMs > MOST_MS)
    failures.push(`${report.slowest} took ${report.slowestMs.toFixed(0)} ms`)
  const statuses = Object.entries(report.statuses)
    .map(([status, times]) => `${times} × ${status}`)
    .join(', ')
  return outcome(
    failures,
    `${report.sent} requests (${statuses}), ${report.wrong.length} faults, slowest ${report.slowestMs.toFixed(0)} ms`,
  )
}
