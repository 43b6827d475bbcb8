import { beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { flushPromises } from '@vue/test-utils'
import ShelfView from '../src/shelf/ShelfView.vue'
import ImportDialog from '../src/shelf/ImportDialog.vue'
import NameDialog from '../src/shelf/NameDialog.vue'
import { useShelf } from '../src/shelf/shelf-store.ts'
import { useNotices } from '../src/shell/notices.ts'
import { shelfFigures, solveBasin } from '@yew-basin/core'
import { aDesign } from './a-design.ts'
import { aBrowser, AServer } from './a-server.ts'
import { button, enter, field, press, shown, text } from './a-view.ts'
import { aPage } from './a-worker.ts'

const DESIGN = aDesign('up 1.2 m, elbow, left 200 mm')

let server: AServer
beforeAll(aPage)
beforeEach(() => {
  aBrowser()
  server = new AServer(DESIGN)
})

describe('the shelf', () => {
  const names = () => useShelf().entries.map(({ name }) => name)

  test('has what the server keeps, and is read again after every change', async () => {
    server.has('Lower reef')
    const shelf = useShelf()
    expect(shelf.state).toBe('loading')
    await shelf.load()
    expect([shelf.state, names()]).toEqual(['ready', ['Lower reef']])
    const made = await shelf.create('Upper reef')
    expect(made!.name).toBe('Upper reef')
    expect(names()).toEqual(['Lower reef', 'Upper reef'])
    await shelf.rename(shelf.entries[1]!, 'Top reef')
    await shelf.duplicate(made!.id)
    expect(names()).toEqual(['Lower reef', 'Top reef', 'Top reef copy'])
  })

  test('a basin that is deleted comes back whole by the notice’s undo', async () => {
    const id = server.has('Lower reef')
    const shelf = useShelf()
    await shelf.load()
    await shelf.remove(shelf.entries[0]!)
    expect(names()).toEqual([])
    const [notice] = useNotices().notices
    expect(notice!.text).toContain('Lower reef')
    await notice!.action!.run()
    expect(names()).toEqual(['Lower reef'])
    expect(shelf.entries[0]!.id).toBe(id)
    expect(server.basins.get(id)!.design).toEqual(DESIGN)
  })

  test('a delete that failed is not offered for undoing', async () => {
    server.has('Lower reef')
    const shelf = useShelf()
    await shelf.load()
    server.refuses = { code: 'server-fault' }
    await shelf.remove(shelf.entries[0]!)
    expect(names()).toEqual(['Lower reef'])
    const [notice] = useNotices().notices
    expect([notice!.tone, notice!.action]).toEqual(['bad', undefined])
  })

  test('what is refused says so and changes nothing', async () => {
    const shelf = useShelf()
    await shelf.load()
    server.refuses = { code: 'too-many' }
    expect(await shelf.create('One more')).toBeNull()
    expect([names(), server.basins.size]).toEqual([[], 0])
    expect(useNotices().notices[0]!.text).toContain('too-many')
  })

  test('a rename can be undone, and one that came too late says what it is called now', async () => {
    server.has('Lower reef')
    const shelf = useShelf()
    await shelf.load()
    const seen = shelf.entries[0]!
    await shelf.rename(seen, 'Top reef')
    await useNotices().notices[0]!.action!.run()
    expect(names()).toEqual(['Lower reef'])
    await shelf.rename(seen, 'Late reef')
    expect(names()).toEqual(['Lower reef'])
    expect(useNotices().notices.at(-1)!.text).toContain('it is called Lower reef now')
  })

  test('figures that are being worked out are said to be, and come by themselves', async () => {
    jest.useFakeTimers()
    server.has('Lower reef')
    server.figured = false
    await shown(ShelfView)
    expect(text()).toContain('being worked out')
    server.figured = true
    await jest.advanceTimersByTimeAsync(2000)
    expect(text()).not.toContain('being worked out')
    expect(text()).toContain('Net water')
    jest.useRealTimers()
  })

  test('a basin that was open here shows the page’s own figures, of the save they are of', async () => {
    const id = server.has('Lower reef')
    server.figured = false
    const shelf = useShelf()
    const figures = shelfFigures(solveBasin(DESIGN))
    shelf.leftBasin(id, '2026-01-01T10:00:00Z', figures)
    await shelf.load()
    expect(shelf.entries[0]).toMatchObject({ figures, figuresCurrent: true })
    shelf.leftBasin(id, '2026-01-01T09:00:00Z', figures)
    await shelf.load()
    expect(shelf.entries[0]!.figures).toBeNull()
  })

  test('of many is drawn in parts and searched by name', async () => {
    for (let n = 1; n <= 70; n++) server.has(`Reef ${n}`)
    await shown(ShelfView)
    const rows = () => document.querySelectorAll('[aria-label=Basins] > li').length
    expect(rows()).toBe(60)
    await press('Show 10 more of 70')
    expect(rows()).toBe(70)
    await enter('Find among 70', 'reef 66')
    expect(rows()).toBe(1)
    await enter('Find among 70', 'nothing')
    expect(text()).toContain('None of them is called so')
  })

  test('that cannot be read says why, and reads again when it is asked', async () => {
    server.has('Lower reef')
    server.down = true
    await shown(ShelfView)
    expect(text()).toContain('Your shelf could not be read')
    expect(text()).toContain('does not answer')
    server.down = false
    await press('Try again')
    expect(text()).toContain('Lower reef')
    expect(text()).not.toContain('could not be read')
  })
})

describe('the shelf’s view', () => {
  test('says what to do where nothing stands yet', async () => {
    await shown(ShelfView)
    expect(text()).toContain('Nothing stands here yet')
  })

  test('shows each basin with its figures and its worst finding', async () => {
    server.has('Lower reef')
    await shown(ShelfView)
    const row = document.querySelector('[aria-label=Basins] li')!
    expect(row.querySelector('a')!.getAttribute('href')).toMatch(/^\/basins\/b1/)
    expect([...row.querySelectorAll('dd')].map((dd) => /\d/.test(dd.textContent))).toEqual([
      true,
      true,
      true,
    ])
    expect(row.querySelector('[role=img]')!.getAttribute('aria-label')).toMatch(/stop|watch|fine/)
  })

  test('makes a basin by name and opens it', async () => {
    const { router } = await shown(ShelfView)
    await press('New basin')
    await enter('Name', '  Quiet corner ')
    await press('Make it')
    await flushPromises()
    expect([...server.basins.values()].map(({ name }) => name)).toEqual(['Quiet corner'])
    await flushPromises()
    expect(router.currentRoute.value.path).toBe('/basins/b1/start')
  })
})

describe('a name', () => {
  const props = { title: 'A new basin', name: '', verb: 'Make it' }

  test.each([
    ['', 'Give it a name.'],
    ['   ', 'Give it a name.'],
    ['x'.repeat(200), 'this has 200'],
  ])('%j is not taken, and is told why', async (typed, why) => {
    const { wrapper } = await shown(NameDialog, props)
    await enter('Name', typed)
    expect(text()).not.toContain(why)
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(text()).toContain(why)
    expect(wrapper.emitted('named')).toBeUndefined()
    expect(field('Name').getAttribute('aria-invalid')).toBe('true')
    await enter('Name', 'Reef')
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(wrapper.emitted('named')).toEqual([['Reef']])
  })
  test('can be left without giving one', async () => {
    const { wrapper } = await shown(NameDialog, props)
    await press('Cancel')
    expect(wrapper.emitted('close')).toHaveLength(1)
  })
})

describe('an import', () => {
  /** Chooses a file in the dialog. */
  async function chooses(file: File): Promise<void> {
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!
    Object.defineProperty(input, 'files', { value: [file], configurable: true })
    input.dispatchEvent(new Event('change', { bubbles: true }))
    for (let i = 0; i < 5; i++) await flushPromises()
  }
  const aFile = (name: string, content: string) => {
    const file = new File([content], name, { type: 'application/json' })
    // What jsdom's files lack.
    Object.defineProperty(file, 'text', { value: async () => content })
    return file
  }

  test('brings a basin in beside what is there, and opens it', async () => {
    const { wrapper } = await shown(ImportDialog, { open: true })
    await chooses(
      aFile('reef.json', JSON.stringify({ name: 'Reef', designs: [{ design: DESIGN }] })),
    )
    expect(wrapper.emitted('done')).toEqual([['b1']])
    expect(wrapper.emitted('close')).toHaveLength(1)
    expect(server.basins.get('b1')!.design).toEqual(DESIGN)
  })
  test('that is refused names every field at fault, and nothing was changed', async () => {
    const { wrapper } = await shown(ImportDialog, { open: true })
    server.refuses = {
      code: 'invalid',
      faults: [
        { path: 'designs.0.design.tanks', message: 'must have 1 to 8' },
        { path: 'name', message: 'is needed' },
      ],
    }
    await chooses(aFile('reef.json', '{}'))
    expect(text()).toContain('reef.json was not imported, and nothing was changed.')
    expect(
      [...document.querySelectorAll('[role=alert] code')].map((code) => code.textContent),
    ).toEqual(['designs.0.design.tanks', 'name'])
    expect([wrapper.emitted('done'), server.basins.size]).toEqual([undefined, 0])
  })
  test('that is too large is not even sent', async () => {
    await shown(ImportDialog, { open: true })
    const file = aFile('big.json', '{}')
    Object.defineProperty(file, 'size', { value: 3_000_000 })
    await chooses(file)
    expect(text()).toContain('larger than an exported basin can be')
    expect(server.asked).toEqual([])
  })
  test('begun again forgets what was wrong', async () => {
    const { wrapper } = await shown(ImportDialog, { open: true })
    server.refuses = { code: 'not-json' }
    await chooses(aFile('reef.json', 'nonsense'))
    expect(document.querySelector('[role=alert]')).not.toBeNull()
    await wrapper.setProps({ open: false })
    await wrapper.setProps({ open: true })
    expect(document.querySelector('[role=alert]')).toBeNull()
  })
})

describe('notices', () => {
  beforeEach(() => {
    jest.useFakeTimers()
  })
  test('go by themselves, later where there is something to do; a bad one stays', () => {
    const notices = useNotices()
    notices.tell('Saved.')
    notices.tell('Deleted.', { action: { label: 'Undo', run: () => undefined } })
    notices.tell('Refused.', { tone: 'bad' })
    jest.advanceTimersByTime(7000)
    expect(notices.notices.map(({ text: said }) => said)).toEqual(['Deleted.', 'Refused.'])
    jest.advanceTimersByTime(60_000)
    expect(notices.notices.map(({ text: said }) => said)).toEqual(['Refused.'])
    notices.dismiss(notices.notices[0]!.id)
    expect(notices.notices).toEqual([])
    jest.useRealTimers()
  })
  test('are three at most, the newest', () => {
    const notices = useNotices()
    for (const said of ['1', '2', '3', '4']) notices.tell(said, { tone: 'bad' })
    expect(notices.notices.map(({ text: said }) => said)).toEqual(['2', '3', '4'])
    jest.useRealTimers()
  })
})

test('a button that is not there is named with those that are', async () => {
  await shown(ShelfView)
  expect(() => button('Nothing of the kind')).toThrow('New basin')
})
