import { readBasinFile } from '@yew-basin/contract'
import { readFileSync } from 'node:fs'
import { solvedFile } from './solved-file.ts'

/** A file that cannot be solved ends with this, and one line a fault on standard error. */
const BAD_FILE = 2

function refuse(lines: readonly string[]): never {
  for (const line of lines) console.error(line)
  process.exit(BAD_FILE)
}

/** A day of the calendar, as 2026-11-29. */
function isDay(text: string): boolean {
  const time = Date.parse(`${text}T00:00:00Z`)
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && new Date(time || 0).toISOString().startsWith(text)
}

function textOf(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch (error) {
    return refuse([`${file}: cannot be read: ${(error as Error).message}`])
  }
}

/** What takes long, done when it is asked for. */
const SWITCHES = ['--drills', '--currents', '--build']

const given = process.argv.slice(2)
const USAGE =
  'usage: npm run -s solve -- FILE [--drills] [--currents] [--build] [--on DAY]; FILE is an exported basin, or - for standard input; DAY as 2026-11-29, today where it is left out'
const onAt = given.indexOf('--on')
const day = onAt < 0 ? new Date().toISOString().slice(0, 10) : given[onAt + 1]
const words = onAt < 0 ? given : given.toSpliced(onAt, 2)
const asked = {
  drills: words.includes('--drills'),
  currents: words.includes('--currents'),
  build: words.includes('--build'),
  day: day ?? '',
}
const [file, ...more] = words.filter((word) => !SWITCHES.includes(word))
if (!file || more.length > 0) refuse([USAGE])
if (!isDay(asked.day)) refuse([`--on: must be a day as 2026-11-29; it is "${asked.day}"`])
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
