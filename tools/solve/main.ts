import { readBasinFile } from '@yew-basin/contract'
import { readFileSync } from 'node:fs'
import { solvedFile } from './solved-file.ts'

/** A file that cannot be solved ends with this, and one line a fault on standard error. */
const BAD_FILE = 2

function refuse(lines: readonly string[]): never {
  for (const line of lines) console.error(line)
  process.exit(BAD_FILE)
}

function textOf(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch (error) {
    return refuse([`${file}: cannot be read: ${(error as Error).message}`])
  }
}

const given = process.argv.slice(2)
const asked = { drills: given.includes('--drills'), currents: given.includes('--currents') }
const [file, ...more] = given.filter((word) => word !== '--drills' && word !== '--currents')
if (!file || more.length > 0) {
  refuse([
    'usage: npm run -s solve -- FILE [--drills] [--currents]; FILE is an exported basin, or - for standard input',
  ])
}
const read = readBasinFile(textOf(file))
if (!read.ok) {
  refuse(read.faults.map(({ path, message }) => `${path || 'the file'}: ${message}`))
}
try {
  process.stdout.write(JSON.stringify(solvedFile(read.value, asked), null, 2) + '\n')
} catch (error) {
  refuse([
    `${file}: could not be solved, which is a fault of Yew Basin's: ${(error as Error).message}`,
  ])
}
