export { findingsOf } from './all.ts'
export type { Finding, FindingCode, Fix, PathStop, Severity } from './finding.ts'
export { FAST_M_PER_S } from './limits.ts'
