import { basinFileSchema } from './basin-file-schema.ts'
import { solvedFileSchema } from './solved-file-schema.ts'

/** What stands in docs/format/, by file name. */
export function schemas(): Record<string, object> {
  return {
    'basin-file.schema.json': basinFileSchema(),
    'solved-file.schema.json': solvedFileSchema(),
  }
}
