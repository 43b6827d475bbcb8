import type { PumpsAnswer } from '@yew-basin/contract'
import type { PumpPart } from '@yew-basin/core'
import { Router } from 'express'
import { Part } from './part-model.ts'

/** The sample library. */
export function partRoutes(): Router {
  const routes = Router()
  routes.get('/', async (_request, response) => {
    const parts = await Part.findAll({ where: { kind: 'pump' }, order: [['position', 'ASC']] })
    const answer: PumpsAnswer = { pumps: parts.map((part) => part.spec as PumpPart) }
    response.json(answer)
  })
  return routes
}
