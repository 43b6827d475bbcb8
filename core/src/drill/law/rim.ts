import { flowOver, type RimLaw, smoothRim } from '../../weir/index.ts'
import { Between, bothWays } from '../rates.ts'

/** Water over a rim between two vessels, whichever way the higher one pushes it. */
export function overRim(from: number, to: number, rim: RimLaw, crestM: number): Between {
  const down = (highM: number, lowM: number) => flowOver(rim, highM - crestM, lowM - crestM)
  return new Between(from, to, bothWays(down))
}

/** Water over the edge of a vessel to somewhere below: nothing stands against it. */
export function overEdge(
  from: number,
  to: number,
  { lengthM, rimM, depthBelowM }: { lengthM: number; rimM: number; depthBelowM: number },
): Between {
  const rim = smoothRim({ lengthM, depthBelowM })
  return new Between(from, to, (fromM) => flowOver(rim, fromM - rimM))
}
