export { everyWorking } from './every-working.ts'
export { figureIsOf, type FigureName, type FigureOf, FIGURES, workingOf } from './registry.ts'
export type { RuleBeside, Working } from './working.ts'
