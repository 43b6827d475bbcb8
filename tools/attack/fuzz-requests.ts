import { JUNK, mutated } from './mutate.ts'
import { randomFrom } from './random.mjs'

/** What came of a run of requests. */
export interface FuzzReport {
  readonly sent: number
  readonly statuses: Readonly<Record<string, number>>
  /** Answers of 500 and above, and those whose body is no answer of ours. */
  readonly wrong: readonly string[]
  readonly slowestMs: number
  readonly slowest: string
}

/** What an attacker starts from: things that are really there. */
export interface Footholds {
  readonly origin: string
  readonly cookie: string
  readonly basinId: string
  readonly designId: string
  readonly partId: string
  readonly tankId: string
  readonly design: object
  readonly file: object
  readonly part: object
}

/** Each address with what is done there: the other methods are tried now and then. */
const ADDRESSES = [
  ['POST', '/workspace'],
  ['POST', '/workspace/recovery-key'],
  ['POST', '/workspace/recover'],
  ['GET', '/basins'],
  ['POST', '/basins'],
  ['POST', '/basins/import'],
  ['POST', '/basins/import'],
  ['GET', '/basins/:basin'],
  ['PATCH', '/basins/:basin'],
  ['POST', '/basins/:basin/restore'],
  ['POST', '/basins/:basin/duplicate'],
  ['GET', '/basins/:basin/export'],
  ['GET', '/basins/:basin/history'],
  ['PUT', '/designs/:design'],
  ['PUT', '/designs/:design'],
  ['PUT', '/designs/:design'],
  ['GET', '/designs/:design/revisions/before/:number'],
  ['POST', '/parts'],
  ['PUT', '/parts/:part'],
  ['POST', '/parts/:part/restore'],
  ['GET', '/parts/:part/history'],
  ['PUT', '/fields/:design/:tank'],
  ['GET', '/bin'],
  ['GET', '/nowhere'],
] as const
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const
const ODD_IDS = ['1', 'null', '%00', "';--", '..%2f..', 'x'.repeat(3000), '%F0%9F%90%9F', '-1', '%']
const ODD_TYPES = ['text/plain', 'application/octet-stream', 'multipart/form-data', ''] as const
const REVISIONS = ['"1"', '"1"', '"2"', '7', '*', '"x"', '', '999999999999'] as const

/** Sends so many seeded requests, most of them wrong in some way, a few at a time. */
export async function fuzzRequests(
  holds: Footholds,
  {
    count,
    seed,
    atOnce = 4,
  }: { readonly count: number; readonly seed: number; readonly atOnce?: number },
): Promise<FuzzReport> {
  const random = randomFrom(seed)
  const report = {
    sent: 0,
    statuses: {} as Record<string, number>,
    wrong: [] as string[],
    slowestMs: 0,
    slowest: '',
  }
  const one = async () => {
    const { label, address, init } = aRequest(holds, random)
    const started = performance.now()
    const answer = await fetch(address, init)
    const text = await answer.text()
    const ms = performance.now() - started
    report.sent++
    report.statuses[answer.status] = (report.statuses[answer.status] ?? 0) + 1
    if (answer.status >= 500 || !isOurs(answer, text))
      report.wrong.push(`${answer.status} ${label} ${text.slice(0, 200)}`)
    if (ms > report.slowestMs) Object.assign(report, { slowestMs: ms, slowest: label })
  }
  const lane = async () => {
    while (report.sent < count) await one()
  }
  await Promise.all(Array.from({ length: atOnce }, lane))
  return report
}

/** A refusal is a problem with a code; nothing of ours shows a stack. */
function isOurs(answer: Response, text: string): boolean {
  if (/(\n|\\n) +at .+:\d+:\d+/.test(text)) return false
  if (answer.status < 400) return true
  return (
    (answer.headers.get('content-type') ?? '').includes('problem+json') &&
    'code' in (JSON.parse(text) as object)
  )
}

function aRequest(holds: Footholds, random: () => number) {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const [sensible, path] = pick(ADDRESSES)
  const id = (real: string) => (random() < 0.85 ? real : pick(ODD_IDS))
  const address = path
    .replace(':basin', id(holds.basinId))
    .replace(':design', id(holds.designId))
    .replace(':part', id(holds.partId))
    .replace(':tank', id(holds.tankId))
    .replace(':number', pick(['1', '2', '99', '-1', 'x', '1e9', '2147483648']))
  const method = random() < 0.85 ? sensible : pick(METHODS)
  const type = random() < 0.85 ? 'application/json' : pick(ODD_TYPES)
  const headers: Record<string, string> = { 'If-Match': pick(REVISIONS) }
  if (type) headers['Content-Type'] = type
  if (random() < 0.9)
    headers.Cookie = random() < 0.95 ? holds.cookie : `${holds.cookie.slice(0, -9)}xxxxxxxxx`
  const body = method === 'GET' ? undefined : aBody(path, holds, random)
  const query = random() < 0.1 ? `?after=${encodeURIComponent(pick(ODD_IDS))}` : ''
  return {
    label: `${method} ${path} ${type} ${typeof body === 'string' ? body.slice(0, 120) : ''}`,
    address: `${holds.origin}/api${address}${query}`,
    init: { method, headers, ...(body === undefined ? {} : { body }) },
  }
}

function aBody(path: string, holds: Footholds, random: () => number): string {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  if (random() < 0.08)
    return pick([
      '',
      '{',
      '[]',
      'null',
      '"x"',
      '1',
      '{"a":'.repeat(500),
      '\u0000',
      '{"name":"\\ud800"}',
    ])
  const sound = path.includes('import')
    ? holds.file
    : path.includes('designs')
      ? { design: holds.design }
      : path.includes('parts')
        ? holds.part
        : path.includes('recover')
          ? { key: 'AAAA-BBBB' }
          : { name: 'A name' }
  if (random() < 0.05) return JSON.stringify(pick(JUNK) ?? null)
  return JSON.stringify(random() < 0.15 ? sound : mutated(sound, random))
}
