import { CreateBasin, readBasinObject, RenameBasin } from '@yew-basin/contract'
import { Router, type Request } from 'express'
import { bodyAs, idFrom } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import { workspaceOf } from '../http/session.ts'
import type { BasinService } from './basin-service.ts'

/** `/api/basins`: the shelf. */
export function basinRoutes(basins: BasinService): Router {
  const routes = Router()
  const named = (request: Request) => [workspaceOf(request), idFrom(request)] as const

  routes.get('/', async (request, response) => {
    response.json(await basins.shelf(workspaceOf(request)))
  })
  routes.post('/', async (request, response) => {
    const workspaceId = workspaceOf(request)
    const { name } = bodyAs(CreateBasin, request)
    response.status(201).json(await basins.create(workspaceId, name))
  })
  routes.post('/import', async (request, response) => {
    const workspaceId = workspaceOf(request)
    const read = readBasinObject(request.body)
    if (!read.ok) {
      throw new Refusal('invalid', 'Nothing was imported.', { faults: read.faults })
    }
    response.status(201).json(await basins.bringIn(workspaceId, read.value))
  })
  routes.get('/:id', async (request, response) => {
    response.json(await basins.open(...named(request)))
  })
  routes.patch('/:id', async (request, response) => {
    const where = named(request)
    const { name } = bodyAs(RenameBasin, request)
    response.json(await basins.rename(...where, name))
  })
  routes.delete('/:id', async (request, response) => {
    await basins.remove(...named(request))
    response.status(204).end()
  })
  routes.post('/:id/restore', async (request, response) => {
    response.json(await basins.restore(...named(request)))
  })
  routes.post('/:id/duplicate', async (request, response) => {
    response.status(201).json(await basins.duplicate(...named(request)))
  })
  routes.get('/:id/export', async (request, response) => {
    const file = await basins.file(...named(request))
    response.attachment(`${fileName(file.name)}.yew-basin.json`).type('application/json')
    response.send(JSON.stringify(file, null, 2) + '\n')
  })
  return routes
}

function fileName(name: string): string {
  return name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-+|-+$/g, '') || 'basin'
}
