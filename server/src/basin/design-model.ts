import type { ShelfFigures } from '@yew-basin/core'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** A design with its revision; every save makes another. */
export class Design extends Model<InferAttributes<Design>, InferCreationAttributes<Design>> {
  declare id: CreationOptional<string>
  declare basinId: string
  declare workspaceId: string
  declare name: string
  declare isCurrent: boolean
  declare formatVersion: number
  /** In the format of `formatVersion`; read it through `designOf`. */
  declare document: object
  declare revision: CreationOptional<number>
  declare savedAt: CreationOptional<Date>
  /** Of the document as text: what the workspace's quota counts. */
  declare bytes: number
  /** What the shelf shows, of which revision and computed by which core; null: not yet. */
  declare shelfFigures: CreationOptional<ShelfFigures | null>
  declare figuresRevision: CreationOptional<number | null>
  declare figuresCore: CreationOptional<string | null>
}

/** The table of designs. */
export function defineDesign(sequelize: Sequelize): typeof Design {
  return Design.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      basinId: { type: DataTypes.UUID, allowNull: false },
      workspaceId: { type: DataTypes.UUID, allowNull: false },
      name: { type: DataTypes.TEXT, allowNull: false },
      isCurrent: { type: DataTypes.BOOLEAN, allowNull: false },
      formatVersion: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.JSONB, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
      savedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
      shelfFigures: DataTypes.JSONB,
      figuresRevision: DataTypes.INTEGER,
      figuresCore: DataTypes.TEXT,
    },
    { sequelize, tableName: 'designs', underscored: true, timestamps: false },
  )
}
