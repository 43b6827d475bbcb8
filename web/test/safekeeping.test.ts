import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { flushPromises } from '@vue/test-utils'
import { TextEncoder } from 'node:util'
import OnlyHere from '../src/safekeeping/OnlyHere.vue'
import SafekeepingView from '../src/safekeeping/SafekeepingView.vue'
import { useSafekeeping } from '../src/safekeeping/safekeeping-store.ts'
import { aDesign } from './a-design.ts'
import { aBrowser, AServer } from './a-server.ts'
import { enter, hasButton, press, shown, text } from './a-view.ts'
import { aPage } from './a-worker.ts'

// What jsdom's window lacks of the browser's.
globalThis.TextEncoder ??= TextEncoder

let server: AServer
beforeAll(aPage)
beforeEach(() => {
  aBrowser()
  server = new AServer(aDesign('up 1.2 m'))
})
const open = async () => {
  const page = await shown(SafekeepingView)
  await flushPromises()
  return page
}

describe('a recovery key', () => {
  test('is made, shown once with its picture, and put away', async () => {
    await open()
    expect(text()).toContain('You have none yet')
    await press('Make a key')
    await flushPromises()
    expect(text()).toContain('ABCD-EFGH-JKMN')
    await press('I have it')
    expect(text()).not.toContain('ABCD-EFGH-JKMN')
    expect(text()).toContain('You have made one')
  })
  test('is replaced only when that is confirmed', async () => {
    server.hasKey = true
    await open()
    await press('Make a new key')
    expect(text()).toContain('will open nothing any more')
    await press('Keep the old one')
    expect(useSafekeeping().key).toBeNull()
    await press('Make a new key')
    await press('Make a new one')
    await flushPromises()
    expect(useSafekeeping().key).toBe('ABCD-EFGH-JKMN')
  })
  test('of another shelf is asked about where this one would be left behind', async () => {
    await open()
    await enter('Open another shelf here, by its key', 'WXYZ')
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(text()).toContain('nothing leads back to it')
    await press('Open the other one')
    await flushPromises()
    expect(text()).toContain('refused: not-found')
    await enter('Open another shelf here, by its key', ' ')
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(text()).toContain('Type the key')
  })
  test('is spoken of once on the shelf', async () => {
    await shown(OnlyHere)
    await flushPromises()
    expect(text()).toContain('lives in this browser alone')
    await press('Not now')
    expect(text()).not.toContain('lives in this browser alone')
    aBrowserAgain()
    await shown(OnlyHere)
    await flushPromises()
    expect(text()).not.toContain('lives in this browser alone')
  })
  /** The same browser later: its storage stays. */
  function aBrowserAgain() {
    useSafekeeping().workspace = null
  }
})

describe('the bin', () => {
  test('says when it is empty', async () => {
    await open()
    expect(text()).toContain('Nothing lies in it')
    expect(hasButton('Empty the bin')).toBe(false)
  })
  test('gives back what was deleted, and says how long it still can', async () => {
    const id = server.has('Lower reef')
    server.basins.get(id)!.deleted = true
    await open()
    expect(text()).toContain('Lower reef')
    expect(text()).toContain('13 days left')
    await press('Put Lower reef back')
    await flushPromises()
    expect(server.basins.get(id)!.deleted).toBe(false)
    expect(text()).toContain('Nothing lies in it')
  })
  test('is emptied only when that is confirmed', async () => {
    const id = server.has('Lower reef')
    server.basins.get(id)!.deleted = true
    await open()
    await press('Empty the bin')
    await press('Keep them')
    expect(server.basins.has(id)).toBe(true)
    await press('Empty the bin')
    await press('Empty it')
    await flushPromises()
    expect(server.basins.has(id)).toBe(false)
  })
})

test('the room on the shelf is shown in numbers', async () => {
  await open()
  expect(text()).toContain('1.5 MB of 256 MB')
})

test('what cannot be read says so, and is read again', async () => {
  server.down = true
  await open()
  expect(text()).toContain('does not answer')
  server.down = false
  await press('Try again')
  await flushPromises()
  expect(text()).toContain('Room on the shelf')
})
