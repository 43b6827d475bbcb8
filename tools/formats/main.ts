import { mkdirSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { schemas } from './schemas.ts'

const folder = fileURLToPath(new URL('../../docs/format/', import.meta.url))
mkdirSync(folder, { recursive: true })
for (const [name, schema] of Object.entries(schemas())) {
  writeFileSync(folder + name, JSON.stringify(schema, null, 2) + '\n')
  console.log(`docs/format/${name}`)
}
