import type { Sequelize } from 'sequelize'
import type { Route } from '../http/routes.ts'
import { newGuest, openWorkspace } from './workspace-service.ts'

/** Gives a visitor a workspace of their own, with its own copy of the demo; a known visitor keeps theirs. */
export function workspaceRoutes(sequelize: Sequelize): readonly Route[] {
  return [
    {
      method: 'post',
      path: '/workspace',
      who: 'anyone',
      rare: 300,
      run: async ({ request, response }) => {
        const { workspaceId } = request.session
        const known = workspaceId ? await openWorkspace(sequelize, workspaceId) : null
        if (known) {
          response.status(200).json(known)
          return
        }
        const id = await newGuest(sequelize)
        request.session.workspaceId = id
        response.status(201).json(await openWorkspace(sequelize, id))
      },
    },
    {
      method: 'get',
      path: '/workspace',
      who: 'keeper',
      run: async ({ response }, access) => {
        response.json(await openWorkspace(sequelize, access.workspaceId))
      },
    },
  ]
}
