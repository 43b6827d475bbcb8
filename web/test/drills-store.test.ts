import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { sentence, setTo, type Edit, type Fix } from '@yew-basin/core'
import { useDrills } from '../src/drills/drills-store.ts'
import { aPage, endWorkers, until } from './a-worker.ts'
import { anOpenBasin } from './open-basin.ts'

/** A fix as it is offered. */
const aFix = (...edits: readonly Edit[]): Fix => ({
  label: sentence('A change'),
  brings: sentence('Something else.'),
  edits,
})

type Store = Awaited<ReturnType<typeof anOpenBasin>>

/** The drills of an open basin, all simulated. */
async function drilled(): Promise<{ store: Store; drills: ReturnType<typeof useDrills> }> {
  const store = await anOpenBasin()
  const drills = useDrills()
  await until(() => drills.verdicts.length > 0 && !drills.progress, 'drills are simulated')
  return { store, drills }
}

describe('the drills of an open basin', () => {
  beforeAll(aPage)
  beforeEach(endWorkers)
  afterAll(endWorkers)

  test('are simulated without being asked for, every one of them, worst first', async () => {
    const { drills } = await drilled()
    expect(drills.possible).toBe(true)
    expect(drills.verdicts.map(({ drillId }) => drillId).sort()).toEqual(
      drills.drills.map(({ id }) => id).sort(),
    )
    const rank = { wet: 0, watch: 1, dry: 2 }
    const ranks = drills.verdicts.map(({ outcome }) => rank[outcome])
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
    expect(drills.worst).toEqual(drills.verdicts[0])
    expect([drills.fault, drills.stale]).toEqual(['', false])
  })

  test('are out of date at once when the design changes, and simulated again by themselves', async () => {
    const { store, drills } = await drilled()
    const before = drills.worst
    store.set(['tanks', 0, 'lengthM'], store.design!.tanks[0]!.lengthM + 0.1)
    expect([drills.stale, drills.worst]).toEqual([true, null])
    await until(() => !drills.stale && !drills.progress, 'drills are simulated again')
    expect(drills.worst).not.toBeNull()
    expect(drills.worst).not.toBe(before)
    expect(drills.verdicts).toHaveLength(drills.drills.length)
  })

  test('a change that is undone in the same breath costs nothing', async () => {
    const { store, drills } = await drilled()
    const before = drills.verdicts
    store.set(['tanks', 0, 'lengthM'], store.design!.tanks[0]!.lengthM + 0.1)
    await store.undo()
    await new Promise((resolve) => setTimeout(resolve, 1000))
    expect(drills.progress).toBeNull()
    expect(drills.verdicts).toEqual(before)
  })

  test('that were stopped keep what had come in, and can be begun again', async () => {
    const store = await anOpenBasin()
    const drills = useDrills()
    await until(() => drills.progress !== null, 'drills have begun')
    drills.cancel()
    expect(drills.progress).toBeNull()
    const some = drills.verdicts.length
    await new Promise((resolve) => setTimeout(resolve, 200))
    expect(drills.verdicts).toHaveLength(some)
    await drills.simulate()
    expect(drills.verdicts).toHaveLength(drills.drills.length)
    expect(store.design).not.toBeNull()
  })

  test('a design that cannot be drilled has none, and says so', async () => {
    const { store, drills } = await drilled()
    store.set(['sump', 'box'], null)
    expect(drills.possible).toBe(false)
    await until(() => drills.verdicts.length === 0, 'drills are put away')
    expect([drills.drills, drills.worst]).toEqual([[], null])
  })

  test('what a fix would make of all of them is looked at before it is applied', async () => {
    const { store, drills } = await drilled()
    const verdict = drills.verdicts[0]!
    const higherM = store.design!.sump.box!.heightM + 0.1
    const fix = aFix(setTo(['sump', 'box', 'heightM'], higherM))
    const before = store.design
    await drills.look(fix, verdict.drillId)
    expect(drills.preview?.drillId).toBe(verdict.drillId)
    expect(drills.preview?.verdicts).toHaveLength(drills.drills.length)
    expect(store.design).toBe(before)
    drills.apply(drills.preview!.fix)
    expect(drills.preview).toBeNull()
    expect(store.design!.sump.box!.heightM).toBe(higherM)
    await store.undo()
    expect(store.design).toEqual(before)
  })

  test('a preview that is left is gone, and the design is as it was', async () => {
    const { store, drills } = await drilled()
    const fix = aFix(setTo(['tanks', 0, 'lengthM'], 1.5))
    const before = JSON.stringify(store.design)
    await drills.look(fix, drills.verdicts[0]!.drillId)
    expect(drills.preview).not.toBeNull()
    drills.leavePreview()
    expect(drills.preview).toBeNull()
    expect(JSON.stringify(store.design)).toBe(before)
  })

  test('pairs of failures say what two at once can do, and go with a change', async () => {
    const { store, drills } = await drilled()
    await drills.simulatePairs()
    const { survival } = drills
    expect(survival).not.toBeNull()
    const wet = new Set(
      drills.verdicts.filter(({ outcome }) => outcome === 'wet').map(({ drillId }) => drillId),
    )
    for (const { drillId } of survival!.points) expect(wet.has(drillId)).toBe(true)
    // A pair is listed only where neither of its two floods by itself.
    const named = new Map(drills.drills.map(({ id, title }) => [id, JSON.stringify(title)]))
    for (const { title } of survival!.pairs) {
      const text = JSON.stringify(title)
      for (const id of wet) expect([text, text.includes(named.get(id)!)]).toEqual([text, false])
    }
    store.set(['tanks', 0, 'lengthM'], store.design!.tanks[0]!.lengthM + 0.1)
    await until(() => !drills.stale && !drills.progress, 'drills are simulated again')
    expect(drills.survival).toBeNull()
  })
})
