import type { Field } from './field.ts'
import type { Fineness } from './grid.ts'
import type { GridsApart } from './grids-apart.ts'

/**
 * A field as bytes: `MARK`, the length of its head (4 bytes, little end first), the head as JSON in
 * ASCII, then for each cell x, y, z, mean speed and peak (16 bits each, in `SPEED_STEP`), its eddies
 * (16 bits, in `EDDY_STEP`) and what fills it (8 bits), one list after the other.
 */
const MARK = 'YBF1'
const SPEED_STEP_M_PER_S = 2.5e-4
const EDDY_STEP_M2_PER_S = 4e-7
const BYTES_A_CELL = 13
/** More cells than the finest field has. */
const MOST_CELLS = 400_000
const MOST_HEAD = 1_000_000

interface Head extends Omit<Field, 'grid' | 'x' | 'y' | 'z' | 'speed' | 'peak' | 'eddy'> {
  readonly grid: Omit<Field['grid'], 'fill'>
  /** Names the domain it was run for; not read here. */
  readonly of: string
  /** Left out: it was kept before that was. */
  readonly apart?: GridsApart | null
}

/** A field that was read, and what it was made of. */
export interface PackedField {
  readonly field: Field
  readonly of: string
  /** How far it is from the same on a coarser grid; null: that is not known. */
  readonly apart: GridsApart | null
}

/** A field as bytes to be kept. `of` names its domain. */
export function packField({ field, of, apart }: PackedField): Uint8Array {
  const { x, y, z, speed, peak, eddy, grid, ...rest } = field
  const { fill, ...size } = grid
  const text = inAscii(JSON.stringify({ ...rest, grid: size, of, apart } satisfies Head))
  const head = text.length + ((4 - ((8 + text.length) % 4)) % 4)
  const bytes = new Uint8Array(8 + head + fill.length * BYTES_A_CELL)
  const view = new DataView(bytes.buffer)
  writeText(bytes, 0, MARK)
  view.setUint32(4, head, true)
  writeText(bytes, 8, text.padEnd(head))
  let at = 8 + head
  for (const list of [x, y, z, speed, peak])
    for (const other of list) {
      view.setInt16(at, held(other / SPEED_STEP_M_PER_S, -32768, 32767), true)
      at += 2
    }
  for (const other of eddy) {
    view.setUint16(at, held(other / EDDY_STEP_M2_PER_S, 0, 65535), true)
    at += 2
  }
  bytes.set(fill, at)
  return bytes
}

/** The field of such bytes; null when they are none. */
export function unpackField(bytes: Uint8Array): PackedField | null {
  const head = headOf(bytes)
  if (!head) return null
  const { of, grid, apart = null, ...rest } = head
  const count = grid.cellsX * grid.cellsY * grid.cellsZ
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let at = bytes.length - count * BYTES_A_CELL
  const speeds = () => {
    const list = new Float32Array(count)
    for (let i = 0; i < count; i++, at += 2) list[i] = view.getInt16(at, true) * SPEED_STEP_M_PER_S
    return list
  }
  const [x, y, z, speed, peak] = [speeds(), speeds(), speeds(), speeds(), speeds()]
  const eddy = new Float32Array(count)
  for (let i = 0; i < count; i++, at += 2) eddy[i] = view.getUint16(at, true) * EDDY_STEP_M2_PER_S
  return {
    field: { ...rest, x, y, z, speed, peak, eddy, grid: { ...grid, fill: bytes.slice(at) } },
    of,
    apart,
  }
}

/** Why bytes are no field; null: they are one. */
export function packedFieldFault(bytes: Uint8Array): string | null {
  return headOf(bytes) ? null : 'is not a field of currents as Yew Basin packs it'
}

function headOf(bytes: Uint8Array): Head | null {
  if (bytes.length < 8 || readText(bytes, 0, 4) !== MARK) return null
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(4, true)
  if (length > MOST_HEAD || bytes.length < 8 + length) return null
  try {
    const head = JSON.parse(readText(bytes, 8, length)) as Partial<Head> | null
    return head && isHead(head, bytes.length - 8 - length) ? head : null
  } catch {
    return null
  }
}

const FINENESS: readonly Fineness[] = ['coarse', 'standard', 'fine']

function isHead(head: Partial<Head>, bodyBytes: number): head is Head {
  const { grid } = head
  if (!grid || typeof head.of !== 'string' || !FINENESS.includes(head.fineness!)) return false
  const { cellsX, cellsY, cellsZ, waterX, waterY, waterZ, cellM } = grid
  const whole = [cellsX, cellsY, cellsZ, waterX, waterY, waterZ].every(
    (size) => Number.isInteger(size) && size > 0,
  )
  if (!whole || !(cellM > 0) || waterX > cellsX - 2 || waterY > cellsY - 2 || waterZ > cellsZ - 2)
    return false
  const numbers = [head.ranS, head.watchedS, head.patternPace, head.steps, head.massDrift]
  const count = cellsX * cellsY * cellsZ
  return (
    numbers.every((entry) => typeof entry === 'number' && Number.isFinite(entry)) &&
    count <= MOST_CELLS &&
    bodyBytes === count * BYTES_A_CELL &&
    isPassing(head.passing, count) &&
    isApart(head.apart ?? null) &&
    Array.isArray(head.rockIds) &&
    head.rockIds.every((rockId) => typeof rockId === 'string')
  )
}

function isPassing(passing: Partial<Field['passing']> | undefined, count: number): boolean {
  if (!passing || !Array.isArray(passing.inlets)) return false
  const inlets: readonly unknown[] = passing.inlets
  const all = passing.outlet ? [...inlets, passing.outlet] : inlets
  return all.every((block) => {
    const { cells, flowM3PerS } = block as Partial<Field['passing']['inlets'][number]>
    return (
      typeof flowM3PerS === 'number' &&
      Array.isArray(cells) &&
      cells.every(({ cell, share }) => cell >= 0 && cell < count && Number.isFinite(share))
    )
  })
}

function isApart(apart: Partial<GridsApart> | null): boolean {
  if (apart === null) return true
  const { share, mean, wander, isClose, wanted } = apart
  return (
    [share, mean, wander].every((of) => Number.isFinite(of)) &&
    typeof isClose === 'boolean' &&
    Array.isArray(wanted?.ranges) &&
    Array.isArray(wanted.zones)
  )
}

function held(value: number, least: number, most: number): number {
  return Math.round(Math.min(most, Math.max(least, value)))
}

/** The same JSON, in which every letter is one byte. */
function inAscii(json: string): string {
  return json.replace(
    /[^ -~]/g,
    (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`,
  )
}

function writeText(bytes: Uint8Array, at: number, text: string): void {
  for (let i = 0; i < text.length; i++) bytes[at + i] = text.charCodeAt(i)
}

function readText(bytes: Uint8Array, at: number, length: number): string {
  let text = ''
  for (let i = 0; i < length; i++) text += String.fromCharCode(bytes[at + i]!)
  return text
}
