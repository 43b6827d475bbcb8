import {
  PIPE_SERIES,
  type PipeSeries,
  type PipeSize,
  SERIES_SIZES,
  seriesSize,
  seriesWords,
} from '../pipe/index.ts'
import {
  editable,
  joined,
  measured,
  parseQuantity,
  QUANTITIES,
  type QuantityName,
  type UnitFamily,
} from '../quantity/index.ts'
import {
  type Direction,
  DIRECTIONS,
  type ElbowForm,
  type FreeHosePiece,
  type Piece,
  type Run,
  type TeeForm,
} from './piece.ts'
import { NOTATION_WORDS, plainWords } from './trade-words.ts'

/** One word group of a typed run that could not be read, counted from 1, and where it stands in the text. */
export interface NotationFault {
  readonly position: number
  readonly text: string
  readonly message: string
  readonly fromIndex: number
  readonly toIndex: number
}

/** A typed line read as a run, or where it could not be read and what is possible there. */
export type ReadNotation =
  | { readonly ok: true; readonly pieces: readonly Piece[] }
  | { readonly ok: false; readonly faults: readonly NotationFault[] }

/** A piece before it has an id. */
type Unnamed = Piece extends infer P ? (P extends Piece ? Omit<P, 'id'> : never) : never

const ELBOW_WORDS: Readonly<Record<string, ElbowForm>> = {
  elbow: 'standard-90',
  sweep: 'sweep-90',
  '45': 'standard-45',
  'elbow 45': 'standard-45',
  bend: 'hose-bend-90',
}

const TEE_WORDS: Readonly<Record<string, TeeForm>> = {
  tee: 'side',
  'tee straight': 'straight',
  'tee split': 'split',
}
const DEVICE_WORDS = ['reactor', 'scrubber', 'chiller', 'heater', 'sterilizer', 'device'] as const

class Unreadable extends Error {}

/** The run as one typed line: "up 400 mm, elbow, left 250 mm, union, gate 60%, nozzle 20 mm". */
export function writeNotation(pieces: readonly Piece[], family: UnitFamily): string {
  return pieces.map((piece) => writePiece(piece, family)).join(', ')
}

/**
 * Reads a typed line. A word group that says what a piece of the old run already says keeps that
 * piece, with its id and its exact figures, so reading back a written line changes nothing.
 */
export function readNotation(
  text: string,
  family: UnitFamily,
  old: Pick<Run, 'size' | 'pieces'>,
  newId: () => string,
): ReadNotation {
  const kept = old.pieces.map((piece) => ({ piece, text: writePiece(piece, family) }))
  const pieces: Piece[] = []
  const faults: NotationFault[] = []
  let size = old.size
  const readGroup = (group: string) => {
    const same = kept.findIndex((candidate) => candidate.text === group)
    const piece =
      same >= 0 ? kept.splice(same, 1)[0]!.piece : named(readPiece(group, family, size), newId)
    if (piece.kind === 'reducer') size = piece.to
    pieces.push(piece)
  }
  wordGroups(text).forEach((group, index) => {
    try {
      for (const plain of plainWords(group.text, lastDirection(pieces))) readGroup(plain)
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error
      faults.push({ position: index + 1, message: error.message, ...group })
    }
  })
  return faults.length > 0 ? { ok: false, faults } : { ok: true, pieces }
}

/** The word groups of a text, each with where it stands. */
function wordGroups(text: string): Pick<NotationFault, 'text' | 'fromIndex' | 'toIndex'>[] {
  return [...text.matchAll(/[^,;\n]+/g)].flatMap(({ 0: group, index }) => {
    const trimmed = group.trim()
    if (trimmed === '') return []
    const fromIndex = index + group.indexOf(trimmed)
    return [{ text: trimmed.replace(/\s+/g, ' '), fromIndex, toIndex: fromIndex + trimmed.length }]
  })
}

/** Which way the run led last; up where it leads nowhere yet. */
function lastDirection(pieces: readonly Piece[]): Direction {
  const last = pieces.findLast((piece) => piece.kind === 'pipe')
  return last?.kind === 'pipe' ? last.direction : 'up'
}

function named(piece: Unnamed, newId: () => string): Piece {
  return { id: newId(), ...piece }
}

