import type { Sequelize } from 'sequelize'
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
    const [demo, fresh] = await Workspace.findOrCreate({
      where: { kind: 'demo' },
      defaults: { kind: 'demo' },
      transaction,
    })
    if (!fresh) return
    for (const basin of DEMO_BASINS) {
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
