import { isHose, measureOf, type PipeSize, seriesSize } from '../pipe/index.ts'

/** The two families of solvent-welded pipe: by outside diameter in mm, or by trade inches. */
export type PipeSystem = 'metric' | 'inch'

/** What a pipe's end can go into, as far as its length is concerned. */
export type TakeOffKind =
  | 'elbow-90'
  | 'elbow-45'
  | 'tee'
  | 'coupling'
  | 'union'
  | 'valve'
  | 'bulkhead'
  | 'adapter'
  | 'cap'
  | 'device'
  | 'open-end'

/** How far a fitting's middle stands from the bottom of its socket, m, and how deep that socket is. */
export interface TakeOff {
  readonly zM: number
  readonly depthM: number
}

/** A take-off the keeper measured on the fitting in his hand. */
export interface OwnTakeOff extends TakeOff {
  readonly kind: TakeOffKind
  readonly system: PipeSystem
  readonly size: string
}

const INCH_M = 0.0254
const MM_M = 0.001

/** Socket depth of inch fittings, in (ASTM D2466). */
const INCH_DEPTH_IN: Readonly<Record<string, number>> = {
  '1/2': 0.688,
  '3/4': 0.719,
  '1': 0.875,
  '1 1/4': 0.938,
  '1 1/2': 1.094,
  '2': 1.156,
  '3': 1.875,
}
/** Middle to the socket's bottom of metric fittings, mm: [90° elbow and tee, 45° elbow] (ISO 264). */
const METRIC_Z_MM: Readonly<Record<string, readonly [number, number]>> = {
  '20': [11, 5],
  '25': [13.5, 6],
  '32': [17, 7.5],
  '40': [21, 9.5],
  '50': [26, 11.5],
  '63': [32.5, 14],
}
/** Half of what a coupling leaves between its two bottoms: of 3 mm, and of 1/16 in. */
const COUPLING_HALF_M: Readonly<Record<PipeSystem, number>> = {
  metric: 1.5 * MM_M,
  inch: INCH_M / 32,
}

/** The system a rigid pipe is of; null: hose. */
export function systemOf(size: Pick<PipeSize, 'series' | 'size'>): PipeSystem | null {
  if (isHose(size.series)) return null
  return measureOf(size) === 'in' ? 'inch' : 'metric'
}

/** Outside diameter of a rigid pipe, m; throws for hose. */
export function outsideOf(size: Pick<PipeSize, 'series' | 'size'>): number {
  const outsideM = seriesSize(size)?.outsideM
  if (!outsideM) throw new RangeError(`${size.series} ${size.size} has no outside diameter`)
  return outsideM
}

/** How deep a pipe goes into a solvent socket, m: 0.5 d + 6 mm (ISO 727-1), or by ASTM D2466. */
export function socketDepthM(size: Pick<PipeSize, 'series' | 'size'>): number {
  return systemOf(size) === 'inch'
    ? INCH_DEPTH_IN[size.size]! * INCH_M
    : 0.5 * outsideOf(size) + 6 * MM_M
}

/** Middle to the bottom of a socket of a fitting as it is usual, m; zero for an open end and for a device. */
export function usualZM(kind: TakeOffKind, size: Pick<PipeSize, 'series' | 'size'>): number {
  const system = systemOf(size)
  const outsideM = outsideOf(size)
  switch (kind) {
    case 'open-end':
    case 'device':
      return 0
    case 'coupling':
    case 'bulkhead':
    case 'adapter':
    case 'cap':
      return COUPLING_HALF_M[system ?? 'metric']
    case 'union':
      return 0.15 * outsideM + 9 * MM_M
    case 'valve':
      return (1.2 * outsideM + 26 * MM_M) / 2
    case 'elbow-45':
      return system === 'inch' ? 0.21 * outsideM + INCH_M / 16 : METRIC_Z_MM[size.size]![1] * MM_M
    case 'elbow-90':
    case 'tee':
      return system === 'inch' ? outsideM / 2 + INCH_M / 32 : METRIC_Z_MM[size.size]![0] * MM_M
  }
}

/** A spigot's shoulder stands so far from its socket's mouth when it is home, m (typical). */
const SHOULDER_M = 0.003

/** From the middle of a fitting to the end of a spigot of its own: its arm, what goes in, and the shoulder (typical). */
export function spigotReachM({ zM, depthM }: TakeOff): number {
  return zM + depthM + SHOULDER_M
}

/** A fitting's take-off: the keeper's own where he measured it, else the usual one. */
export function takeOffOf(
  kind: TakeOffKind,
  size: Pick<PipeSize, 'series' | 'size'>,
  own: readonly OwnTakeOff[] = [],
): TakeOff {
  const system = systemOf(size)
  const measured = own.find(
    (entry) => entry.kind === kind && entry.system === system && entry.size === size.size,
  )
  if (measured) return { zM: measured.zM, depthM: measured.depthM }
  return { zM: usualZM(kind, size), depthM: kind === 'open-end' ? 0 : socketDepthM(size) }
}
