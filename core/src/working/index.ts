export { type FigureName, FIGURES, workingOf } from './all.ts'
export { TREATMENT_FIGURES, type TreatmentFigure, treatmentWorkingOf } from './treatment.ts'
export { WAY_FIGURES, type WayFigure, wayWorkingOf } from './way-down.ts'
export type { RuleBeside, Working } from './working.ts'
