import type { WorkspaceAnswer } from '@yew-basin/contract'
import { Router } from 'express'
import type { Sequelize } from 'sequelize'
import { copyBasins } from '../basin/basin-store.ts'
import { atMost } from '../http/security.ts'
import { Workspace } from './workspace-model.ts'

/** New guests a quarter of an hour from one address. */
const NEW_GUESTS = { limit: 300, minutes: 15 }

/** Gives a visitor a workspace of their own, with its own copy of the demo; a known visitor keeps theirs. */
export function workspaceRoutes(sequelize: Sequelize): Router {
  const routes = Router()
  routes.post('/', atMost(NEW_GUESTS.limit, NEW_GUESTS.minutes), async (request, response) => {
    const known = request.session.workspaceId
      ? await Workspace.findByPk(request.session.workspaceId)
      : null
    const workspace = known ?? (await newGuest(sequelize))
    request.session.workspaceId = workspace.id
    const answer: WorkspaceAnswer = { kind: 'guest', createdAt: workspace.createdAt.toISOString() }
    response.status(known ? 200 : 201).json(answer)
  })
  return routes
}

async function newGuest(sequelize: Sequelize): Promise<Workspace> {
  return sequelize.transaction(async (transaction) => {
    const guest = await Workspace.create({ kind: 'guest' }, { transaction })
    const demo = await Workspace.findOne({ where: { kind: 'demo' }, transaction })
    if (demo) await copyBasins(demo.id, guest.id, transaction)
    return guest
  })
}
