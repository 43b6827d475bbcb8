import {
  BULKHEADS,
  emptyScene,
  type Bulkhead,
  type DisplayTank,
  type LineEnd,
  type LineStart,
  type Overflow,
  type Piece,
  type PlacedPump,
  type ReturnLine,
  type Run,
  type SumpChamber,
  type SumpWall,
  type TankScene,
  type Device,
  type DevicePart,
  type PieceOf,
} from '@yew-basin/core'

/** New plastic pipe: roughness in m, and a ribbed hose's factor. */
export const NEW_PIPE = { roughnessM: 1.5e-6, ribbedFactor: 2 }

type Unnamed = Piece extends infer P
  ? P extends Piece
    ? Omit<P, 'id'> & { id?: string }
    : never
  : never

/** Pieces with ids in their order; a tee that a line meets has its own. */
export function inOrder(name: string, ...pieces: readonly Unnamed[]): Piece[] {
  return pieces.map((piece, i) => ({ ...piece, id: piece.id ?? `${name}-${i + 1}` }))
}

/** A right-angled elbow. */
export const elbow = { kind: 'elbow', form: 'standard-90' } as const
/** A hose bent by hand. */
export const bend = { kind: 'elbow', form: 'hose-bend-90' } as const
/** A union. */
export const union = { kind: 'union' } as const
/** A gate valve, open by a share. */
export const gate = (opening: number) =>
  ({ kind: 'valve', form: 'gate', opening, kvM3PerH: null }) as const
/** A ball valve, open by a share. */
export const ball = (opening: number) =>
  ({ kind: 'valve', form: 'ball', opening, kvM3PerH: null }) as const
/** A straight pipe, its length in m. */
export const pipe = (direction: PieceOf<'pipe'>['direction'], lengthM: number) =>
  ({ kind: 'pipe', direction, lengthM }) as const
/** A nozzle of this bore, m. */
export const nozzle = (boreM: number) => ({ kind: 'nozzle', boreM }) as const
/** A tee that another line may start or end at. */
export const tee = (id: string, form: PieceOf<'tee'>['form'] = 'side'): PieceOf<'tee'> => ({
  kind: 'tee',
  id,
  form,
})
/** Something the line passes, its loss as a K. */
export const device = (
  use: PieceOf<'device'>['use'],
  name: string,
  k: number,
): Omit<PieceOf<'device'>, 'id'> => ({
  kind: 'device',
  use,
  name,
  by: 'k',
  k,
  kvM3PerH: 5,
  table: [],
})

/** A tank of these inside sizes, in m, with nothing in it. */
export function aTank(
  sizes: Omit<DisplayTank, 'id' | 'xM' | 'yM' | 'displacement' | 'overflow' | 'scene'> & {
    id?: string
    xM?: number
    overflow?: Overflow
    scene?: TankScene
  },
  masses: { rockMassKg: number; sandMassKg: number },
): DisplayTank {
  return {
    id: 'tank',
    xM: 0,
    yM: 0,
    overflow: null,
    scene: emptyScene(),
    ...sizes,
    displacement: { ...masses, rockDensityKgPerM3: 2000, sandGrainDensityKgPerM3: 2700 },
  }
}

/** A pump where it stands. */
export function aPump(
  pumpId: string,
  speed: number,
  where: Pick<PlacedPump, 'chamberId' | 'outlet' | 'joint'> & {
    readonly inletHeightM?: number | null
  },
): PlacedPump {
  return { id: 'return-pump', pumpId, speed, stopped: false, inletHeightM: null, ...where }
}

/** A line of these pieces, each with an id of its own. */
export function lineOf(
  id: string,
  name: string,
  {
    start,
    end,
    run,
    wantedFlowM3PerS = null,
  }: {
    readonly start: LineStart
    readonly end: Pick<LineEnd, 'at' | 'id'>
    readonly run: Run
    readonly wantedFlowM3PerS?: number | null
  },
): ReturnLine {
  return { id, name, start, run, end: { ...end, place: null, breakDepthM: null }, wantedFlowM3PerS }
}

/** A chamber of a sump whose sizes are not set yet. */
export function aChamber(
  id: string,
  name: string,
  {
    use,
    levelM,
    more = {},
  }: {
    readonly use: SumpChamber['use']
    readonly levelM: number
    readonly more?: Partial<SumpChamber>
  },
): SumpChamber {
  return { id, name, use, levelM, footprintM2: 0, submergedM3: 0, wantsDepth: null, ...more }
}

/** A bulkhead of the trade by its size. */
export function bulkheadOf(size: string): Bulkhead {
  return BULKHEADS.find((bulkhead) => bulkhead.size === size)!
}

/** A wall between two chambers, its top in m over the sump's floor. */
export function aWall(
  id: string,
  kind: SumpWall['kind'],
  {
    atM,
    topM,
    more = {},
  }: { readonly atM: number; readonly topM: number; readonly more?: Partial<SumpWall> },
): SumpWall {
  return {
    id,
    kind,
    atM,
    topM,
    thicknessM: 0.006,
    slotM: 0,
    teeth: null,
    pipeBoreM: 0.03,
    pipeHeightM: 0.1,
    adjustable: false,
    opaque: false,
    ...more,
  }
}

/** A device where it stands; of one that can be controlled, at full speed. */
export function aDevice(
  id: string,
  part: DevicePart,
  place: Pick<Device, 'chamberId' | 'xM' | 'yM'>,
  more: Partial<Device> = {},
): Device {
  const stands = { turned: false, standM: 0, speed: 1, lineId: null, pieceId: null, lamp: null }
  return { id, name: part.name, part, ...place, ...stands, ...more }
}
