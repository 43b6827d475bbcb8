import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { DesignAnswer, RevisionAnswer, SavedAnswer } from '@yew-basin/contract'
import { applyEdits, setTo } from '@yew-basin/core'
import { thinRevisions } from '../src/basin/thin-revisions.ts'
import { anApp, Guest, problem, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
let guest: Guest
let design: DesignAnswer
beforeAll(async () => {
  app = await anApp()
})
afterAll(() => app.close())
beforeEach(async () => {
  guest = await Guest.arrive(app)
  design = (await guest.open('Lantern')).current
})

const wider = (answer: DesignAnswer, widthM: number): DesignAnswer => ({
  ...answer,
  design: applyEdits(answer.design, [setTo(['tanks', 0, 'widthM'], widthM)]),
})

describe('saving', () => {
  test('raises the revision and keeps what was sent', async () => {
    const saved = (await guest.save(wider(design, 0.7)).expect(200)).body as SavedAnswer
    expect(saved.revision).toBe(2)
    // The design itself is what was sent: it does not come back.
    expect(Object.keys(saved).sort()).toEqual(['id', 'revision', 'savedAt'])
    const again = (await guest.agent.get(`/api/designs/${design.id}`).expect(200))
      .body as DesignAnswer
    expect(again).toMatchObject({ revision: 2, design: { tanks: [{ widthM: 0.7 }] } })
  })
  test('over a revision that has moved is refused with what stands there', async () => {
    await guest.save(wider(design, 0.7)).expect(200)
    const refused = await guest.save(wider(design, 0.6)).expect(412)
    expect(problem(refused)).toMatchObject({
      code: 'revision-moved',
      current: { revision: 2, design: { tanks: [{ widthM: 0.7 }] } },
    })
  })
  test('of two saves at once exactly one wins', async () => {
    const answers = await Promise.all(
      [0.6, 0.65, 0.7, 0.75].map((widthM) => guest.save(wider(design, widthM))),
    )
    expect(answers.map((answer) => answer.status).sort((a, b) => a - b)).toEqual([
      200, 412, 412, 412,
    ])
  })
  test('without a revision, or with nonsense for one, is refused', async () => {
    const put = () => guest.agent.put(`/api/designs/${design.id}`).send({ design: design.design })
    expect(problem(await put().expect(428)).code).toBe('revision-missing')
    await put().set('If-Match', '*').expect(428)
    await put().set('If-Match', '"-1"').expect(428)
  })
  test('what cannot be is refused field by field, and nothing is saved', async () => {
    const refused = await guest.save(wider(design, 99)).expect(422)
    expect(problem(refused).faults).toEqual([
      { path: 'design.tanks[0].widthM', message: 'must be a number from 0.1 to 5; it is 99' },
    ])
    const now = (await guest.agent.get(`/api/designs/${design.id}`)).body as DesignAnswer
    expect(now.revision).toBe(1)
  })
})

describe('earlier states', () => {
  test('can be read back, newest first', async () => {
    let now = design
    for (const widthM of [0.6, 0.7, 0.8]) {
      const next = wider(now, widthM)
      const saved = (await guest.save(next).expect(200)).body as SavedAnswer
      now = { ...next, revision: saved.revision }
    }
    const before = (
      await guest.agent.get(`/api/designs/${design.id}/revisions/before/4`).expect(200)
    ).body as RevisionAnswer
    expect(before).toMatchObject({ revision: 3, design: { tanks: [{ widthM: 0.7 }] } })
    await guest.agent.get(`/api/designs/${design.id}/revisions/before/1`).expect(404)
    await guest.agent.get(`/api/designs/${design.id}/revisions/before/x`).expect(404)
    await guest.agent.get(`/api/designs/${design.id}/revisions/before/99999999999`).expect(404)
  })
  test('are thinned with age: all of a day, then one an hour, then one a day, and the newest 50', async () => {
    const owner = await ownerOf(app)
    await owner.query(
      `INSERT INTO revisions (design_id, workspace_id, revision, format_version, document, saved_at)
       SELECT id, workspace_id, n, 1, '{}', now() - interval '60 days' + n * interval '10 minutes'
       FROM designs, generate_series(2, 1000) n WHERE id = $1`,
      [design.id],
    )
    const { rows } = await owner.query('SELECT workspace_id FROM designs WHERE id = $1', [
      design.id,
    ])
    const workspaceId = (rows[0] as { workspace_id: string }).workspace_id
    // Another keeper's word does nothing here.
    const stranger = '00000000-0000-4000-8000-000000000000'
    expect(await thinRevisions(app.sequelize, { workspaceId: stranger, designId: design.id })).toBe(
      0,
    )
    expect(
      await thinRevisions(app.sequelize, { workspaceId, designId: design.id }),
    ).toBeGreaterThan(940)
    const left = await owner.query(
      'SELECT revision FROM revisions WHERE design_id = $1 ORDER BY revision',
      [design.id],
    )
    await owner.end()
    const kept = left.rows.map((row) => (row as { revision: number }).revision)
    expect(kept.filter((revision) => revision > 950)).toHaveLength(50)
    expect(kept.filter((revision) => revision > 1 && revision <= 950).length).toBeLessThanOrEqual(7)
  })
})
