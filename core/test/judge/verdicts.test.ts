import { randomDesign } from './random-design.ts'
import { holdsOf, movedByHalving } from './verdicts-hold.ts'
import { withChanges } from '../changes.ts'
import { allDrills, type BasinDesign, solveBasin, steadyState } from '../../src/index.ts'
import { describe, expect, test } from '@jest/globals'

/** Drills of two of them; of forty in `npm test`, of three hundred by `npm run verdicts`. */
const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1)

describe('likely designs: no fine and no watch over a wet floor, no water made or lost', () => {
  test.each(SEEDS.slice(14, 15))('design %i', (seed) => {
    const design = randomDesign(seed)
    expect(holdsOf(design, `design ${seed}`).faults).toEqual([])
    const drills = allDrills(steadyState(design)).filter(({ id }) => id === 'power-back')
    expect(movedByHalving(design, drills)).toEqual([])
  })
})

describe('an emergency is never judged worse for what helps it', () => {
  const RANK = { stop: 0, watch: 1, fine: 2 } as const
  const emergencies = SEEDS.slice(0, 24)
    .map(randomDesign)
    .filter(
      ({ drains, tanks }) => tanks.length === 1 && drains.some(({ role }) => role === 'emergency'),
    )
  const at = ({ drains }: BasinDesign) => drains.findIndex(({ role }) => role === 'emergency')
  const verdict = (design: BasinDesign) => solveBasin(design).drains[at(design)]!.emergency!.verdict
  const ranks = (design: BasinDesign, path: string, values: readonly number[]) =>
    values.map((value) => RANK[verdict(withChanges(design, { [path]: value }))])
  const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b)

  test('more rim above its inlet', () => {
    for (const design of emergencies) {
      const { rimM } = design.tanks[0]!
      const [path, from] =
        design.tanks[0]!.overflow!.form === 'inner-box'
          ? ['tanks.0.rimM', rimM]
          : ['tanks.0.overflow.box.rimM', design.tanks[0]!.overflow!.box!.rimM]
      const found = ranks(
        design,
        path,
        [0, 0.02, 0.05, 0.1, 0.2].map((more) => from + more),
      )
      expect(found).toEqual(sorted(found))
    }
  })
  test('a lower inlet, as long as it stays dry', () => {
    for (const design of emergencies) {
      const dry = solveBasin(design)
      const lipM = design.drains[at(design)]!.inlet.place.zM
      const boxM = dry.overflows[0]!.boxM!
      const i = at(design)
      const first = design.drains[i]!.run.pieces[0] as { lengthM: number }
      // Its end stays where it is: what the inlet comes down, the first pipe is shorter.
      const found = [0, 0.25, 0.5, 0.75].map((share) => {
        const byM = share * Math.max(0, Math.min(lipM - boxM, first.lengthM - 0.01))
        return RANK[
          verdict(
            withChanges(design, {
              [`drains.${i}.inlet.place.zM`]: lipM - byM,
              [`drains.${i}.run.pieces.0.lengthM`]: first.lengthM - byM,
            }),
          )
        ]
      })
      expect(found).toEqual(sorted(found))
    }
  })
  test('a full-bore valve in it opened further', () => {
    for (const design of emergencies.slice(0, 12)) {
      const i = at(design)
      const { pieces } = design.drains[i]!.run
      const with1 = withChanges(design, {
        [`drains.${i}.run.pieces`]: [
          ...pieces.slice(0, 1),
          { id: 'valve', kind: 'valve', form: 'ball', opening: 0.2, kvM3PerH: null },
          ...pieces.slice(1),
        ],
      })
      const found = ranks(with1, `drains.${i}.run.pieces.1.opening`, [0.2, 0.4, 0.6, 0.8, 1])
      expect(found).toEqual(sorted(found))
    }
  })
})
