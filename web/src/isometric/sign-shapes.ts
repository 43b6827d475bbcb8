import type { building } from '@yew-basin/core'

type Kind = building.IsometricSign['kind']

/** A stroke of a sign; x leads along the water, y across it. */
export interface SignStroke {
  readonly d: string
  readonly fill: 'none' | 'paper' | 'ink'
  readonly width: number
}

const line = (d: string, width = 1.6): SignStroke => ({ d, fill: 'none', width })
const paper = (d: string): SignStroke => ({ d, fill: 'paper', width: 1.6 })
const ink = (d: string): SignStroke => ({ d, fill: 'ink', width: 0.8 })

const BOW = 'M-9 -6V6L9 -6V6Z'
const CHEVRON = 'M-4 -6L4 0L-4 6'

/** How each fitting is drawn, in a frame of its own; what is not here is where its pipes meet, and no more. */
export const SIGN_SHAPES: Readonly<Partial<Record<Kind, readonly SignStroke[]>>> = {
  tee: [ink('M-3.5 0a3.5 3.5 0 1 0 7 0a3.5 3.5 0 1 0 -7 0')],
  union: [paper('M-4 -8H4V8H-4Z'), line('M0 -8V8')],
  'gate-valve': [paper(BOW), line('M0 0V-11M-5 -11H5')],
  'ball-valve': [paper(BOW), ink('M-3.4 0a3.4 3.4 0 1 0 6.8 0a3.4 3.4 0 1 0 -6.8 0')],
  'diaphragm-valve': [paper(BOW), line('M-6 -10Q0 -3 6 -10Z')],
  'check-valve': [paper('M-8 -7L6 0L-8 7Z'), line('M7 -7V7', 2.4)],
  reducer: [paper('M-7 -8L7 -4.5V4.5L-7 8Z')],
  coupling: [paper('M-7 -5H7V5H-7Z')],
  bulkhead: [paper('M-3 -12H3V12H-3Z'), line('M0 -18V18', 1)],
  nozzle: [ink('M-6 -7L8 0L-6 7Z')],
  cap: [ink('M-2 -8H3V8H-2Z')],
  strainer: [paper('M-7 -8H7V8H-7Z'), line('M-3 -8V8M1 -8V8M5 -8V8', 1)],
  device: [paper('M-15 -11H15V11H-15Z'), line('M-7 0H5M1 -4L6 0L1 4')],
  pump: [paper('M-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0'), ink('M-5 -6L9 0L-5 6Z')],
  'open-end': [line(CHEVRON, 2)],
}

/** Degrees that a sign is turned, so that its x leads along the water. */
export function turnOf({ at, before, after }: building.IsometricSign): number {
  const [from, to] = before && after ? [before, after] : before ? [before, at] : [at, after ?? at]
  // What turns a corner looks along what comes in.
  const straight = before ? { x: at.x - before.x, y: at.y - before.y } : null
  const along = straight ?? { x: to.x - from.x, y: to.y - from.y }
  return (Math.atan2(along.y, along.x) * 180) / Math.PI
}

type JointKind = building.IsometricJoint['kind']

/** How each kind of joint is drawn across its bar, and its word. */
export const JOINT_SIGNS: Readonly<
  Record<JointKind, { readonly strokes: readonly SignStroke[]; readonly words: string }>
> = {
  glued: {
    strokes: [ink('M-2.4 0a2.4 2.4 0 1 0 4.8 0a2.4 2.4 0 1 0 -4.8 0')],
    words: 'glued',
  },
  threaded: { strokes: [line('M-2.5 -5V5M0 -5V5M2.5 -5V5', 1.1)], words: 'threaded' },
  union: { strokes: [line('M-1.8 -7V7M1.8 -7V7')], words: 'union' },
  barb: { strokes: [paper('M-3 -5H3V5H-3Z')], words: 'barb and clamp' },
  'push-fit': { strokes: [line('M3 -5L-3 0L3 5')], words: 'pushed in dry' },
  gasket: { strokes: [], words: 'gasket' },
  spigot: { strokes: [ink('M-3 -3H3V3H-3Z')], words: 'spigot, glued' },
}
