import { type OwnTakeOff, spigotReachM, takeOffOf } from '../../fitting/index.ts'
import { type BuiltRun, TAKE_OFF_OF } from './body.ts'

/** A spigot is home within so much, m. */
const HOME_M = 0.001

/** From middle to middle where one fitting's spigot goes into the other's socket, m; null: pipe stands between. */
export function spigotSpanM(
  { bodies, segments }: BuiltRun,
  i: number,
  own: readonly OwnTakeOff[],
): number | null {
  const [from, to] = [bodies[i]!, bodies[i + 1]!]
  const { kind, size } = segments[i]!
  const isOut = from.after.kind === 'spigot'
  if (kind === 'hose' || isOut === (to.before.kind === 'spigot')) return null
  const takeOff = (body: typeof from) => takeOffOf(TAKE_OFF_OF[body.kind], size, own)
  const [spigot, socket] = isOut ? [from, to] : [to, from]
  return spigotReachM(takeOff(spigot)) + takeOff(socket).zM
}

/** The spigot is home: its socket stands where it ends. */
export const isHome = (spanM: number, lengthM: number): boolean =>
  Math.abs(spanM - lengthM) <= HOME_M
