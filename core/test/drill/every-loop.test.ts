import { aHungBox, aLoop } from '../a-loop.ts'
import { L_PER_H } from '../tables.ts'
import { setTo } from '../../src/design/edit.ts'
import { atTheStart } from '../../src/drill/mode.ts'
import { plantLaws } from '../../src/drill/plant-laws.ts'
import { makePlant } from '../../src/drill/plant.ts'
import { Stepper } from '../../src/drill/step.ts'
import { allDrills, applyEdits, type BasinDesign, steadyState } from '../../src/index.ts'
import { simulateDrill } from '../../src/lab.ts'
import { describe, expect, test } from '@jest/globals'

const TOP_OFF = { flowM3PerS: 100 * L_PER_H, canM3: 0.02, runLimitS: null }
const UNDER = 'up 600 mm, elbow, left 300 mm, down 60 mm'

const LOOPS: [string, BasinDesign][] = [
  ['ends in air', aLoop()],
  ['ends under water', aLoop({ line: UNDER })],
  ['all-in-one', aLoop({ form: 'rear-chambers', uses: ['media', 'return'] })],
  ['hung box', aHungBox()],
  ['two boxes', aLoop({ form: 'inner-and-outer' })],
  ['with a top-off', applyEdits(aLoop(), [setTo(['sump', 'topOff'], TOP_OFF)])],
]

describe('a drill starts from the solved design', () => {
  test.each(LOOPS)('%s: nothing moves before anything fails', (_, design) => {
    const plant = makePlant(steadyState(design))
    const { laws, vessels } = plantLaws(plant, atTheStart(design), false)
    const stepper = new Stepper(vessels, laws)
    stepper.begin(plant.volumes)
    stepper.rates.forEach((rate) => expect(Math.abs(rate)).toBeLessThan(2e-9))
  })
})

describe('every drill of every kind of loop', () => {
  test.each(LOOPS)(
    '%s: makes and loses no water, and halving its steps moves nothing',
    (_, design) => {
      const steady = steadyState(design)
      const drills = allDrills(steady)
      expect(drills.length).toBeGreaterThan(4)
      for (const drill of drills) {
        const whole = simulateDrill(steady, drill)
        const halved = simulateDrill(steady, drill, { stepsForOne: 2 })
        expect(whole.unaccounted).toBeLessThan(1e-9)
        expect(halved.unaccounted).toBeLessThan(1e-9)
        whole.extremes.forEach(({ highestM, lowestM }, v) => {
          // A store's level is its volume, which no keeper reads.
          if (!whole.plant.places[v]) return
          const other = halved.extremes[v]!
          const off = Math.max(
            Math.abs(highestM - other.highestM),
            Math.abs(lowestM - other.lowestM),
          )
          if (off > 1e-4)
            throw new Error(`${drill.id}: ${whole.plant.vessels[v]!.of.id} by ${off} m`)
        })
      }
    },
  )
})
