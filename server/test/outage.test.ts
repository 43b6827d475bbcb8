import { expect, test } from '@jest/globals'
import pg from 'pg'
import { anApp, Guest, problem } from './an-app.ts'

test('a fault of the database is told as ours, without its words, and passes when it does', async () => {
  const app = await anApp()
  const guest = await Guest.arrive(app)
  const owner = new pg.Client({ connectionString: app.ownerUrl })
  await owner.connect()
  await owner.query('REVOKE SELECT ON basins FROM yew_app')
  const refused = await guest.agent.get('/api/basins').expect(500)
  expect(problem(refused)).toMatchObject({ code: 'server-fault' })
  expect(problem(refused).detail).not.toMatch(/permission|basins/i)
  await owner.query('GRANT SELECT ON basins TO yew_app')
  await guest.agent.get('/api/basins').expect(200)
  await owner.end()
  await app.close()
})
