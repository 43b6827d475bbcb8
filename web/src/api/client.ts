import type { Problem } from '@yew-basin/contract/errors'

/** The server refused, and said why. */
export class Refused extends Error {
  readonly problem: Problem
  /** The server asks to wait so long before the next try; 0: it says nothing of it. */
  readonly retryAfterMs: number

  constructor(problem: Problem, retryAfterMs = 0) {
    super(problem.detail || problem.title)
    this.problem = problem
    this.retryAfterMs = retryAfterMs
  }
}

/** The server could not be reached, or did not answer as itself. */
export class Unreachable extends Error {
  constructor() {
    super('Yew Basin’s server does not answer.')
  }
}

interface Request {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'
  readonly body?: unknown
  /** Text that is JSON already. */
  readonly json?: string
  /** A body that is no JSON. */
  readonly bytes?: Uint8Array
  readonly ifMatch?: number
  /** Let it finish when the page is left. */
  readonly keepalive?: boolean
}

/** One request to our own server. A visitor without a workspace is given one, and the request goes again. */
export async function request<Answer>(path: string, options: Request = {}): Promise<Answer> {
  if (!isKnown()) await askForWorkspace()
  const answer = await send(path, options)
  if (answer.status !== 401) return read<Answer>(answer)
  await askForWorkspace()
  return read<Answer>(await send(path, options))
}

/** Set once this browser has been given a workspace; the cookie itself is not ours to read. */
const KNOWN = 'yew.known'
let asking: Promise<unknown> | null = null
let known = false

/** Where storage is forbidden the page itself remembers. */
function isKnown(): boolean {
  try {
    return known || localStorage.getItem(KNOWN) !== null
  } catch {
    return known
  }
}

function remember(): void {
  known = true
  try {
    localStorage.setItem(KNOWN, 'yes')
  } catch {
    // The cookie counts; asking once more does no harm.
  }
}

/** Asks once, however many requests are waiting for it. */
function askForWorkspace(): Promise<unknown> {
  asking ??= send('/workspace', { method: 'POST' })
    .then((answer) => read(answer))
    .then(() => remember())
    .finally(() => (asking = null))
  return asking
}

async function send(
  path: string,
  { method = 'GET', body, json, bytes, ifMatch, keepalive }: Request,
) {
  const text = json ?? (body === undefined ? undefined : JSON.stringify(body))
  const headers: Record<string, string> = {}
  if (text !== undefined) headers['Content-Type'] = 'application/json'
  if (bytes) headers['Content-Type'] = 'application/octet-stream'
  if (ifMatch !== undefined) headers['If-Match'] = `"${ifMatch}"`
  try {
    return await fetch(`/api${path}`, {
      method,
      headers,
      credentials: 'same-origin',
      ...(bytes
        ? { body: bytes as Uint8Array<ArrayBuffer> }
        : text === undefined
          ? {}
          : { body: text }),
      ...(keepalive ? { keepalive } : {}),
    })
  } catch {
    throw new Unreachable()
  }
}

async function read<Answer>(answer: Response): Promise<Answer> {
  if (answer.status === 204) return undefined as Answer
  const kind = answer.headers.get('Content-Type') ?? ''
  if (answer.ok && kind.includes('json')) return (await answer.json()) as Answer
  if (answer.ok && kind.includes('octet-stream'))
    return new Uint8Array(await answer.arrayBuffer()) as Answer
  if (kind.includes('problem+json')) {
    const seconds = Number(answer.headers.get('Retry-After') ?? 0)
    throw new Refused(
      (await answer.json()) as Problem,
      Number.isFinite(seconds) ? seconds * 1000 : 0,
    )
  }
  throw new Unreachable()
}
