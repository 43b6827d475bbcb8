/** stop: it will not do. watch: it will do, with an eye on it. fine: said because it was asked. */
export type Severity = 'stop' | 'watch' | 'fine'

/** The station on the water's path that a finding belongs to. */
export type Station = 'tank' | 'overflow' | 'drains' | 'sump' | 'return' | 'skimmer' | 'sterilizer'

/** Worst first. */
export const SEVERITIES: readonly Severity[] = ['stop', 'watch', 'fine']

/** The worst first; within one severity in the order they come in. */
export function bySeverity<One extends { readonly severity: Severity }>(
  all: readonly One[],
): One[] {
  const sorted: One[] = []
  for (const severity of SEVERITIES)
    for (const one of all) if (one.severity === severity) sorted.push(one)
  return sorted
}
