export { type About, type FigureName, FIGURES, workingOf } from './all.ts'
export {
  type AboutTreatment,
  TREATMENT_FIGURES,
  type TreatmentFigure,
  treatmentWorkingOf,
} from './treatment.ts'
export { type AboutWay, WAY_FIGURES, type WayFigure, wayWorkingOf } from './way-down.ts'
export type { RuleBeside, Term, Working } from './working.ts'
