import 'reflect-metadata'

export { check, type Checked, type Fault } from './check.ts'
export { ERRORS, type ErrorCode, type Problem } from './api/errors.ts'
export { CreateBasin, RenameBasin, SaveDesign } from './api/requests.ts'
export type {
  BasinAnswer,
  DesignAnswer,
  PumpsAnswer,
  RevisionAnswer,
  ShelfEntry,
  WorkspaceAnswer,
} from './api/answers.ts'
export { DesignDocument } from './design/design-document.ts'
export { COUNTS, LIMITS, withinLimit, type Limit } from './design/limits.ts'
export { SIZES } from './design/pipe-size.ts'
export { PumpPartDocument } from './design/pump-part.ts'
export { BasinFile, FILE_FORMAT, FileDesign } from './file/basin-file.ts'
export { readBasinFile, readBasinObject } from './file/read.ts'
export { FORMAT_VERSION, MIGRATIONS, migrated, type Migration } from './versions/migrations.ts'