function writePiece(piece: Piece, family: UnitFamily): string {
  const write = (quantity: QuantityName, si: number) =>
    joined(
      editable(measured(quantity, si), family),
      QUANTITIES[quantity].shown[family].label,
    ).replace('\u00a0', ' ')
  const kv = (kvM3PerH: number | null) =>
    kvM3PerH === null ? '' : ` kv ${editable(measured('valve-coefficient', kvM3PerH), 'metric')}`
  switch (piece.kind) {
    case 'pipe':
      return `${piece.direction} ${write('length', piece.lengthM)}`
    case 'elbow':
      return Object.keys(ELBOW_WORDS).find((word) => ELBOW_WORDS[word] === piece.form)!
    case 'union':
      return 'union'
    case 'valve': {
      const opening = piece.opening === 1 ? '' : ` ${write('share', piece.opening)}`
      return `${piece.form}${kv(piece.kvM3PerH)}${opening}`
    }
    case 'check-valve':
      return `${piece.form} check${kv(piece.kvM3PerH)}`
    case 'reducer': {
      const bore = piece.to.boreM === null ? '' : ` bore ${write('length', piece.to.boreM)}`
      const angle = piece.angleDeg === null ? '' : ` at ${write('angle', piece.angleDeg)}`
      return `to ${seriesWords(piece.to.series)} ${piece.to.size}${bore}${angle}`
    }
    case 'bulkhead':
      return piece.boreM === null ? 'bulkhead' : `bulkhead ${write('length', piece.boreM)}`
    case 'nozzle':
      return `nozzle ${write('length', piece.boreM)}`
    case 'tee':
      return Object.keys(TEE_WORDS).find((word) => TEE_WORDS[word] === piece.form)!
    case 'device': {
      const word = piece.use === 'other' ? 'device' : piece.use
      if (piece.by === 'table') return `${word} as printed`
      return piece.by === 'k' ? `${word} k ${piece.k}` : `${word}${kv(piece.kvM3PerH)}`
    }
    case 'free-hose':
      return ['hose', write('length', piece.lengthM), ...hoseSteps(piece, write)].join(' ')
  }
}

function readPiece(group: string, family: UnitFamily, size: PipeSize): Unnamed {
  const lower = group.toLowerCase()
  const [word = '', ...others] = lower.split(' ')
  const rest = others.join(' ')
  const elbow = ELBOW_WORDS[lower]
  if (elbow) return { kind: 'elbow', form: elbow }
  if (lower === 'union') return { kind: 'union' }
  if (isDirection(word)) {
    return { kind: 'pipe', direction: word, lengthM: read(rest, 'length', family, 'a length') }
  }
  if (word === 'gate' || word === 'ball' || word === 'diaphragm') {
    const { kvM3PerH, left } = takeKv(rest)
    return { kind: 'valve', form: word, kvM3PerH, opening: readOpening(left, family) }
  }
  if (/^((swing|spring) )?check( |$)/.test(lower)) {
    const { kvM3PerH } = takeKv(lower.replace(/^.*?check ?/, ''))
    return { kind: 'check-valve', form: word === 'spring' ? 'spring' : 'swing', kvM3PerH }
  }
  if (word === 'to') return readReducer(rest, family, size)
  if (word === 'bulkhead') {
    return { kind: 'bulkhead', boreM: rest ? read(rest, 'length', family, 'a bore') : null }
  }
  if (word === 'nozzle') {
    return { kind: 'nozzle', boreM: read(rest, 'length', family, 'its bore') }
  }
  if (word === 'tee') return { kind: 'tee', form: readTee(lower) }
  if (word === 'hose') return readFreeHose(rest, family)
  const use = DEVICE_WORDS.find((known) => known === word)
  if (use) return readDevice(use, rest)
  throw new Unreadable(`"${word}" starts no piece. Start with ${NOTATION_WORDS.join(', ')}.`)
}

function hoseSteps(
  { byXM, byYM, byZM }: FreeHosePiece,
  write: (quantity: QuantityName, si: number) => string,
): string[] {
  const step = (by: number, there: Direction, back: Direction) =>
    by === 0 ? [] : [`${by > 0 ? there : back} ${write('length', Math.abs(by))}`]
  return [
    ...step(byXM, 'right', 'left'),
    ...step(byYM, 'back', 'front'),
    ...step(byZM, 'up', 'down'),
  ]
}

