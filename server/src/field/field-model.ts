import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** The last field of currents that was run for one tank of a design. */
export class StoredField extends Model<
  InferAttributes<StoredField>,
  InferCreationAttributes<StoredField>
> {
  declare designId: string
  declare workspaceId: string
  declare tankId: string
  /** As core packs it. */
  declare bytes: Buffer
  declare madeAt: CreationOptional<Date>
}

/** The table of simulated fields. */
export function defineStoredField(sequelize: Sequelize): typeof StoredField {
  return StoredField.init(
    {
      designId: { type: DataTypes.UUID, primaryKey: true },
      workspaceId: { type: DataTypes.UUID, allowNull: false },
      tankId: { type: DataTypes.TEXT, primaryKey: true },
      bytes: { type: DataTypes.BLOB, allowNull: false },
      madeAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
    },
    { sequelize, tableName: 'fields', underscored: true, timestamps: false },
  )
}
