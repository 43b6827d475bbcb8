import { fileURLToPath } from 'node:url'
import { createGenerator } from 'ts-json-schema-generator'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** JSON Schema of what the solve command prints, from the types it prints them by. */
export function solvedFileSchema(): object {
  const schema = createGenerator({
    path: at('../solve/solved-file.ts'),
    tsconfig: at('../../tsconfig.json'),
    type: 'SolvedFile',
    skipTypeCheck: true,
    sortProps: false,
    topRef: true,
  }).createSchema('SolvedFile')
  return {
    title: 'What npm run -s solve -- FILE prints',
    description:
      'Every figure and finding of every design in a basin file. SI, with the unit in the name.',
    ...schema,
  }
}
