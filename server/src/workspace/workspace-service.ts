import { QUOTAS, type QuotaName, type Usage, type WorkspaceAnswer } from '@yew-basin/contract'
import { QueryTypes, type Sequelize } from 'sequelize'
import { Access } from '../db/access.ts'
import { Workspace } from './workspace-model.ts'

/** The workspace as its keeper sees it; null: it is gone. */
export async function openWorkspace(
  sequelize: Sequelize,
  id: string,
): Promise<WorkspaceAnswer | null> {
  const row = await new Access(sequelize, id).within((transaction) =>
    Workspace.findOne({ where: { id, deletedAt: null }, transaction }),
  )
  return row ? answerOf(row) : null
}

/** A new workspace with a copy of the demo, made by a function of the database: the demo is nobody else's to read. */
export async function newGuest(sequelize: Sequelize): Promise<string> {
  const [guest] = await sequelize.query<{ id: string }>('SELECT id FROM new_guest()', {
    type: QueryTypes.SELECT,
  })
  return guest!.id
}

function answerOf(row: Workspace): WorkspaceAnswer {
  const names = Object.keys(QUOTAS) as QuotaName[]
  const usage = Object.fromEntries(
    names.map((name) => [name, { used: Number(row[name]), most: QUOTAS[name].most }]),
  ) as Usage
  return {
    kind: 'guest',
    createdAt: row.createdAt.toISOString(),
    hasRecoveryKey: row.recoveryHash !== null,
    usage,
  }
}
