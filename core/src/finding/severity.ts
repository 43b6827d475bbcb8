/** stop: it will not do. watch: it will do, with an eye on it. fine: said because it was asked. */
export type Severity = 'stop' | 'watch' | 'fine'

/** The station on the water's path that a finding belongs to. */
export type Station = 'tank' | 'overflow' | 'drains' | 'sump' | 'return' | 'skimmer' | 'sterilizer'

/** Worst first. */
export const SEVERITY_ORDER: Readonly<Record<Severity, number>> = { stop: 0, watch: 1, fine: 2 }
