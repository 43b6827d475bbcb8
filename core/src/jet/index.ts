export { type Jet, jetSpeedAt, momentumOf, sectionOf, throwOf } from './jet.ts'
export { dot, pointing, type Vector } from './vector.ts'
