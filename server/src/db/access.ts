import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

/** What one workspace may reach: the database itself shows nothing else to what runs in here. */
export class Access {
  readonly workspaceId: string
  readonly #sequelize: Sequelize

  constructor(sequelize: Sequelize, workspaceId: string) {
    this.#sequelize = sequelize
    this.workspaceId = workspaceId
  }

  /** Runs as this workspace: all of it or none. */
  within<T>(act: (transaction: Transaction) => Promise<T>): Promise<T> {
    return this.#sequelize.transaction(async (transaction) => {
      await this.#sequelize.query("SELECT set_config('yew.workspace', :id, true)", {
        replacements: { id: this.workspaceId },
        transaction,
      })
      return act(transaction)
    })
  }

  /** One statement whose function names the workspace itself: one round trip. */
  call<Row extends object>(sql: string, bind: readonly unknown[]): Promise<Row[]> {
    return this.#sequelize.query<Row>(sql, {
      bind: [this.workspaceId, ...bind],
      type: QueryTypes.SELECT,
    })
  }
}
