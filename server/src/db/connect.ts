import { Sequelize } from 'sequelize'
import { defineBasin } from '../basin/basin-model.ts'
import { defineDesign } from '../basin/design-model.ts'
import { defineRevision } from '../basin/revision-model.ts'
import { defineStoredField } from '../field/field-model.ts'
import { defineShoppingLine } from '../shopping/shopping-model.ts'
import { defineOwnPart } from '../part/own-part-model.ts'
import { defineHistory } from '../history/history-model.ts'
import { definePart } from '../part/part-model.ts'
import { defineWorkspace } from '../workspace/workspace-model.ts'

/** The connection with every model on it. The models hold one connection: a process has one database. */
export function connect(databaseUrl: string): Sequelize {
  const sequelize = new Sequelize(databaseUrl, {
    dialect: 'postgres',
    logging: false,
    pool: { max: 10, idle: 10_000, acquire: 5000 },
    // A database that does not answer is told apart from one that is busy, soon.
    dialectOptions: { connectionTimeoutMillis: 2000, statement_timeout: 20_000, keepAlive: true },
  })
  const Workspace = defineWorkspace(sequelize)
  const Basin = defineBasin(sequelize)
  const Design = defineDesign(sequelize)
  const Revision = defineRevision(sequelize)
  definePart(sequelize)
  defineOwnPart(sequelize)
  defineStoredField(sequelize)
  defineShoppingLine(sequelize)
  defineHistory(sequelize)
  Basin.belongsTo(Workspace, { foreignKey: 'workspaceId' })
  Basin.hasMany(Design, { foreignKey: 'basinId', as: 'designs' })
  Design.belongsTo(Basin, { foreignKey: 'basinId', as: 'basin' })
  Design.hasMany(Revision, { foreignKey: 'designId', as: 'revisions' })
  return sequelize
}
