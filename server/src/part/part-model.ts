import type { PartKind } from '@yew-basin/contract'
import {
  DataTypes,
  Model,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** A part anyone may choose: the sample library. */
export class Part extends Model<InferAttributes<Part>, InferCreationAttributes<Part>> {
  declare id: string
  declare kind: PartKind
  declare name: string
  declare spec: object
  /** Place in its list, small to large. */
  declare position: number
}

/** The table of the library's parts. */
export function definePart(sequelize: Sequelize): typeof Part {
  return Part.init(
    {
      id: { type: DataTypes.TEXT, primaryKey: true },
      kind: { type: DataTypes.TEXT, allowNull: false },
      name: { type: DataTypes.TEXT, allowNull: false },
      spec: { type: DataTypes.JSONB, allowNull: false },
      position: { type: DataTypes.INTEGER, allowNull: false },
    },
    { sequelize, tableName: 'parts', underscored: true, timestamps: false },
  )
}
