import { expect, test } from '@jest/globals'
import { connect } from '../src/db/connect.ts'
import { migrate } from '../src/db/migrate.ts'
import { grantTo } from '../src/db/rights.ts'
import { seedDemo } from '../src/demo/seed.ts'
import { Basin } from '../src/basin/basin-model.ts'
import { Part } from '../src/part/part-model.ts'
import { anApp } from './an-app.ts'

test('migrating and seeding again changes nothing', async () => {
  const app = await anApp()
  await app.close()
  const owner = connect(app.ownerUrl)
  const counts = async () => [await Basin.count(), await Part.count()]
  const before = await counts()
  expect(await migrate(owner)).toEqual([])
  await seedDemo(owner)
  expect(await counts()).toEqual(before)
  await expect(grantTo(owner, 'nobody_here')).rejects.toThrow(/no role nobody_here/)
  await expect(grantTo(owner, 'x; DROP')).rejects.toThrow(/no role name/)
  await owner.close()
})