/** "600 mm right 300 mm up 200 mm": its length, then where it leads. */
function readFreeHose(text: string, family: UnitFamily): Unnamed {
  const [length = '', ...steps] = text.split(/ (?=(?:up|down|left|right|front|back) )/)
  const hose = { byXM: 0, byYM: 0, byZM: 0 }
  for (const step of steps) {
    const [direction = '', ...rest] = step.split(' ')
    const by = read(rest.join(' '), 'length', family, `a length ${direction}`)
    if (direction === 'right') hose.byXM += by
    if (direction === 'left') hose.byXM -= by
    if (direction === 'back') hose.byYM += by
    if (direction === 'front') hose.byYM -= by
    if (direction === 'up') hose.byZM += by
    if (direction === 'down') hose.byZM -= by
  }
  return { kind: 'free-hose', lengthM: read(length, 'length', family, 'a length'), ...hose }
}

function readTee(text: string): TeeForm {
  const form = TEE_WORDS[text]
  if (form) return form
  throw new Unreadable(`"${text}" is no tee; write tee, tee straight or tee split.`)
}

function readDevice(word: (typeof DEVICE_WORDS)[number], text: string): Unnamed {
  const use = word === 'device' ? 'other' : word
  const name = word.charAt(0).toUpperCase() + word.slice(1)
  const device = { kind: 'device', use, name, k: 10, kvM3PerH: 5, table: [] } as const
  const k = /^k ?([\d.]+)$/.exec(text)
  if (k && Number(k[1]) >= 0) return { ...device, by: 'k', k: Number(k[1]) }
  const { kvM3PerH, left } = takeKv(text)
  if (kvM3PerH !== null && left === '') return { ...device, by: 'kv', kvM3PerH }
  throw new Unreadable(
    `"${word}" needs its loss: a K (${word} k 12) or a Kv (${word} kv 5); a printed table is put in in the list.`,
  )
}

function isDirection(word: string): word is Direction {
  return (DIRECTIONS as readonly string[]).includes(word)
}

function read(text: string, quantity: QuantityName, family: UnitFamily, what: string): number {
  const parsed = parseQuantity(text, quantity, family)
  if (parsed.ok && parsed.si > 0) return parsed.si
  const unit = QUANTITIES[quantity].shown[family].label
  throw new Unreadable(
    text === ''
      ? `${what} is missing, such as 300 ${unit}.`
      : `"${text}" is not ${what} above zero, such as 300 ${unit}.`,
  )
}

function readOpening(text: string, family: UnitFamily): number {
  if (text === '' || text === 'open') return 1
  if (text === 'shut') return 0
  const parsed = parseQuantity(text.replace(/ ?open$/, ''), 'share', family)
  if (parsed.ok && parsed.si >= 0 && parsed.si <= 1) return parsed.si
  throw new Unreadable(`"${text}" is not an opening from 0 to 100 %, open or shut.`)
}

function takeKv(text: string): { kvM3PerH: number | null; left: string } {
  const match = /(^| )kv ?([\d.]+)( |$)/.exec(text)
  if (!match) return { kvM3PerH: null, left: text }
  const kvM3PerH = Number(match[2])
  if (!(kvM3PerH > 0)) throw new Unreadable(`"${match[2]}" is not a Kv above zero.`)
  return { kvM3PerH, left: text.replace(match[0], ' ').trim() }
}

function readReducer(text: string, family: UnitFamily, current: PipeSize): Unnamed {
  let left = text
  const take = (word: string): string | null => {
    const match = new RegExp(` ${word} (.+?)$`).exec(left)
    if (!match) return null
    left = left.slice(0, match.index)
    return match[1]!
  }
  const angle = take('at')
  const bore = take('bore')
  const { series, sizeText } = seriesAndSize(left, current.series)
  const size = sizeText.replace(/ ?mm$/, '')
  const row =
    seriesSize({ series, size }) ?? seriesSize({ series, size: size.replace(/ ?in$/, '') })
  if (!row) {
    const sizes = SERIES_SIZES[series].map((known) => known.size).join(', ')
    throw new Unreadable(`${seriesWords(series)} has no size "${sizeText}"; it has ${sizes}.`)
  }
  return {
    kind: 'reducer',
    to: {
      series,
      size: row.size,
      boreM: bore === null ? null : read(bore, 'length', family, 'a bore'),
    },
    angleDeg: angle === null ? null : read(angle, 'angle', family, 'an angle'),
  }
}

function seriesAndSize(text: string, current: PipeSeries) {
  const series = PIPE_SERIES.find((known) => text.startsWith(`${seriesWords(known)} `))
  return series
    ? { series, sizeText: text.slice(seriesWords(series).length + 1) }
    : { series: current, sizeText: text }
}
