import type { PartKind } from '@yew-basin/contract'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** A part that belongs to one workspace. */
export class OwnPart extends Model<InferAttributes<OwnPart>, InferCreationAttributes<OwnPart>> {
  declare id: CreationOptional<string>
  declare workspaceId: string
  declare kind: PartKind
  declare name: string
  declare spec: object
  declare revision: CreationOptional<number>
  /** Set when deleted: it lies in the bin. */
  declare deletedAt: CreationOptional<Date | null>
  declare createdAt: CreationOptional<Date>
}

/** The table of the keepers' own parts. */
export function defineOwnPart(sequelize: Sequelize): typeof OwnPart {
  return OwnPart.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      workspaceId: { type: DataTypes.UUID, allowNull: false },
      kind: { type: DataTypes.TEXT, allowNull: false },
      name: { type: DataTypes.TEXT, allowNull: false },
      spec: { type: DataTypes.JSONB, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
      deletedAt: DataTypes.DATE,
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'own_parts', underscored: true, updatedAt: false },
  )
}
