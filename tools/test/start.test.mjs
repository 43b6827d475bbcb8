import { afterAll, describe, expect, test } from '@jest/globals'
import { EventEmitter } from 'node:events'
import { readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { KeptAlive } from '../setup/keep-alive.mjs'
import { asStepFailed, StepFailed } from '../setup/run.mjs'
import { startSettings } from '../setup/settings.mjs'
import { takeLock, whoRuns } from '../setup/start-lock.mjs'
import { readState, writeState } from '../setup/state-file.mjs'
import { aFolder, cleared } from './a-folder.mjs'

afterAll(cleared)

describe('two starts on one folder', () => {
  test('one wins, the other is told who runs', async () => {
    const home = aFolder()
    const starts = await Promise.all([takeLock(home), takeLock(home), takeLock(home)])
    const winners = starts.filter(({ lock }) => lock)
    expect(winners).toHaveLength(1)
    winners[0].lock.tell('http://127.0.0.1:4180')
    const late = await takeLock(home)
    expect(whoRuns(late.other)).toBe(
      `Yew Basin already runs at http://127.0.0.1:4180 (process ${process.pid})`,
    )
    winners[0].lock.release()
    await new Promise((resolve) => setTimeout(resolve, 200))
    const next = await takeLock(home)
    expect(next.lock).toBeDefined()
    next.lock.release()
  })
  test('one that has not come up yet, or whose state file is torn, is told as that', async () => {
    const home = aFolder()
    const { lock } = await takeLock(home)
    expect(whoRuns((await takeLock(home)).other)).toMatch(/Another start is under way/)
    writeFileSync(path.join(home, 'running.json'), '{"pid": 1')
    expect(whoRuns((await takeLock(home)).other)).toMatch(/Another start is under way/)
    lock.release()
  })
})

describe('a state file', () => {
  test('is whole or as it was; one that is torn is none', () => {
    const file = path.join(aFolder(), 'state.json')
    expect(readState(file)).toBeNull()
    writeState(file, { a: 1 })
    expect(readState(file)).toEqual({ a: 1 })
    expect(readFileSync(file, 'utf8')).toBe('{"a":1}')
    writeFileSync(file, '{"a"')
    expect(readState(file)).toBeUndefined()
  })
})

describe('settings', () => {
  test('have defaults', () => {
    expect(startSettings({})).toEqual({
      port: 4180,
      host: '127.0.0.1',
      logLevel: 'warn',
      dataDir: undefined,
      durable: true,
    })
  })
  test.each([
    ['YEW_PORT', 'abc', /port from 1 to 65535/],
    ['YEW_PORT', '0', /port from 1 to 65535/],
    ['YEW_PORT', '70000', /port from 1 to 65535/],
    ['YEW_PORT', '4180x', /port from 1 to 65535/],
    ['YEW_HOST', 'not a host', /address of this machine/],
    ['YEW_LOG_LEVEL', 'loud', /one of fatal/],
    ['YEW_DATA_DIR', 'a\0b', /a folder/],
  ])('%s=%j is named, with what is possible', (name, value, advice) => {
    const failed = (() => {
      try {
        return startSettings({ [name]: value })
      } catch (error) {
        return error
      }
    })()
    expect(failed).toBeInstanceOf(StepFailed)
    expect(failed.message).toContain(name)
    expect(failed.advice).toMatch(advice)
  })
})

describe('what the file system refuses', () => {
  test.each([
    ['ENOSPC', /disk is full/],
    ['EACCES', /right to read and write/],
    ['EROFS', /can only be read/],
    ['ENOTDIR', /a file stands/],
  ])('%s is told with what to do', (code, advice) => {
    const step = asStepFailed('Doing it', Object.assign(new Error('no'), { code }))
    expect(step).toBeInstanceOf(StepFailed)
    expect(step.advice).toMatch(advice)
  })
  test('what it does not refuse stays what it was', () => {
    const error = new TypeError('ours')
    expect(asStepFailed('Doing it', error)).toBe(error)
  })
})

describe('a program that is kept alive', () => {
  /** A program that ends when it is told to, and fails to start so many times. */
  function aProgram({ failing = 0 } = {}) {
    const ends = new EventEmitter()
    const program = {
      starts: 0,
      said: [],
      end: (how) => ends.emit('end', how),
      kept: new KeptAlive({
        name: 'It',
        start: async () => {
          program.starts++
          if (program.starts <= failing)
            throw new StepFailed('Starting it', 'no room', 'make room.')
        },
        onceEnded: (tell) => ends.once('end', tell),
        say: (text) => program.said.push(text),
      }),
    }
    program.kept.watch()
    return program
  }
  const until = async (done) => {
    for (let turn = 0; turn < 100 && !done(); turn++)
      await new Promise((resolve) => setTimeout(resolve, 50))
  }

  test('is started again each time it ends', async () => {
    const program = aProgram()
    program.end('SIGKILL')
    await until(() => program.starts === 1)
    program.end(1)
    await until(() => program.starts === 2)
    expect(program.starts).toBe(2)
    expect(program.said.join()).toContain('It ended with SIGKILL; starting it again')
    await program.kept.letGo()
  })
  test('is tried until it starts, and the reason is told once', async () => {
    const program = aProgram({ failing: 2 })
    program.end(1)
    await until(() => program.said.includes('It runs again'))
    expect(program.starts).toBe(3)
    expect(program.said.filter((text) => text.includes('no room'))).toHaveLength(1)
    await program.kept.letGo()
  })
  test('is not started again once it is let go', async () => {
    const program = aProgram()
    await program.kept.letGo()
    program.end('SIGTERM')
    await new Promise((resolve) => setTimeout(resolve, 300))
    expect([program.starts, program.said]).toEqual([0, []])
  })
})
