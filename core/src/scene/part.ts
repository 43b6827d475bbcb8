/** jet: out of a round opening. cross-flow: out of a long slot. */
export type StreamForm = 'jet' | 'cross-flow'

/** A circulation pump by what its maker prints. */
export interface CirculationPart {
  readonly id: string
  readonly name: string
  readonly form: StreamForm
  readonly control: 'fixed-speed' | 'controllable'
  /** At full speed, with nothing on it. */
  readonly flowM3PerS: number
  /** Of the round opening; null for a cross-flow pump. */
  readonly boreM: number | null
  /** Long and short side of the slot; null for a jet pump. */
  readonly slotLengthM: number | null
  readonly slotWidthM: number | null
  /** Least share of full speed it runs at. */
  readonly leastSpeed: number
  /** At full speed. */
  readonly powerW: number
  /** From the panel to its opening. */
  readonly depthM: number
  /** Across the panel, to keep clear of the surface and the sand. */
  readonly bodyM: number
}

/** Of its opening, m². */
export function openingM2(part: CirculationPart): number {
  if (part.form === 'jet') return (Math.PI / 4) * part.boreM! ** 2
  return part.slotLengthM! * part.slotWidthM!
}

/** Power at a share of full speed: as its cube (affinity law), never above the printed. */
export function powerAtW(part: CirculationPart, speed: number): number {
  return part.powerW * (part.control === 'fixed-speed' ? 1 : speed ** 3)
}
