import { MIGRATIONS } from './migrations.ts'

/** Says what an exported file is, before anything else is read. */
export const FILE_FORMAT = 'yew-basin'

/** The format this version writes: one more than the steps that lead to it. */
export const FORMAT_VERSION = MIGRATIONS.length + 1
