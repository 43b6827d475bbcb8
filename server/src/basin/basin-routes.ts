import { setImmediate } from 'node:timers/promises'
import { CreateBasin, readBasinInTurns, RenameBasin } from '@yew-basin/contract'
import { BASIN_BODY } from '../http/body-budget.ts'
import { bodyAs, idFrom, ifMatch } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import type { Route } from '../http/routes.ts'
import type { Jobs } from '../job/jobs.ts'
import { BasinService } from './basin-service.ts'
import { shelfPage } from './shelf.ts'

/** The shelf, and whole basins. */
export function basinRoutes(jobs: Jobs): readonly Route[] {
  const basins = new BasinService(jobs)
  return [...shelfRoutes(basins, jobs), ...ofOneBasin(basins)]
}

function shelfRoutes(basins: BasinService, jobs: Jobs): readonly Route[] {
  return [
    {
      method: 'get',
      path: '/basins',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const { after } = request.query
        const place = typeof after === 'string' && after !== '' ? after : null
        response.json(await shelfPage(access, jobs, place))
      },
    },
    {
      method: 'post',
      path: '/basins',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const { name, units } = bodyAs(CreateBasin, request)
        response.status(201).json(await basins.create(access, name, units))
      },
    },
    {
      method: 'post',
      path: '/basins/import',
      most: '2mb',
      budget: BASIN_BODY,
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const read = await readBasinInTurns(request.body, setImmediate)
        if (!read.ok) {
          throw new Refusal('invalid', 'Nothing was imported.', { faults: read.faults })
        }
        response.status(201).json(await basins.bringIn(access, read.value))
      },
    },
  ]
}

function ofOneBasin(basins: BasinService): readonly Route[] {
  return [
    {
      method: 'get',
      path: '/basins/:id',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        response.json(await basins.open(access, idFrom(request)))
      },
    },
    {
      method: 'patch',
      path: '/basins/:id',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const seen = { id: idFrom(request), changed: ifMatch(request) }
        const { name } = bodyAs(RenameBasin, request)
        response.json(await basins.rename(access, seen, name))
      },
    },
    {
      method: 'delete',
      path: '/basins/:id',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        await basins.remove(access, { id: idFrom(request), changed: ifMatch(request) })
        response.status(204).end()
      },
    },
    {
      method: 'post',
      path: '/basins/:id/restore',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        response.json(await basins.restore(access, idFrom(request)))
      },
    },
    {
      method: 'post',
      path: '/basins/:id/duplicate',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        response.status(201).json(await basins.duplicate(access, idFrom(request)))
      },
    },
    {
      method: 'get',
      path: '/basins/:id/export',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const file = await basins.file(access, idFrom(request))
        response.attachment(`${fileName(file.name)}.yew-basin.json`).type('application/json')
        response.send(JSON.stringify(file, null, 2) + '\n')
      },
    },
  ]
}

function fileName(name: string): string {
  return name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-+|-+$/g, '') || 'basin'
}
