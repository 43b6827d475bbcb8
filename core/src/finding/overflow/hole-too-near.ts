import type { DisplayTank, Hole } from '../../design/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { HOLE_WIDTHS } from '../limits.ts'
import { drawnRule } from '../drawn-rule.ts'

/** A hole with less glass beside it than it needs. */
export const holeTooNear = drawnRule({
  code: 'hole-too-near',
  station: 'overflow',
  severities: ['watch'],
  holds: 'A hole is too near to an edge or to another hole.',
  condition: (tank: DisplayTank) => {
    const holes = tank.overflow?.holes ?? []
    return flatMap(holes, (hole, i) => {
      if (hole.glass === 'tempered') return []
      const others = holes.slice(i + 1).filter(({ panel }) => panel === hole.panel)
      const leftM = Math.min(toEdgeM(tank, hole), ...others.map((other) => betweenM(hole, other)))
      const leastM = hole.bulkhead.holeM * HOLE_WIDTHS
      return leftM >= leastM ? [] : [{ leftM, leastM }]
    })
  },
  title: ({ words }: OverflowCase, { leftM }) =>
    sentence('{where}Only {left} of glass beside a hole', {
      where: words,
      left: ['length', leftM],
    }),
  reason: (_, { leastM }) =>
    sentence(
      'Leave at least {least}, the width of the hole, to an edge and to the next hole. A glazier who drills it has the last word.',
      { least: ['length', leastM] },
    ),
})

function toEdgeM(tank: DisplayTank, hole: Hole): number {
  const across = hole.panel === 'left' || hole.panel === 'right' ? tank.widthM : tank.lengthM
  const up = hole.panel === 'floor' ? tank.widthM : tank.heightM
  const middle = Math.min(hole.alongM, across - hole.alongM, hole.upM, up - hole.upM)
  return middle - hole.bulkhead.holeM / 2
}

function betweenM(a: Hole, b: Hole): number {
  const middles = Math.hypot(a.alongM - b.alongM, a.upM - b.upM)
  return middles - (a.bulkhead.holeM + b.bulkhead.holeM) / 2
}
