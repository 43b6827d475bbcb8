import 'reflect-metadata'

export { BODY_BUDGET, budgetFault } from './check/budget.ts'
export { check } from './check/check.ts'
export type { Checked, Fault } from './check/fault.ts'
export { ERRORS, type ErrorCode, type Problem } from './api/errors.ts'
export { BIN_DAYS, QUOTAS, type QuotaName, type Usage } from './api/quotas.ts'
export {
  CreateBasin,
  MergeShopping,
  RecoverWorkspace,
  RenameBasin,
  SaveDesign,
} from './api/requests.ts'
export type {
  BasinAnswer,
  BinAnswer,
  BinEntry,
  KeptFieldsAnswer,
  DesignAnswer,
  HistoryAnswer,
  HistoryEntry,
  PartAnswer,
  PartsAnswer,
  RecoveryKeyAnswer,
  RevisionAnswer,
  SavedAnswer,
  ShelfEntry,
  ShoppingAnswer,
  ShoppingEntry,
  ShelfPage,
  WorkspaceAnswer,
} from './api/answers.ts'
export { DesignDocument } from './design/design-document.ts'
export { COUNTS, LIMITS, withinLimit, type Limit } from './design/limits.ts'
export { SIZES } from './design/pipe-size.ts'
export { PumpPartDocument } from './design/pump-part.ts'
export {
  PART_KINDS,
  readPart,
  SavePart,
  type BoreSpec,
  type FittingSpec,
  type NozzleSpec,
  type PartKind,
  type PartSpec,
  type ValveSpec,
} from './part/part-document.ts'
export { curveFaults } from './design/curve-faults.ts'
export { BasinFile, FileDesign } from './file/basin-file.ts'
export { readBasinFile, readBasinInTurns, readBasinObject } from './file/read.ts'
export { FILE_FORMAT, FORMAT_VERSION } from './versions/format.ts'
export { MIGRATIONS, migrated, type Migration } from './versions/migrations.ts'
export { DESIGN_CLASSES } from './file/classes.ts'
export {
  DEVICE_KINDS,
  DRAIN_ROLES,
  FEED_FORMS,
  LOAD_CLASS_WORDS,
  NOISE_CLASSES,
  SKIMMER_FORMS,
  WALL_KINDS,
} from './design/way-words.ts'
export type { BulkheadSpec } from './design/bulkhead.ts'

export { SCHEMA_NOTES } from './design/schema-notes.ts'
export { LEFT_OUT } from './design/rules.ts'
