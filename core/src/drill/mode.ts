import type { BasinDesign, PlacedPump, ReturnLine } from '../design/index.ts'
import type { SiphonRuns } from '../loop/index.ts'
import type { PumpPart } from '../pump/index.ts'
import type { Piece } from '../run/index.ts'
import type { DrillFault } from './fault.ts'

/** What the top-off does now. */
export type TopOffMode =
  'waits' | 'runs' | 'stuck-open' | 'welded' | 'siphons' | 'stuck-shut' | 'gave-up' | 'empty'

/** How a siphon runs, and how often it broke. */
export interface SiphonNow {
  readonly runs: SiphonRuns
  readonly breaks: number
}

/** How the system stands between two switchings. */
export interface Mode {
  /** The design with what went wrong in it. */
  readonly design: BasinDesign
  readonly powered: boolean
  /** Pumps that a sensor, a controller or air has stopped. */
  readonly stopped: ReadonlySet<string>
  /** Of these, the pumps that gasp on: each passes what comes to it. */
  readonly gasping: ReadonlySet<string>
  /** Share of each blocked drain's flow that is lost. */
  readonly blocked: ReadonlyMap<string, number>
  /** Of every siphon drain. */
  readonly siphons: ReadonlyMap<string, SiphonNow>
  /** Lines whose siphon drew air. */
  readonly broken: ReadonlySet<string>
  /** Lines whose break hole has grown over. */
  readonly grown: ReadonlySet<string>
  readonly sensorStuck: boolean
  readonly topOff: TopOffMode
  /** Over days a top-off that works is followed in the mean: it holds its level. */
  readonly holdsLevel: boolean
  /** Tanks whose hung box lost its prime. */
  readonly primeLost: ReadonlySet<string>
  readonly socksBlocked: ReadonlySet<string>
  readonly objectsOut: ReadonlySet<string>
  readonly skimmersStopped: boolean
  readonly takenM3PerS: number
  readonly leak: { readonly at: 'line' | 'sump'; readonly flowM3PerS: number } | null
  /** Takeoffs whose hose is off. */
  readonly hosesOff: ReadonlySet<string>
  /** A skimmer's cup that floods. */
  readonly cup: CupFlood | null
}

/** Where a flooding cup's water comes from, and whether its collector is full. */
export interface CupFlood {
  readonly chamberId: string
  readonly collectorM3: number
  readonly full: boolean
}

/** Everything works, and nothing has failed yet. */
export function atTheStart(
  design: BasinDesign,
  siphons: ReadonlyMap<string, SiphonNow> = new Map(),
  holdsLevel = false,
): Mode {
  return {
    design,
    powered: true,
    stopped: new Set(),
    gasping: new Set(),
    blocked: new Map(),
    siphons,
    broken: new Set(),
    grown: new Set(),
    sensorStuck: false,
    topOff: 'waits',
    holdsLevel,
    primeLost: new Set(),
    socksBlocked: new Set(),
    objectsOut: new Set(),
    skimmersStopped: false,
    takenM3PerS: 0,
    leak: null,
    hosesOff: new Set(),
    cup: null,
  }
}

/** A map with one entry set; the one given stays as it is. */
export function withEntry<K, V>(map: ReadonlyMap<K, V>, key: K, value: V): Map<K, V> {
  return new Map(map).set(key, value)
}

/** A set with one member more; the one given stays as it is. */
export function withMember<T>(set: ReadonlySet<T>, member: T): Set<T> {
  return new Set(set).add(member)
}

/** Does a pump run now? */
export function runsNow(mode: Mode, { id, stopped }: PlacedPump): boolean {
  return mode.powered && !stopped && !mode.stopped.has(id)
}

/** Does the top-off give water now? One that is stuck open may be a float valve, which needs no power. */
export function topOffRuns({ topOff, powered }: Mode): boolean {
  return (
    topOff === 'stuck-open' ||
    topOff === 'siphons' ||
    (powered && (topOff === 'welded' || topOff === 'runs'))
  )
}

/** Does it hold its level now, in the mean? */
export function holdsNow({ topOff, holdsLevel, powered }: Mode): boolean {
  return holdsLevel && powered && topOff === 'waits'
}

/** Is a top-off that runs held to its own limit? */
export function isLimited({ topOff }: Mode): boolean {
  return topOff === 'stuck-open' || topOff === 'runs'
}

