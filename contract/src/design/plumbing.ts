import type { BasinDesign, PumpPart, ReturnLine } from '@yew-basin/core'
import { COUNTS } from './limits.ts'

/**
 * What does not hold together in a design, in words; null when all of it does. Says nothing about
 * a part that is not even of its shape: its own class says that.
 */
export function plumbingFault(design: BasinDesign): string | null {
  if (!isShaped(design)) return null
  return (
    tooManyPieces(design) ??
    repeated(design) ??
    pumpFault(design) ??
    lineFault(design) ??
    lostLine(design)
  )
}

const STARTS: readonly string[] = ['pump', 'tee']
const ENDS: readonly string[] = ['tank', 'chamber', 'tee', 'cap']

/** Every list is a list of objects with an id, and every line has a start, a run and an end. */
function isShaped({ tanks, pumps, sump, returnSide }: BasinDesign): boolean {
  const { pumps: placed, lines } = (returnSide ?? {}) as Partial<BasinDesign['returnSide']>
  const lists = [tanks, pumps, sump?.chambers, placed, lines]
  const named = (list: unknown) =>
    Array.isArray(list) &&
    list.every((entry: { id?: unknown } | null) => typeof entry?.id === 'string')
  if (!lists.every(named)) return false
  return lines!.every(
    ({ start, end, run }: Partial<ReturnLine>) =>
      typeof start?.id === 'string' &&
      STARTS.includes(start.at) &&
      ENDS.includes(end?.at ?? '') &&
      Array.isArray(run?.pieces) &&
      run.pieces.every((piece: { id?: unknown } | null) => typeof piece?.id === 'string'),
  )
}

/** A run may be long; all of them together must stay what a keeper can build and a page can solve. */
function tooManyPieces({ drains, returnSide }: BasinDesign): string | null {
  const runs: readonly { readonly run: { readonly pieces: readonly unknown[] } }[] = [
    ...returnSide.lines,
    ...drains,
  ]
  const count = runs.reduce((sum, { run }) => sum + run.pieces.length, 0)
  return count > COUNTS.allPieces
    ? `must have at most ${COUNTS.allPieces} pieces in all lines and drains; it has ${count}`
    : null
}

function repeated({ tanks, pumps, returnSide }: BasinDesign): string | null {
  const { pumps: placed, lines } = returnSide
  const named: [string, readonly { readonly id: string }[]][] = [
    ['tank', tanks],
    ['pump', pumps],
    ['placed pump', placed],
    ['line', lines],
    ['piece', lines.flatMap(({ run }) => run.pieces)],
  ]
  for (const [what, list] of named) {
    const seen = new Set<string>()
    for (const { id } of list) {
      if (seen.has(id)) return `must give each ${what} an id of its own; ${id} stands twice`
      seen.add(id)
    }
  }
  return null
}

function pumpFault({ pumps, sump, returnSide }: BasinDesign): string | null {
  const { pumps: placed, sparePumpId } = returnSide
  for (const { id, pumpId, speed, chamberId } of placed) {
    const part = pumps.find((pump) => pump.id === pumpId)
    if (!part) {
      return `must name one of the design’s pumps at ${id}: none of them has the id "${pumpId}"`
    }
    const fault = typeof speed === 'number' ? speedFault(part, speed) : null
    if (fault) return `${fault}, at ${id}`
    if (!sump.chambers.some((chamber) => chamber.id === chamberId)) {
      return `must draw from one of its chambers at ${id}: there is no "${chamberId}"`
    }
  }
  const spared = sparePumpId === null || pumps.some((pump) => pump.id === sparePumpId)
  return spared
    ? null
    : `must name one of the design’s pumps as spare: there is no "${sparePumpId}"`
}

function speedFault(pump: PumpPart, speed: number): string | null {
  if (pump.control === 'fixed-speed') {
    return speed === 1 ? null : `must have speed 1: ${pump.name} runs at one speed; it is ${speed}`
  }
  return speed >= pump.leastSpeed
    ? null
    : `must have a speed from ${pump.leastSpeed} to 1 for ${pump.name}; it is ${speed}`
}

/** Does each line start and end at something that is there, and meet no other line there? */
function lineFault({ tanks, sump, returnSide }: BasinDesign): string | null {
  const { pumps, lines } = returnSide
  const tees = new Set(
    lines.flatMap(({ run }) => run.pieces.flatMap(({ id, kind }) => (kind === 'tee' ? [id] : []))),
  )
  const known = new Map<string, ReadonlySet<string>>([
    ['pump', new Set(pumps.map(({ id }) => id))],
    ['tee', tees],
    ['tank', new Set(tanks.map(({ id }) => id))],
    ['chamber', new Set(sump.chambers.map(({ id }) => id))],
  ])
  const met = new Map<string, string>()
  const meets = (line: ReturnLine, at: string, id: string): string | null => {
    const other = met.get(`${at} ${id}`)
    met.set(`${at} ${id}`, line.id)
    return other === undefined
      ? null
      : `must have one line at each ${at}: ${other} and ${line.id} both meet ${id}`
  }
  for (const line of lines) {
    const { start, end } = line
    if (!known.get(start.at)?.has(start.id)) {
      return `must start each line at a pump or a tee that is there: ${line.id} starts at ${start.at} "${start.id}"`
    }
    const fault = meets(line, start.at, start.id)
    if (fault) return fault
    if (end.at === 'cap') {
      if (end.id !== null) return `must give a capped line no end: ${line.id} ends at "${end.id}"`
      continue
    }
    if (end.id === null || !known.get(end.at)?.has(end.id)) {
      return `must end each line at something that is there: ${line.id} ends at ${end.at} "${end.id}"`
    }
    const joined = end.at === 'tee' ? meets(line, 'tee', end.id) : null
    if (joined) return joined
  }
  return null
}

/** A line that leads back to no pump: its tee is its own, or on a line that hangs on it. */
function lostLine({ returnSide: { lines } }: BasinDesign): string | null {
  const reached = new Set<string>()
  for (let before = -1; before !== reached.size;) {
    before = reached.size
    for (const { id, start, run } of lines) {
      if (reached.has(id) || (start.at === 'tee' && !reached.has(`tee ${start.id}`))) continue
      reached.add(id)
      for (const piece of run.pieces) if (piece.kind === 'tee') reached.add(`tee ${piece.id}`)
    }
  }
  const lost = lines.find(({ id }) => !reached.has(id))
  return lost ? `must lead each line back to a pump: ${lost.id} does not` : null
}
