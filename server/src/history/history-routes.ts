import type { HistoryAnswer } from '@yew-basin/contract'
import type { Request } from 'express'
import type { Access } from '../db/access.ts'
import { idFrom } from '../http/body.ts'
import type { Route } from '../http/routes.ts'
import { HistoryRow } from './history-model.ts'

/** What a thing was, the latest first. */
async function historyOf(access: Access, thing: string, request: Request): Promise<HistoryAnswer> {
  const id = idFrom(request)
  const rows = await access.within((transaction) =>
    HistoryRow.findAll({ where: { thing, id }, order: [['revision', 'DESC']], transaction }),
  )
  return {
    entries: rows.map(({ revision, savedAt, content }) => ({
      revision,
      savedAt: savedAt.toISOString(),
      content,
    })),
  }
}

const historyRoute = (things: string, thing: string): Route => ({
  method: 'get',
  path: `/${things}/:id/history`,
  who: 'keeper',
  run: async ({ request, response }, access) => {
    response.json(await historyOf(access, thing, request))
  },
})

/** What names and parts were before they were changed. */
export const historyRoutes: readonly Route[] = [
  historyRoute('basins', 'basin'),
  historyRoute('parts', 'part'),
]
