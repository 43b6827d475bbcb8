import type { Sequelize } from 'sequelize'
import { Basin } from '../basin/basin-model.ts'
import { addBasin, addFigures } from '../basin/basin-store.ts'
import { Part } from '../part/part-model.ts'
import { Workspace } from '../workspace/workspace-model.ts'
import { DEMO_BASINS } from './basins.ts'
import { SAMPLE_PARTS } from './parts.ts'

/** Lays in the sample library and the demo that guests copy; does nothing where they stand already. */
export async function seedDemo(owner: Sequelize): Promise<void> {
  await owner.transaction(async (transaction) => {
    // The library is ours: what is laid in anew takes the place of what stood there.
    await Part.bulkCreate(
      SAMPLE_PARTS.map(({ id, kind, name, spec }, position) => ({
        id,
        kind,
        name,
        spec,
        position,
      })),
      { transaction, updateOnDuplicate: ['name', 'spec', 'position'] },
    )
    const [demo] = await Workspace.findOrCreate({
      where: { kind: 'demo' },
      defaults: { kind: 'demo' },
      transaction,
    })
    // A basin that joined the demo later is laid in beside those that stand there already.
    const there = await Basin.findAll({ where: { workspaceId: demo.id }, transaction })
    const names = new Set(there.map((basin) => basin.name))
    for (const basin of DEMO_BASINS.filter(({ name }) => !names.has(name))) {
      await addBasin(
        demo.id,
        {
          name: basin.name,
          note: basin.note,
          designs: [{ name: basin.designName, current: true, design: basin.design }],
        },
        transaction,
      )
    }
    const standing = await Basin.findAll({
      where: { workspaceId: demo.id },
      include: 'designs',
      transaction,
    })
    for (const basin of standing) await addFigures(basin, transaction)
  })
}
