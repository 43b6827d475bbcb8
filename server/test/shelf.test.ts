import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { ShelfPage } from '@yew-basin/contract'
import { applyEdits, keyFigures, lastWord, setTo, solveBasin } from '@yew-basin/core'
import { anApp, Guest, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
let guest: Guest
beforeAll(async () => {
  app = await anApp()
  guest = await Guest.arrive(app)
})
afterAll(() => app.close())

const lantern = async () => (await guest.shelf()).find(({ name }) => name === 'Lantern')!

describe('the shelf', () => {
  test('shows what the core found, computed once the queue has come to it', async () => {
    await guest.shelf()
    await app.work()
    const { current } = await guest.open('Lantern')
    const solved = solveBasin(current.design)
    const flow = keyFigures(solved).find(({ id }) => id === 'flow')!
    const { figures } = await lantern()
    expect(figures!.figures.find(({ id }) => id === 'flow')).toEqual({
      id: 'flow',
      label: flow.label,
      value: flow.value,
    })
    // Its drills have been run: their word is on the card.
    const drilled = lastWord.solveWithLastWord(current.design)
    expect(figures!.worst!.title).toEqual(drilled.findings[0]!.title)
  })
  test('is computed anew after a save, and a save itself solves nothing', async () => {
    await guest.shelf()
    await app.work()
    const before = (await lantern()).figures
    const { current } = await guest.open('Lantern')
    await guest
      .save({
        ...current,
        design: applyEdits(current.design, [setTo(['tanks', 0, 'lengthM'], 2)]),
      })
      .expect(200)
    expect((await lantern()).figures).toEqual(before)
    await app.work()
    expect((await lantern()).figures).not.toEqual(before)
  })
  test('comes in pages, each once, in order, and carries no document', async () => {
    const owner = await ownerOf(app)
    await owner.query(
      `WITH made AS (
         INSERT INTO basins (id, workspace_id, name, note, created_at)
         SELECT gen_random_uuid(), b.workspace_id, 'No ' || n, '', now() + n * interval '1 second'
         FROM basins b, generate_series(1, 1100) n WHERE b.id = $1 RETURNING *)
       INSERT INTO designs (id, basin_id, workspace_id, name, is_current, format_version, document)
       SELECT gen_random_uuid(), made.id, made.workspace_id, 'x', true, d.format_version, d.document
       FROM made, designs d WHERE d.basin_id = $1`,
      [(await lantern()).id],
    )
    await owner.end()
    const names: string[] = []
    const sizes: number[] = []
    for (let after = ''; ;) {
      const answer = await guest.agent.get(`/api/basins?after=${after}`).expect(200)
      const { entries, next } = answer.body as ShelfPage
      names.push(...entries.map(({ name }) => name))
      sizes.push(answer.text.length / entries.length)
      if (next === null) break
      after = next
    }
    expect(names.slice(3)).toEqual(Array.from({ length: 1100 }, (_, i) => `No ${i + 1}`))
    expect(Math.max(...sizes)).toBeLessThan(1000)
  })
  test.each(['x', '1~2', '9999999999999999~00000000-0000-0000-0000-00000000000x', "';--"])(
    'a place that is none is told: %s',
    async (after) => {
      await guest.agent.get(`/api/basins?after=${encodeURIComponent(after)}`).expect(404)
    },
  )
})
