import { beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { HeatPlan } from '@yew-basin/core'
import HeatFields from '../src/treatment/HeatFields.vue'
import LampFields from '../src/treatment/LampFields.vue'
import LoadFields from '../src/treatment/LoadFields.vue'
import SkimmerBench from '../src/treatment/SkimmerBench.vue'
import { dayOf } from '../src/shell/clock.ts'
import SumpBench from '../src/sump/SumpBench.vue'
import { useUnits } from '../src/shell/units.ts'
import { enter, field, hasButton, press, shown, spaced, text } from './a-view.ts'
import { anOpenBasin } from './open-basin.ts'

const HOUR_S = 3600
const tick = (words: string) =>
  [...document.querySelectorAll('label')]
    .find((label) => label.textContent.includes(words))!
    .querySelector('input')!
    .click()

let store: Awaited<ReturnType<typeof anOpenBasin>>
beforeEach(async () => {
  document.body.innerHTML = ''
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] })
  jest.setSystemTime(new Date(2026, 10, 29, 12))
  store = await anOpenBasin()
})

describe('how warm it stays', () => {
  test('is not set until the keeper says so, and then has figures of both rooms', async () => {
    store.set(['heat'], null)
    await shown(SkimmerBench)
    expect(text()).not.toContain('Heat wanted in the coldest room')
    await press('Say how cold and how warm the room gets')
    const units = useUnits()
    const { heat } = store.solved!
    for (const { wantedW, wantedBandW, energyPerMonthJ, roomC } of [heat!.coldest, heat!.warmest]) {
      expect(text()).toContain(spaced(units.text('power', wantedW, wantedBandW)))
      expect(text()).toContain(spaced(units.text('energy', energyPerMonthJ)))
      expect(text()).toContain(spaced(units.text('temperature', roomC)))
    }
    expect(text()).toContain('Salt creeps')
  })

  test('humidity and a chiller are asked for where they are wanted', async () => {
    store.set(['heat', 'humidity'], null)
    store.set(['heat', 'chillerW'], null)
    store.set(['heat', 'warmestRoomC'], 34)
    await shown(HeatFields)
    tick('Evaporation from the room’s air')
    tick('There is a chiller')
    await Promise.resolve()
    await enter('Its relative humidity', '60 %')
    await enter('The chiller takes out', '450 W')
    const plan = store.design!.heat as HeatPlan
    expect(plan.humidity).toBeCloseTo(0.6, 9)
    expect(plan.chillerW).toBe(450)
  })

  test('the sump asks for evaporation only while the room’s air does not say it', async () => {
    store.set(['heat', 'humidity'], null)
    await shown(SumpBench)
    const asks = () =>
      [...document.querySelectorAll('label')].some((label) =>
        label.textContent.trim().startsWith('Evaporation'),
      )
    expect(asks()).toBe(true)
    store.set(['heat', 'humidity'], 0.4)
    await Promise.resolve()
    expect(asks()).toBe(false)
    expect(text()).toContain('follows from the room’s air')
  })

  test('in US units every figure is in them', async () => {
    await shown(SkimmerBench)
    useUnits().family = 'us'
    await Promise.resolve()
    expect(text()).toMatch(/°F/)
    expect(text()).not.toMatch(/°C|\d L\b|L\/h/)
    useUnits().family = 'metric'
  })
})

describe('what is fed', () => {
  test('is a range where the most is more than the least, and one figure where it is not', async () => {
    await shown(LoadFields)
    await enter('at most', '9')
    expect(store.design!.treatment.feeds[0]!.mostPerDay).toBe(9)
    const { least, most } = store.solved!.treatment.load
    expect(most.dryFeedKgPerDay).toBeGreaterThan(least.dryFeedKgPerDay)
    const units = useUnits()
    expect(text()).toContain(spaced(units.text('food', most.dryFeedKgPerDay)))
    await enter('a day', '12')
    expect(store.design!.treatment.feeds[0]).toMatchObject({ perDay: 12, mostPerDay: null })
    await enter('at most', '2')
    expect(store.design!.treatment.feeds[0]).toMatchObject({ perDay: 2, mostPerDay: null })
  })
})

describe('a range pushed along by one of its ends', () => {
  test('comes back whole with one step back', async () => {
    await shown(LoadFields)
    const before = store.design!.treatment.feeds[0]!
    await enter('a day', '12')
    expect(store.design!.treatment.feeds[0]).toMatchObject({ perDay: 12, mostPerDay: null })
    await store.undo()
    expect(store.design!.treatment.feeds[0]).toEqual(before)
  })
})

describe('the lamp', () => {
  const lampAt = () => store.shown!.sump.devices.findIndex(({ lamp }) => lamp !== null)
  const lamp = () => store.design!.sump.devices[lampAt()]!.lamp!
  async function fields() {
    const device = store.shown!.sump.devices[lampAt()]!
    await shown(LampFields, { device, lamp: device.lamp, index: lampAt() })
  }

  test('has burned on since its hours were given, and shows it in hours', async () => {
    const given = { ...lamp(), burnedS: 1000 * HOUR_S, burnedOn: '2026-11-19', hoursPerDay: 10 }
    store.set(['sump', 'devices', lampAt(), 'lamp'], given)
    await fields()
    expect(field('The lamp has burned').value).toBe('1100')
    expect(store.solved!.treatment.sterilizers[0]!.lampLeftS).toBe(
      store.shown!.sump.devices[lampAt()]!.part.sterilizer!.ratedHoursS - 1100 * HOUR_S,
    )
  })
  test('its hours follow from the day it was put in', async () => {
    await fields()
    await enter('Lit, hours a day', '8')
    await enter('Lamp put in on', '2026-11-09')
    expect(lamp()).toMatchObject({ lampSince: '2026-11-09', burnedOn: null, hoursPerDay: 8 })
    expect(store.shown!.sump.devices[lampAt()]!.lamp!.burnedS).toBe(20 * 8 * HOUR_S)
  })
  test('hours that are typed count from today', async () => {
    await fields()
    await enter('The lamp has burned', '4000 h')
    expect(lamp()).toMatchObject({ burnedS: 4000 * HOUR_S, burnedOn: '2026-11-29' })
  })
  test('a new one has burned nothing and was put in today', async () => {
    await fields()
    await press('New lamp in today')
    expect(lamp()).toMatchObject({
      burnedS: 0,
      burnedOn: '2026-11-29',
      lampSince: '2026-11-29',
    })
    await fields()
    expect(hasButton('New lamp in today')).toBe(false)
  })
})

test('a day is the keeper’s own, with two digits each', () => {
  expect(dayOf(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05')
})
