import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** A field of currents that was run for one tank of a design: the last one, and those kept by a name. */
export class StoredField extends Model<
  InferAttributes<StoredField>,
  InferCreationAttributes<StoredField>
> {
  declare designId: string
  declare workspaceId: string
  declare tankId: string
  /** Empty: the last one. */
  declare name: CreationOptional<string>
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
      name: { type: DataTypes.TEXT, primaryKey: true, defaultValue: '' },
      bytes: { type: DataTypes.BLOB, allowNull: false },
      madeAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
    },
    { sequelize, tableName: 'fields', underscored: true, timestamps: false },
  )
}
