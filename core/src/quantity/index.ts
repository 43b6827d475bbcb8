export { editable, joined, type Measured, measured, show, showBand, showText } from './format.ts'
export { parseQuantity } from './parse.ts'
export { say, type Sentence, sentence } from './sentence.ts'
export { fromSi, QUANTITIES, type QuantityName, toSi, type Unit, type UnitFamily } from './units.ts'
