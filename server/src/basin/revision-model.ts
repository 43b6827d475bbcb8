import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** A state a design was saved in. */
export class Revision extends Model<InferAttributes<Revision>, InferCreationAttributes<Revision>> {
  declare designId: string
  declare workspaceId: string
  declare revision: number
  declare formatVersion: number
  declare document: object
  declare savedAt: CreationOptional<Date>
  declare bytes: number
}

/** The table of what designs were. */
export function defineRevision(sequelize: Sequelize): typeof Revision {
  return Revision.init(
    {
      designId: { type: DataTypes.UUID, primaryKey: true },
      workspaceId: { type: DataTypes.UUID, allowNull: false },
      revision: { type: DataTypes.INTEGER, primaryKey: true },
      formatVersion: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.JSONB, allowNull: false },
      savedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
    },
    { sequelize, tableName: 'revisions', underscored: true, timestamps: false },
  )
}
