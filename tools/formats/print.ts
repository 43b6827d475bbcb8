import { schemas } from './schemas.ts'

// For the test that holds docs/format/ against the code.
process.stdout.write(JSON.stringify(schemas()))
