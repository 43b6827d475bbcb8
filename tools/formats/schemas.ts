import { basinFileSchema } from './basin-file-schema.ts'
import { findingsPage } from './findings-page.ts'
import { solvedFileSchema } from './solved-file-schema.ts'

/** What stands in docs/format/, by file name: a schema, or a page's text. */
export function schemas(): Record<string, object | string> {
  return {
    'basin-file.schema.json': basinFileSchema(),
    'solved-file.schema.json': solvedFileSchema(),
    'findings.md': findingsPage(),
  }
}
