import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize'
import type { Design } from './design-model.ts'

/** A keeper's basin; deleted ones stay in the bin until they are swept. */
export class Basin extends Model<InferAttributes<Basin>, InferCreationAttributes<Basin>> {
  declare id: CreationOptional<string>
  declare workspaceId: string
  declare name: string
  declare note: string
  /** Of name and note. */
  declare revision: CreationOptional<number>
  /** Set when deleted; the row stays a while, so that a delete can be undone. */
  declare deletedAt: CreationOptional<Date | null>
  declare createdAt: CreationOptional<Date>
  declare designs?: NonAttribute<Design[]>
}

/** The table of basins. */
export function defineBasin(sequelize: Sequelize): typeof Basin {
  return Basin.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      workspaceId: { type: DataTypes.UUID, allowNull: false },
      name: { type: DataTypes.TEXT, allowNull: false },
      note: { type: DataTypes.TEXT, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
      deletedAt: DataTypes.DATE,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'basins', underscored: true, updatedAt: false },
  )
}
