import type { ListLine } from './line.ts'

/** What of a list a keeper says he has. */
export interface HadLine {
  readonly key: string
  /** Pieces, or metres of pipe and hose. */
  readonly have: number
}

/** A part of what was typed that names nothing of the list, or more than one thing. */
export interface HadFault {
  readonly words: string
  readonly message: string
}

const FOOT_M = 0.3048
/** The trade's other words for what the list calls otherwise. */
const OTHER_WORDS: Readonly<Record<string, string>> = {
  ell: 'elbow',
  knee: 'elbow',
  tube: 'hose',
  tubing: 'hose',
  bushing: 'bush',
  barb: 'tail',
  socket: 'coupling',
  ballvalve: 'ball',
  gatevalve: 'gate',
  non: 'check',
  return: 'check',
}

/** "2 × elbow 32, 1.4 m pipe 32, union 1 1/4": lines of a list by their words and sizes, with how many. */
export function readHave(
  text: string,
  list: readonly ListLine[],
): { readonly had: readonly HadLine[]; readonly faults: readonly HadFault[] } {
  const had: HadLine[] = []
  const faults: HadFault[] = []
  for (const words of text.split(/[;\n]|,(?=\s)/).map((part) => part.trim())) {
    if (words === '') continue
    const read = readOne(words, list)
    if ('key' in read) had.push(read)
    else faults.push(read)
  }
  return { had, faults }
}

const COUNT = /^(\d+(?:[.,]\d+)?)\s*(?:(m|ft|feet|')\s+(?:of\s+)?|[×x*]\s*|\s)(?=\D)/i

function readOne(words: string, list: readonly ListLine[]): HadLine | HadFault {
  const count = COUNT.exec(words)
  const amount = count ? Number(count[1]!.replace(',', '.')) : 1
  const unit = count?.[2]?.toLowerCase() ?? null
  const { names, size } = wordsOf(words.slice(count?.[0].length ?? 0))
  const found = list.filter((line) => isNamed(line, names) && isOfSize(line, size))
  const exact = found.filter(({ name }) => name.split(' ').length === names.length)
  const [only, ...others] = exact.length === 1 ? exact : found
  if (!only) return { words, message: `nothing of this list is called “${words}”` }
  if (others.length > 0)
    return {
      words,
      message: `it may be ${[only, ...others].map(({ name, size: of }) => `${name} ${of}`).join(' or ')}`,
    }
  if (unit !== null && only.pipe === null)
    return { words, message: `${only.name} is counted, not measured` }
  if (unit === null && only.pipe !== null && count)
    return { words, message: 'pipe and hose are told in metres or feet: “1.4 m pipe 32”' }
  if (only.pipe !== null && !count) return { words, message: 'how long is it? “1.4 m pipe 32”' }
  return { key: only.key, have: unit !== null && unit !== 'm' ? amount * FOOT_M : amount }
}

function wordsOf(text: string): { readonly names: readonly string[]; readonly size: string } {
  const tokens = text
    .toLowerCase()
    .replaceAll(/["″”]|\bin(?:ch)?\b|\bmm\b/g, ' ')
    .split(/\s+/)
    .filter(Boolean)
  const names = tokens
    .filter((token) => !/^\d/.test(token) || token === '90°' || token === '45°')
    .map((token) => token.replace(/(?<=[a-z]{2})s$/, ''))
    .map((token) => OTHER_WORDS[token] ?? token)
  return { names, size: tokens.filter((token) => /^\d[\d/]*$/.test(token)).join(' ') }
}

function isNamed({ name }: ListLine, names: readonly string[]): boolean {
  const own = name.toLowerCase().split(/[\s,-]+/)
  return names.length > 0 && names.every((word) => own.some((part) => part === word))
}

/** One of a line's sizes is the one that was said; where none was, any is. */
function isOfSize(line: ListLine, said: string): boolean {
  if (said === '') return true
  const sizes = line.size.split('×').map((part) => /^\s*([\d/ ]*\d)/.exec(part)?.[1]?.trim() ?? '')
  return sizes.includes(said) || sizes.join(' ') === said
}
