import type { BasinDesign, Drain, ReturnLine, Sump } from '@yew-basin/core'

/**
 * What does not hold together between tanks, drains and sump, in words; null when all of it does.
 * Says nothing about a part that is not even of its shape: its own class says that.
 */
export function gravityFault(design: BasinDesign): string | null {
  if (!isShaped(design)) return null
  return repeated(design) ?? sumpFault(design.sump) ?? overflowFault(design) ?? drainFault(design)
}

type Maybe = { readonly id?: unknown } | null

function isShaped({ tanks, drains, sump }: BasinDesign): boolean {
  const named = (list: unknown) =>
    Array.isArray(list) && list.every((entry: Maybe) => typeof entry?.id === 'string')
  if (![tanks, drains, sump?.chambers, sump?.walls].every(named)) return false
  return drains.every(
    ({ end, run, inlet }: Partial<Drain>) =>
      typeof end?.id === 'string' &&
      ['chamber', 'tee'].includes(end.at) &&
      typeof inlet === 'object' &&
      Array.isArray(run?.pieces) &&
      run.pieces.every((piece: Maybe) => typeof piece?.id === 'string'),
  )
}

function repeated({ tanks, drains, sump, returnSide }: BasinDesign): string | null {
  const lines: readonly (Partial<ReturnLine> | null)[] = Array.isArray(returnSide?.lines)
    ? returnSide.lines
    : []
  const linePieces = lines.flatMap((line): readonly Maybe[] =>
    Array.isArray(line?.run?.pieces) ? (line.run.pieces as readonly Maybe[]) : [],
  )
  const named: [string, readonly (Maybe | undefined)[]][] = [
    ['drain', drains],
    ['chamber', sump.chambers],
    ['wall', sump.walls],
    ['hole', tanks.flatMap(({ overflow }) => overflow?.holes ?? [])],
    ['piece', [...linePieces, ...drains.flatMap(({ run }) => run.pieces)]],
  ]
  for (const [what, list] of named) {
    const seen = new Set<unknown>()
    for (const entry of list) {
      if (seen.has(entry?.id)) {
        return `must give each ${what} an id of its own; ${String(entry?.id)} stands twice`
      }
      seen.add(entry?.id)
    }
  }
  return null
}

/** Walls stand one after the other inside the box, each under its height. */
function sumpFault({ box, walls, chambers }: Sump): string | null {
  if (!box) {
    return walls.length > 0 ? `must have no walls until it has sizes; it has ${walls.length}` : null
  }
  if (walls.length !== chambers.length - 1) {
    return `must have one wall between each two chambers: ${chambers.length} chambers take ${chambers.length - 1}, it has ${walls.length}`
  }
  let fromM = 0
  for (const { id, atM, thicknessM, topM, kind, slotM, teeth } of walls) {
    if (atM <= fromM) return `must have room in front of each wall: ${id} stands at ${atM} m`
    fromM = atM + thicknessM
    if (topM > box.heightM)
      return `must have walls no higher than ${box.heightM} m; ${id} is ${topM} m`
    if (kind === 'under' && (slotM <= 0 || slotM >= topM)) {
      return `must have a slot under ${id} from above 0 to below its top at ${topM} m; it is ${slotM} m`
    }
    if (kind === 'comb') {
      if (!teeth) return `must give the comb ${id} its teeth`
      if (teeth.heightM >= topM) return `must have teeth shorter than the wall at ${id}`
    }
    const fault = teethFault(teeth)
    if (fault) return `${fault} at ${id}`
  }
  return fromM < box.lengthM
    ? null
    : `must have walls inside its length of ${box.lengthM} m; the last ends at ${fromM} m`
}

function teethFault(teeth: { slotWidthM: number; pitchM: number } | null): string | null {
  if (!teeth || teeth.pitchM > teeth.slotWidthM) return null
  return `must have a pitch of more than the slot’s ${teeth.slotWidthM} m; it is ${teeth.pitchM} m`
}

function overflowFault({ tanks, sump, drains }: BasinDesign): string | null {
  for (const { id, overflow, rimM } of tanks) {
    if (!overflow) {
      const left = drains.find(({ tankId }) => tankId === id)
      if (left) return `must have an overflow at ${id}, where ${left.id} drains it`
      continue
    }
    const { form, box, passage, chamberId, crestM } = overflow
    const rear = form === 'rear-chambers'
    if (rear !== (box === null)) return `must ${rear ? 'have no' : 'have a'} box at ${id}: ${form}`
    if (rear && !sump.chambers.some((chamber) => chamber.id === chamberId)) {
      return `must name the chamber behind ${id}: there is no "${chamberId}"`
    }
    if (!rear && chamberId !== null) return `must name no chamber behind ${id}: ${form}`
    const wants = form === 'hung-box' ? 'siphon' : form === 'inner-and-outer' ? 'holes' : null
    if ((passage?.kind ?? null) !== wants) {
      return wants
        ? `must have a passage of ${wants} at ${id}: ${form}`
        : `must have no passage at ${id}: ${form}`
    }
    if (crestM >= rimM)
      return `must have its crest below the rim at ${id}: ${crestM} m and ${rimM} m`
    if (box && box.rimM <= box.floorM) return `must have a box at ${id} whose rim is over its floor`
    const fault = teethFault(overflow.teeth)
    if (fault) return `${fault} at ${id}`
  }
  return null
}

function drainFault({ tanks, drains, sump }: BasinDesign): string | null {
  const met = new Set<string>()
  for (const { id, tankId, end } of drains) {
    const tank = tanks.find((display) => display.id === tankId)
    if (!tank) return `must drain one of its tanks by ${id}: there is no "${tankId}"`
    if (!tank.overflow?.box) return `must have a box for ${id} to stand in at ${tankId}`
    if (end.at === 'chamber') {
      if (!sump.chambers.some((chamber) => chamber.id === end.id)) {
        return `must end ${id} in a chamber that is there: there is no "${end.id}"`
      }
      continue
    }
    const trunk = drains.find(({ run }) =>
      run.pieces.some((piece) => piece.id === end.id && piece.kind === 'tee'),
    )
    if (!trunk || trunk.id === id) return `must end ${id} in a tee of another drain: "${end.id}"`
    if (trunk.tankId !== tankId) return `must join pipes of one box: ${id} and ${trunk.id}`
    if (trunk.end.at !== 'chamber') return `must join ${id} to a drain that ends in a chamber`
    if (met.has(trunk.id)) return `must have one drain join each other one: two join ${trunk.id}`
    met.add(trunk.id)
  }
  return null
}
