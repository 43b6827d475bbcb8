import type { Sequelize } from 'sequelize'
import { Basin } from '../basin/basin-model.ts'
import { addBasin } from '../basin/basin-store.ts'
import { Part } from '../part/part-model.ts'
import { Workspace } from '../workspace/workspace-model.ts'
import { DEMO_BASINS } from './basins.ts'
import { SAMPLE_PUMPS } from './pumps.ts'

/** Lays in the sample library and the demo that guests copy; does nothing where they stand already. */
export async function seedDemo(owner: Sequelize): Promise<void> {
  await owner.transaction(async (transaction) => {
    await Part.bulkCreate(
      SAMPLE_PUMPS.map((pump, position) => ({
        id: pump.id,
        kind: 'pump' as const,
        name: pump.name,
        spec: pump,
        position,
      })),
      { transaction, ignoreDuplicates: true },
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
  })
}
