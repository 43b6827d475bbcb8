import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/**
 * Whose things these are. A guest's workspace belongs to whoever holds its session or its recovery key; the demo
 * belongs to nobody and is copied. What it uses of its quotas is counted by the database.
 */
export class Workspace extends Model<
  InferAttributes<Workspace>,
  InferCreationAttributes<Workspace>
> {
  declare id: CreationOptional<string>
  declare kind: 'guest' | 'demo'
  declare recoveryHash: CreationOptional<Buffer | null>
  declare deletedAt: CreationOptional<Date | null>
  declare createdAt: CreationOptional<Date>
  declare basins: CreationOptional<number>
  declare designs: CreationOptional<number>
  declare parts: CreationOptional<number>
  declare fields: CreationOptional<number>
  /** PostgreSQL's bigint, as text. */
  declare bytes: CreationOptional<string>
}

/** The table of guests. */
export function defineWorkspace(sequelize: Sequelize): typeof Workspace {
  // One object each: Sequelize writes the attribute's name into it.
  const counted = () => ({ type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 })
  return Workspace.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      kind: { type: DataTypes.TEXT, allowNull: false },
      recoveryHash: DataTypes.BLOB,
      deletedAt: DataTypes.DATE,
      createdAt: DataTypes.DATE,
      basins: counted(),
      designs: counted(),
      parts: counted(),
      fields: counted(),
      bytes: { type: DataTypes.BIGINT, allowNull: false, defaultValue: 0 },
    },
    { sequelize, tableName: 'workspaces', underscored: true, updatedAt: false },
  )
}
