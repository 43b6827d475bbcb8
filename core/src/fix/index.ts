export type { Fix, TriedFix } from './fix.ts'
export type { AskDrills, DrilledFindings } from './trial.ts'
export { searchDrillFixes } from './fixes-of-drill.ts'
export { searchFixes, type OfferedFixes } from './fixes-of-finding.ts'
