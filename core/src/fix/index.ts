export type { Fix, TriedFix } from './fix.ts'
export { type AskDrills, bringsTrouble, type DrilledFindings, Trials } from './trial.ts'
export { searchDrillFixes } from './fixes-of-drill.ts'
export { searchFixes, type OfferedFixes } from './fixes-of-finding.ts'