/** The mode after something went wrong. */
export function afterFault(mode: Mode, fault: DrillFault): Mode {
  switch (fault.kind) {
    case 'power-cut':
      return { ...mode, powered: false }
    case 'power-back':
      // A pump that starts fills its line again: what broke the siphon is under water once more.
      return { ...mode, powered: true, broken: new Set() }
    case 'pump-stops':
      return { ...mode, stopped: withMember(mode.stopped, fault.placedId) }
    case 'pump-fouled':
      return { ...mode, design: fouled(mode.design, fault.placedId, fault.share) }
    case 'drains-blocked': {
      const blocked = new Map(mode.blocked)
      for (const id of fault.drainIds) blocked.set(id, Math.max(blocked.get(id) ?? 0, fault.share))
      return { ...mode, blocked }
    }
    case 'sensor-stuck':
      return { ...mode, sensorStuck: true }
    case 'sock-blocked':
      return { ...mode, socksBlocked: withMember(mode.socksBlocked, fault.chamberId) }
    case 'teeth-fouled':
      return { ...mode, design: withFouledTeeth(mode.design, fault.tankId, fault.share) }
    case 'top-off-open':
      return { ...mode, topOff: 'stuck-open' }
    case 'top-off-welded':
      return { ...mode, topOff: 'welded' }
    case 'top-off-shut':
      return { ...mode, topOff: 'stuck-shut' }
    case 'check-open':
      return { ...mode, design: withLine(mode.design, fault.lineId, withoutCheck) }
    case 'check-shut':
      return { ...mode, design: withLine(mode.design, fault.lineId, withCheckShut) }
    case 'break-hole-grown':
      return { ...mode, grown: withMember(mode.grown, fault.lineId) }
    case 'valve-shut':
      return { ...mode, design: withLine(mode.design, fault.lineId, withValves(0)) }
    case 'takeoff-open':
      return { ...mode, design: withLine(mode.design, fault.lineId, withValves(1)) }
    case 'prime-lost':
      return { ...mode, primeLost: withMember(mode.primeLost, fault.tankId) }
    case 'object-out':
      return { ...mode, objectsOut: withMember(mode.objectsOut, fault.chamberId) }
    case 'skimmers-stop':
      return { ...mode, skimmersStopped: true }
    case 'skimmers-start':
      return { ...mode, skimmersStopped: false }
    case 'water-taken':
      return { ...mode, takenM3PerS: fault.flowM3PerS }
    case 'water-kept':
      return { ...mode, takenM3PerS: 0 }
    case 'leak':
      return { ...mode, leak: { at: fault.at, flowM3PerS: fault.flowM3PerS } }
    case 'hose-off':
      return { ...mode, hosesOff: withMember(mode.hosesOff, fault.lineId) }
    case 'cup-floods':
      return {
        ...mode,
        cup: { chamberId: fault.chamberId, collectorM3: fault.collectorM3, full: false },
      }
    case 'comb-matted':
      return { ...mode, design: withMattedComb(mode.design, fault.wallId, fault.share) }
    case 'controller-full':
      return { ...mode, design: atFullSpeed(mode.design, fault.placedId) }
    case 'top-off-siphons':
      return { ...mode, topOff: 'siphons' }
    // Rock that leaves is moved at once; warmth moves no water.
    case 'rock-out':
    case 'heater-on':
    case 'heater-off':
      return mode
  }
}

/** The design with its pumps as they stand now. */
export function pumpsAsTheyStand(mode: Mode): BasinDesign {
  const { returnSide } = mode.design
  const pumps = returnSide.pumps.map((pump) => ({ ...pump, stopped: !runsNow(mode, pump) }))
  return { ...mode.design, returnSide: { ...returnSide, pumps } }
}

/** A fouled pump: the same heads at less flow. */
function fouled(design: BasinDesign, placedId: string, share: number): BasinDesign {
  const placed = design.returnSide.pumps.find(({ id }) => id === placedId)!
  const part = design.pumps.find(({ id }) => id === placed.pumpId)!
  const weaker: PumpPart = {
    ...part,
    id: `${part.id} fouled in ${placedId}`,
    curve: part.curve.map(({ flowM3PerS, headM }) => ({ flowM3PerS: flowM3PerS * share, headM })),
    maxFlowM3PerS: part.maxFlowM3PerS === null ? null : part.maxFlowM3PerS * share,
  }
  const pumps = design.returnSide.pumps.map((pump) =>
    pump.id === placedId ? { ...pump, pumpId: weaker.id } : pump,
  )
  return {
    ...design,
    pumps: [...design.pumps, weaker],
    returnSide: { ...design.returnSide, pumps },
  }
}

function atFullSpeed(design: BasinDesign, placedId: string): BasinDesign {
  const pumps = design.returnSide.pumps.map((pump) =>
    pump.id === placedId ? { ...pump, speed: 1 } : pump,
  )
  return { ...design, returnSide: { ...design.returnSide, pumps } }
}

/** Its open teeth by so much fewer. */
function withMattedComb(design: BasinDesign, wallId: string, share: number): BasinDesign {
  const walls = design.sump.walls.map((wall) => {
    if (wall.id !== wallId || !wall.teeth) return wall
    const blockedShare = 1 - (1 - wall.teeth.blockedShare) * (1 - share)
    return { ...wall, teeth: { ...wall.teeth, blockedShare } }
  })
  return { ...design, sump: { ...design.sump, walls } }
}

function withFouledTeeth(design: BasinDesign, tankId: string, share: number): BasinDesign {
  return {
    ...design,
    tanks: design.tanks.map((tank) => {
      const teeth = tank.id === tankId ? tank.overflow?.teeth : null
      if (!teeth) return tank
      const blockedShare = 1 - (1 - teeth.blockedShare) * (1 - share)
      return { ...tank, overflow: { ...tank.overflow!, teeth: { ...teeth, blockedShare } } }
    }),
  }
}

function withLine(
  design: BasinDesign,
  lineId: string,
  change: (piece: Piece) => Piece,
): BasinDesign {
  const lines = design.returnSide.lines.map((line): ReturnLine =>
    line.id === lineId
      ? { ...line, run: { ...line.run, pieces: line.run.pieces.map(change) } }
      : line,
  )
  return { ...design, returnSide: { ...design.returnSide, lines } }
}

/** A flap that hangs open costs what an open union does. */
function withoutCheck(piece: Piece): Piece {
  return piece.kind === 'check-valve' ? { id: piece.id, kind: 'union' } : piece
}

function withCheckShut(piece: Piece): Piece {
  return piece.kind === 'check-valve'
    ? { id: piece.id, kind: 'valve', form: 'ball', opening: 0, kvM3PerH: null }
    : piece
}

function withValves(opening: number): (piece: Piece) => Piece {
  return (piece) => (piece.kind === 'valve' ? { ...piece, opening } : piece)
}
