import { expect, test } from '@jest/globals'
import { coverage, MODELS } from '../../tools/bands/coverage.ts'
import { designNetwork } from '../../tools/bands/design-network.ts'
import { DEMO_BASINS } from '../src/demo/basins.ts'

test.each(DEMO_BASINS.map(({ name, design }) => [name, design] as const))(
  '%s: the bands hold what is drawn by lot',
  (name, design) => {
    const ends = coverage(designNetwork(name, design), 200, 7)
    expect(ends.length).toBeGreaterThan(0)
    for (const { end, inside } of ends) {
      for (const model of MODELS) {
        if (inside[model] < 89) throw new Error(`${end}, ${model}: ${inside[model]} of 100`)
      }
    }
  },
)
