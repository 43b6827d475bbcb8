import { mkdirSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { schemas } from './schemas.ts'

const folder = fileURLToPath(new URL('../../docs/format/', import.meta.url))
mkdirSync(folder, { recursive: true })
for (const [name, schema] of Object.entries(schemas())) {
  const text = typeof schema === 'string' ? schema : JSON.stringify(schema, null, 2) + '\n'
  writeFileSync(folder + name, text)
  console.log(`docs/format/${name}`)
}
