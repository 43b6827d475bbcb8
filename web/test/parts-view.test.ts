import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { PartAnswer } from '@yew-basin/contract'
import { flushPromises } from '@vue/test-utils'
import { KINDS, newSpec } from '../src/parts/part-words.ts'
import PartsView from '../src/parts/PartsView.vue'
import { useNotices } from '../src/shell/notices.ts'
import { aDesign } from './a-design.ts'
import { aBrowser, AServer } from './a-server.ts'
import { button, enter, field, hasButton, press, shown, text } from './a-view.ts'
import { aPage } from './a-worker.ts'

/** The numbers on a pump's box. */
const BOX = { maxFlowM3PerS: 5e-4, shutOffHeadM: 2.5, ratedPowerW: 25 }

const part = (kind: string, id: string, name: string, own: boolean): PartAnswer =>
  ({
    id,
    kind,
    name,
    own,
    revision: own ? 1 : 0,
    spec: { ...newSpec(kind as PartAnswer['kind']), ...(kind === 'pump' ? BOX : {}), id, name },
  }) as unknown as PartAnswer

let server: AServer
beforeAll(aPage)
beforeEach(async () => {
  aBrowser()
  server = new AServer(aDesign('up 1.2 m, elbow, left 200 mm'))
  server.parts = [
    ...KINDS.map(({ kind }) => part(kind, `lib-${kind}`, `Library ${kind}`, false)),
    part('pump', 'mine', 'My pump', true),
  ]
  await shown(PartsView, { from: '' })
  await flushPromises()
})

const list = () =>
  [...document.querySelectorAll('[aria-label="List of parts"] li')].map((row) => row.textContent)

