import {
  DataTypes,
  Model,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** What a kept thing was before a change; written by the database itself. */
export class HistoryRow extends Model<
  InferAttributes<HistoryRow>,
  InferCreationAttributes<HistoryRow>
> {
  declare thing: string
  declare id: string
  declare revision: number
  declare content: Record<string, unknown>
  declare savedAt: Date
}

/** The table of what small things were. */
export function defineHistory(sequelize: Sequelize): typeof HistoryRow {
  return HistoryRow.init(
    {
      thing: { type: DataTypes.TEXT, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      revision: { type: DataTypes.INTEGER, primaryKey: true },
      content: DataTypes.JSONB,
      savedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'history', underscored: true, timestamps: false },
  )
}
