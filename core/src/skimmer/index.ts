export {
  dryFeedKgPerDay,
  type Feed,
  type FeedForm,
  feedLoadKgPerM3,
  heavier,
  HEAVY_FROM_KG_PER_M3,
  type LoadClass,
  loadClassOf,
  MEDIUM_FROM_KG_PER_M3,
} from './load.ts'
export {
  type LoadRange,
  type Oversize,
  type SizeSays,
  skimmerFigures,
  type SkimmerFigures,
  type SkimmerSchool,
  type SkimmerVerdict,
  skimmerVerdicts,
  systemVolumeM3,
} from './match.ts'
export type { SkimmerForm, SkimmerSpec } from './part.ts'
export { skimmerDepth, type SkimmerDepth } from './stand.ts'
