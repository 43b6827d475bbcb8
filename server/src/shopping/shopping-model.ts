import {
  DataTypes,
  Model,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** A line of a basin's list: what of it is had, its price, and whether it was ticked. */
export class ShoppingLine extends Model<
  InferAttributes<ShoppingLine>,
  InferCreationAttributes<ShoppingLine>
> {
  declare basinId: string
  declare workspaceId: string
  declare key: string
  declare have: number | null
  declare price: number | null
  declare tickedAt: Date | null
  declare tickedBy: string | null
  /** When the keeper changed it, by his own clock: the later change of two devices counts. */
  declare changedAt: Date
}

/** The table of what is known of basins' lists. */
export function defineShoppingLine(sequelize: Sequelize): typeof ShoppingLine {
  return ShoppingLine.init(
    {
      basinId: { type: DataTypes.UUID, primaryKey: true },
      workspaceId: { type: DataTypes.UUID, allowNull: false },
      key: { type: DataTypes.TEXT, primaryKey: true },
      have: { type: DataTypes.DOUBLE },
      price: { type: DataTypes.DOUBLE },
      tickedAt: { type: DataTypes.DATE },
      tickedBy: { type: DataTypes.TEXT },
      changedAt: { type: DataTypes.DATE, allowNull: false },
    },
    { sequelize, tableName: 'shopping', underscored: true, timestamps: false },
  )
}
