import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import request from 'supertest'
import pg from 'pg'
import type { Express } from 'express'
import { NO_JOBS } from './an-app.ts'
import { connect } from '../src/db/connect.ts'
import { makeApp } from '../src/http/app.ts'
import { logAt } from '../src/http/log.ts'
import { settingsFrom } from '../src/settings.ts'

const PAGE = '<!doctype html><title>Yew Basin</title>'

let root: string
let app: Express
const ends: (() => Promise<unknown>)[] = []

beforeAll(() => {
  root = mkdtempSync(path.join(os.tmpdir(), 'yew-web-'))
  mkdirSync(path.join(root, 'assets'))
  writeFileSync(path.join(root, 'index.html'), PAGE)
  writeFileSync(path.join(root, 'favicon.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>')
  writeFileSync(path.join(root, 'assets', 'main-abc123.js'), 'export {}')
  writeFileSync(path.join(path.dirname(root), 'yew-secret.txt'), 'not for the page')
  // Nothing here asks the database: the pages are served without one.
  const nowhere = 'postgres://nobody@127.0.0.1:1/none'
  const sequelize = connect(nowhere)
  const pool = new pg.Pool({ connectionString: nowhere })
  ends.push(
    () => sequelize.close(),
    () => pool.end(),
  )
  const settings = settingsFrom({
    YEW_DATABASE_URL: nowhere,
    YEW_SESSION_SECRET: 'a secret for tests only',
    YEW_WEB_ROOT: root,
  })
  app = makeApp(settings, { sequelize, sessionPool: pool, jobs: NO_JOBS }, logAt('silent'))
})
afterAll(async () => {
  rmSync(root, { recursive: true })
  rmSync(path.join(path.dirname(root), 'yew-secret.txt'))
  for (const end of ends) await end()
})

describe('the built pages', () => {
  test.each(['/', '/basins/7/tank', '/parts', '/nowhere/at/all'])(
    '%s is the page itself, never from a cache',
    async (address) => {
      const answer = await request(app).get(address).expect(200)
      expect([answer.text, answer.type]).toEqual([PAGE, 'text/html'])
      expect(answer.headers['cache-control']).toBe('no-cache')
    },
  )
  test('names with a hash are kept for ever, and one that is gone is not the page', async () => {
    const script = await request(app).get('/assets/main-abc123.js').expect(200)
    expect(script.headers['cache-control']).toContain('immutable')
    expect(script.type).toMatch(/javascript/)
    const gone = await request(app).get('/assets/main-old999.js').expect(404)
    expect(gone.type).toBe('application/problem+json')
  })
  test('other files are served as what they are', async () => {
    expect((await request(app).get('/favicon.svg').expect(200)).type).toBe('image/svg+xml')
  })
  test.each([
    '/../yew-secret.txt',
    '/..%2fyew-secret.txt',
    '/assets/..%2f..%2fyew-secret.txt',
    '/assets/%2e%2e/%2e%2e/yew-secret.txt',
  ])('%s leads nowhere outside', async (address) => {
    const answer = await request(app).get(address)
    expect(answer.text).not.toContain('not for the page')
  })
  test('an address of the API is never the page, without its database either', async () => {
    const answer = await request(app).get('/api/basins')
    expect(answer.type).toBe('application/problem+json')
    expect([401, 503]).toContain(answer.status)
  })
  test('carry the headers that keep them to themselves', async () => {
    const { headers } = await request(app).get('/').expect(200)
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'")
    expect(headers['x-content-type-options']).toBe('nosniff')
  })
})

test('migrations are numbered without a gap, and each bears its file’s name', async () => {
  const folder = new URL('../src/db/migrations/', import.meta.url)
  const files = readdirSync(folder).sort()
  for (const [i, file] of files.entries()) {
    expect(Number(file.slice(0, 3))).toBe(i + 1)
    const { name, up } = (await import(new URL(file, folder).pathname)) as {
      name: string
      up: unknown
    }
    expect([name, typeof up]).toEqual([file.replace('.ts', ''), 'function'])
  }
})

describe('settings', () => {
  const right = { YEW_DATABASE_URL: 'postgres://x', YEW_SESSION_SECRET: 's' }
  test.each([
    ['YEW_DATABASE_URL', { YEW_SESSION_SECRET: 's' }],
    ['YEW_SESSION_SECRET', { YEW_DATABASE_URL: 'postgres://x' }],
    ['YEW_DATABASE_URL', { ...right, YEW_DATABASE_URL: '' }],
  ])('without %s name it, and what to do', (name, given) => {
    expect(() => settingsFrom(given)).toThrow(
      `${name} is not set; start the application with npm start`,
    )
  })
  test.each(['-1', '65536', '80.5', 'http', '0x50x'])('port %s is none', (port) => {
    expect(() => settingsFrom({ ...right, YEW_PORT: port })).toThrow('a port from 0 to 65535')
  })
  test('have a default for all that is not a secret', () => {
    expect(settingsFrom(right)).toEqual({
      databaseUrl: 'postgres://x',
      sessionSecret: 's',
      host: '127.0.0.1',
      port: 4180,
      webRoot: null,
      logLevel: 'warn',
    })
    expect(settingsFrom({ ...right, YEW_PORT: '0' }).port).toBe(0)
  })
})
