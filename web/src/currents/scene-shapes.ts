import { alongJet, envelopeOf, type Reach, type RockSolid, type FlowDomain } from '@yew-basin/core'
import { boxOnCut, onCut, type CutName, type CutScale } from './cut.ts'

/** A rock as it is drawn. */
export interface RockShape {
  readonly rock: RockSolid
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

export function rockShapes(
  name: CutName,
  scale: CutScale,
  rocks: readonly RockSolid[],
): RockShape[] {
  return rocks.map((rock) => ({
    rock,
    ...boxOnCut(
      name,
      scale,
      { x: rock.xM, y: rock.yM, z: rock.zM },
      { x: rock.xM + rock.lengthM, y: rock.yM + rock.widthM, z: rock.zM + rock.heightM },
    ),
  }))
}

/** A stream's outline and middle line; where it comes straight at you, only its opening. */
export function streamShape(name: CutName, scale: CutScale, reach: Reach) {
  const sides = envelopeOf(reach).map(({ atM, halfM }) => ({
    at: onCut(name, scale, alongJet(reach.jet, atM)),
    half: halfM * scale.pxPerM,
  }))
  const first = sides[0]!.at
  const last = sides.at(-1)!.at
  const long = Math.hypot(last.x - first.x, last.y - first.y)
  if (long < 2) return { outline: '', from: first, to: first, half: sides[0]!.half }
  const across = { x: -(last.y - first.y) / long, y: (last.x - first.x) / long }
  const edge = (sign: number) =>
    sides.map(({ at, half }) => `${at.x + sign * half * across.x},${at.y + sign * half * across.y}`)
  return {
    outline: [...edge(1), ...edge(-1).reverse()].join(' '),
    from: first,
    to: last,
    half: sides.at(-1)!.half,
  }
}

/** What a drawing shows, for those who do not see it. */
export function drawingInWords(title: string, domain: FlowDomain | null): string {
  if (!domain) return title
  const pumps = domain.streams.filter(({ from }) => from === 'pump').length
  return `${title}: ${domain.rocks.length} rocks, ${pumps} circulation pumps, ${domain.streams.length - pumps} ends of lines`
}
