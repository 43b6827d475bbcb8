import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'

/** Whose things these are. A guest's workspace belongs to whoever holds its session; the demo belongs to nobody and is copied. */
export class Workspace extends Model<
  InferAttributes<Workspace>,
  InferCreationAttributes<Workspace>
> {
  declare id: CreationOptional<string>
  declare kind: 'guest' | 'demo'
  declare createdAt: CreationOptional<Date>
}

/** The table of guests. */
export function defineWorkspace(sequelize: Sequelize): typeof Workspace {
  return Workspace.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 },
      kind: { type: DataTypes.TEXT, allowNull: false },
      createdAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'workspaces', underscored: true, updatedAt: false },
  )
}
