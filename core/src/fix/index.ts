export type { Fix } from './fix.ts'
export { fixesOfDrill } from './fixes-of-drill.ts'
export { fixesOfFinding, type OfferedFixes } from './fixes-of-finding.ts'
