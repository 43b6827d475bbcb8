import express, { Router, type Request, type RequestHandler, type Response } from 'express'
import type { Access } from '../db/access.ts'
import { jsonOnly } from './body.ts'
import { holdToBudget, SMALL_BODY, type TextBudget } from './body-budget.ts'
import { atMostFromAddress } from './security.ts'

/** What a handler is given. */
export interface Exchange {
  readonly request: Request
  readonly response: Response
}

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete'

interface Common {
  readonly method: Method
  readonly path: string
  /** Largest body it takes; a name is a few bytes. */
  readonly most?: '10kb' | '200kb' | '400kb' | '2mb'
  /** How much its text may hold; a name holds little. */
  readonly budget?: TextBudget
  /** So many a quarter of an hour from one address, where more would be an attack. */
  readonly rare?: number
  /** Bodies are JSON unless they are a field's bytes. */
  readonly bytes?: number
}

/** An address of the API: who may ask there, and what is done. There are no others. */
export type Route = Common &
  (
    | { readonly who: 'anyone'; readonly run: (asked: Exchange) => Promise<void> }
    | { readonly who: 'keeper'; readonly run: (asked: Exchange, access: Access) => Promise<void> }
  )

/** Type of what is no JSON. */
export const BYTES = 'application/octet-stream'

/** The table of routes as one handler. */
export function mounted(routes: readonly Route[], accessOf: (request: Request) => Access): Router {
  const router = Router()
  for (const route of routes) {
    router[route.method](
      route.path,
      ...(route.rare ? [atMostFromAddress({ limit: route.rare, minutes: 15 })] : []),
      admitted(route, accessOf),
      ...bodyOf(route),
      handled(route, accessOf),
    )
  }
  return router
}

/** Who may not ask is refused before a body is read. */
function admitted(route: Route, accessOf: (request: Request) => Access): RequestHandler {
  return (request, _response, next) => {
    if (route.who === 'keeper') accessOf(request)
    next()
  }
}

/** What a body may be where its route doesn't say more. */
const SMALL = '10kb'

/** A large body takes a while to parse: whoever waits has their turn before it is checked. */
const afterOthers: RequestHandler = (_request, _response, next) => void setImmediate(next)

function bodyOf({ method, most = SMALL, budget = SMALL_BODY, bytes }: Route): RequestHandler[] {
  if (method === 'get') return []
  if (bytes) return [express.raw({ type: BYTES, limit: bytes })]
  const verify = (_request: unknown, _response: unknown, sent: Buffer) => holdToBudget(sent, budget)
  const parsed = [jsonOnly, express.json({ limit: most, verify })]
  return most === SMALL ? parsed : [...parsed, afterOthers]
}

function handled(route: Route, accessOf: (request: Request) => Access): RequestHandler {
  return async (request, response) => {
    const asked = { request, response }
    await (route.who === 'keeper' ? route.run(asked, accessOf(request)) : route.run(asked))
  }
}