describe('the parts', () => {
  test('of each kind have a list, each with the figures it is known by', async () => {
    for (const { kind, label } of KINDS) {
      await press(label)
      expect(list().filter((row) => row.includes(`Library ${kind}`))).toHaveLength(1)
      expect([kind, list().every((row) => /\d/.test(row))]).toEqual([kind, true])
    }
  })

  test('of the library are copied, never changed; one’s own are changed and deleted', () => {
    expect(hasButton('Copy Library pump into your own')).toBe(true)
    expect(hasButton('Change Library pump')).toBe(false)
    expect(hasButton('Change My pump')).toBe(true)
    expect(hasButton('Delete My pump')).toBe(true)
    expect(hasButton('Copy My pump into your own')).toBe(false)
  })

  test('half typed outlives its view, and is left only when that is said', async () => {
    await press('Change My pump')
    await enter('Name', 'Half a na')
    await shown(PartsView, { from: '' })
    expect(field('Name').value).toBe('Half a na')
    // Another one is begun meanwhile: the first still waits.
    await press('Copy Library pump into your own')
    expect(field('Name').value).toBe('Library pump, mine')
    await press('Change My pump')
    expect(field('Name').value).toBe('Half a na')
    await press('Leave it')
    await press('Change My pump')
    expect(field('Name').value).toBe('My pump')
  })

  test('changed in another tab meanwhile is asked about; mine goes over theirs when I say so', async () => {
    await press('Change My pump')
    await enter('Name', 'Mine')
    const own = server.parts.findIndex(({ id }) => id === 'mine')
    server.parts[own] = { ...server.parts[own]!, name: 'Theirs', revision: 4 }
    await press(/^Keep it/)
    await flushPromises()
    expect(text()).toContain('as “Theirs”')
    expect(server.parts.some(({ name }) => name === 'Mine')).toBe(false)
    await press('Keep mine')
    await flushPromises()
    expect(server.parts.find(({ id }) => id === 'mine')).toMatchObject({
      name: 'Mine',
      revision: 5,
    })
  })

  test('changed in another tab meanwhile can be kept beside it, as a part of its own', async () => {
    await press('Change My pump')
    await enter('Name', 'Mine')
    const own = server.parts.findIndex(({ id }) => id === 'mine')
    server.parts[own] = { ...server.parts[own]!, name: 'Theirs', revision: 4 }
    await press(/^Keep it/)
    await flushPromises()
    await press('Keep both')
    await flushPromises()
    const names = server.parts.filter((one) => one.own).map(({ name }) => name)
    expect(names.sort((a, b) => a.localeCompare(b))).toEqual(['Mine', 'Theirs'])
  })

  test('a change and a delete can be undone by their notices', async () => {
    await press('Change My pump')
    await enter('Name', 'Renamed')
    await press(/^Keep it/)
    await flushPromises()
    await useNotices().notices.at(-1)!.action!.run()
    await flushPromises()
    expect(server.parts.find(({ id }) => id === 'mine')!.name).toBe('My pump')
    await press('Delete My pump')
    await flushPromises()
    expect(server.parts.some(({ id }) => id === 'mine')).toBe(false)
    await useNotices().notices.at(-1)!.action!.run()
    expect(server.parts.some(({ id }) => id === 'mine')).toBe(true)
  })

  test('a copy becomes one’s own under a name of its own', async () => {
    await press('Copy Library pump into your own')
    expect(field('Name').value).toBe('Library pump, mine')
    await enter('Name', 'Attic pump')
    await press(/^Keep/)
    await flushPromises()
    expect(server.parts.some(({ name, own }) => name === 'Attic pump' && own)).toBe(true)
    expect(list().some((row) => row.includes('Attic pump'))).toBe(true)
  })

  test('a pump’s points are typed one by one, and a curve that rises is refused with its reason', async () => {
    await press('Copy Library pump into your own')
    await press('I have its curve')
    const points = () => document.querySelectorAll('[aria-label^="Take out point"]').length
    const before = points()
    button('Point').click()
    await flushPromises()
    // The first two are the ends that the box has.
    expect([before, points()]).toEqual([0, 2])
    button('Point').click()
    await flushPromises()
    expect(points()).toBe(3)
    await enter('Head of point 1', '0.1 m')
    field('Head of point 1').dispatchEvent(new Event('blur'))
    await flushPromises()
    await enter('Head of point 2', '3 m')
    field('Head of point 2').dispatchEvent(new Event('blur'))
    await flushPromises()
    expect(text()).toMatch(/fall|rise|lower|higher/)
  })

  test('that the server refuses stay in the editor with every reason', async () => {
    await press('Change My pump')
    await enter('Name', 'Another name')
    server.refuses = {
      code: 'invalid',
      faults: [{ path: 'spec.ratedPowerW', message: 'must be between 1 and 2000' }],
    }
    await press(/^Keep/)
    await flushPromises()
    expect(text()).toContain('must be between 1 and 2000')
    expect(field('Name').value).toBe('Another name')
    expect(server.parts.find(({ id }) => id === 'mine')!.name).toBe('My pump')
    await press(/^Keep/)
    await flushPromises()
    expect(server.parts.find(({ id }) => id === 'mine')!.name).toBe('Another name')
  })

  test('a deleted one is gone, and says what becomes of designs that use it', async () => {
    await press('Delete My pump')
    await flushPromises()
    expect(list().some((row) => row.includes('My pump'))).toBe(false)
    expect(useNotices().notices[0]!.text).toContain('keep it as it was')
  })

  test('a delete that is refused changes nothing', async () => {
    server.refuses = { code: 'server-fault' }
    await press('Delete My pump')
    await flushPromises()
    expect(list().some((row) => row.includes('My pump'))).toBe(true)
    expect(useNotices().notices[0]!.tone).toBe('bad')
  })

  test.each(KINDS.map(({ kind, label }) => [kind, label] as const))(
    'a new %s can be made of nothing',
    async (kind, label) => {
      await press(label)
      await press(/^New|^Make|^Add/)
      await enter('Name', `My ${kind}`)
      if (kind === 'pump') {
        await press(/^Keep/)
        expect(text()).toContain('Most flow is not set yet.')
        await enter('Most flow', '2000 L/h')
        await enter('Most head', '10 ft')
        await enter('Power', '25')
      }
      await press(/^Keep/)
      await flushPromises()
      const made = server.parts.find(({ name }) => name === `My ${kind}`)
      expect([kind, made?.kind]).toEqual([kind, kind])
    },
  )
})
