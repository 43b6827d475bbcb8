import { AxeBuilder } from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { Keeper } from '../keeper.ts'

// Many, and none needs another: every worker takes of them.
test.describe.configure({ mode: 'parallel' })

test('the whole work can be done with the keyboard alone', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.comes()
  await keeper.tabTo('Lantern', 'link')
  await page.keyboard.press('Enter')
  await expect(keeper.margin('flow')).toBeVisible()
  for (let i = 0; i < 4; i++) await page.keyboard.press('[')
  await expect(page.getByRole('heading', { name: 'Tank and target' })).toBeVisible()
  await keeper.tabTo('Length', 'textbox')
  await page.keyboard.press('ArrowUp')
  await expect(keeper.field('Length')).toHaveValue('1401')
  await page.keyboard.press('Control+z')
  await expect(keeper.field('Length')).toHaveValue('1400')
  await page.locator('body').press('Escape')
  await keeper.field('Length').blur()
  for (let i = 0; i < 4; i++) await page.keyboard.press(']')
  await expect(page.getByRole('heading', { name: 'Return' })).toBeVisible()
  await keeper.tabTo('Duty', 'tab')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  const flow = await keeper.reads('flow')
  await keeper.tabTo('Pipe or hose, size', 'combobox')
  await page.keyboard.press('ArrowDown')
  await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(flow)
  await keeper.tabTo('Move piece 1 down the list', 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel(/The run as one line/)).toHaveValue(/^union, up 200 mm/)
})

for (const [name, width, height] of [
  ['a phone', 390, 844],
  ['a desk', 1280, 800],
] as const) {
  test(`on ${name} nothing is cut off and the same work is possible`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    const keeper = new Keeper(page)
    await keeper.comes()
    const fits = () =>
      page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)
    expect(await fits()).toBe(true)
    await keeper.opens('Lantern')
    for (const tab of ['Duty', 'Pump', 'Run', 'Balance'] as const) {
      await keeper.tab(tab)
      expect(await fits()).toBe(true)
    }
    await keeper.tab('Run')
    await expect(keeper.margin('outage')).toBeInViewport()
    const flow = await keeper.reads('flow')
    await page.getByLabel('Pipe or hose, size').selectOption('1')
    await expect.poll(() => keeper.reads('flow')).toBeGreaterThan(flow)
    await page
      .getByRole('navigation', { name: 'The water’s way' })
      .getByRole('link', { name: /Tank/ })
      .click()
    await keeper.field('Length').fill('1000')
    expect(await fits()).toBe(true)
    await keeper.saved()
    for (const station of ['Overflow', 'Drains', 'Sump', 'Skimmer and devices', 'Sterilizer']) {
      await keeper.station(new RegExp(station))
      await expect(page.getByRole('heading', { name: station, exact: true })).toBeVisible()
      expect(await fits()).toBe(true)
    }
    for (const view of ['Currents', 'Room', 'Pumps', 'Choose for me', 'Parts']) {
      await keeper.view(view)
      await expect(page.getByRole('heading', { name: view, exact: true })).toBeVisible()
      expect(await fits()).toBe(true)
    }
  })
}

type Step = (keeper: Keeper) => Promise<unknown>

const shows = (name: string) => (keeper: Keeper) =>
  expect(keeper.page.getByRole('heading', { name, exact: true })).toBeVisible()
const says = (words: string | RegExp) => (keeper: Keeper) =>
  expect(keeper.page.getByText(words).first()).toBeVisible()
const tab = (name: 'Pump' | 'Run') => (keeper: Keeper) => keeper.tab(name)
const view = (name: string) => async (keeper: Keeper) => {
  await keeper.view(name)
  await shows(name)(keeper)
}

/** Screens as a keeper comes past them. A few walks, so that a slow machine fails none for the sum of it. */
const WALKS: Readonly<Record<string, Readonly<Record<string, Step>>>> = {
  'from the shelf to the return': {
    shelf: (keeper) => keeper.comes(),
    'duty and a working': async (keeper) => {
      await keeper.opens('Lantern')
      await keeper.page.getByRole('button', { name: /Flow at the tank/ }).click()
    },
    pump: async (keeper) => {
      await keeper.page.keyboard.press('Escape')
      await tab('Pump')(keeper)
    },
    run: tab('Run'),
    balance: async (keeper) => {
      await keeper.tab('Balance')
      await expect(keeper.page.locator('[data-school=both]')).toBeVisible()
    },
  },
  'from a guided start to what is assumed': {
    'a question with choices': async (keeper) => {
      await keeper.comes()
      await keeper.page.getByRole('button', { name: 'New basin' }).first().click()
      await keeper.page.getByLabel('Name', { exact: true }).fill('Mine')
      await keeper.page.keyboard.press('Enter')
      await shows('What are you building?')(keeper)
    },
    'a question with fields': async (keeper) => {
      await keeper.page.getByRole('button', { name: /^A tank over a sump/ }).click()
      await keeper.page.getByLabel('Length', { exact: true }).fill('nonsense')
      await expect(keeper.page.getByRole('alert')).toBeVisible()
    },
    'what comes out': async (keeper) => {
      for (let n = 0; n < 5; n++) await keeper.page.getByRole('button', { name: 'Next' }).click()
      await expect(keeper.page.getByText('All asked', { exact: true })).toBeVisible()
    },
    'a stop in pencil': async (keeper) => {
      await keeper.page.getByRole('button', { name: 'Open the water’s way' }).click()
      await keeper.station(/Sump/)
      await expect(keeper.page.getByTestId('assumed-note')).toBeVisible()
    },
  },
  'round the tour': {
    'a step of it': async (keeper) => {
      await keeper.comes()
      await keeper.page.getByRole('link', { name: /tour of one minute/ }).click()
      await expect(keeper.page.getByRole('region', { name: 'Tour' })).toBeVisible()
    },
    'the ideas of a stop, and the drawing nearer': async (keeper) => {
      await keeper.page.getByRole('button', { name: 'Why is this so? Return' }).click()
      await expect(keeper.page.getByTestId('ideas')).toBeVisible()
      await keeper.page.getByRole('button', { name: 'Nearer' }).click()
    },
  },
  'along the way down': {
    tank: (keeper) => keeper.opens('Lantern', 'tank'),
    overflow: async (keeper) => {
      await keeper.station(/Overflow/)
      await expect(keeper.page.getByTestId('figure-weirHead')).toBeVisible()
    },
    sump: async (keeper) => {
      await keeper.station(/Sump/)
      await shows('Walls to cut')(keeper)
    },
    skimmer: async (keeper) => {
      await keeper.station(/Skimmer/)
      await expect(keeper.page.locator('[data-candidate=yarrow-30]')).toBeVisible()
    },
    sterilizer: async (keeper) => {
      await keeper.station(/Sterilizer/)
      await keeper.page.getByRole('button', { name: 'Change Bacteria' }).click()
    },
  },
  'of two tanks': {
    plan: async (keeper) => {
      await keeper.opens('Two Sisters')
      await keeper.page.getByRole('button', { name: 'Plan' }).click()
    },
    drains: async (keeper) => {
      await keeper.station(/Drains/)
      await keeper.page
        .getByRole('button', { name: /^.*Siphon, west/ })
        .last()
        .click()
    },
  },
  'through the views': {
    pumps: async (keeper) => {
      await keeper.opens('Lantern')
      await view('Pumps')(keeper)
    },
    'size it': async (keeper) => {
      await view('Choose for me')(keeper)
      await keeper.page.getByRole('button', { name: 'Search' }).click()
      await expect(keeper.page.getByRole('list', { name: 'Options' })).toBeVisible()
    },
    room: async (keeper) => {
      await view('Room')(keeper)
      await expect(keeper.page.getByTestId('take-out')).toBeVisible()
    },
    drills: async (keeper) => {
      await keeper.view('Drills')
      await expect(keeper.page.getByRole('button', { name: 'Simulate again' })).toBeVisible()
      await expect(keeper.page.getByTestId('drill-section')).toBeVisible()
    },
    parts: async (keeper) => {
      await view('Parts')(keeper)
      await keeper.page.getByRole('button', { name: 'New pump' }).click()
      await keeper.page.getByRole('button', { name: 'I have its curve' }).click()
      await keeper.page.getByRole('button', { name: 'Trace a picture' }).click()
      await keeper.page.getByRole('button', { name: 'Use the sample picture' }).click()
      await expect(keeper.page.getByTestId('trace-picture')).toBeVisible()
    },
  },
  'to glued pipe': {
    'to buy': async (keeper) => {
      await keeper.opens('Two Sisters')
      await keeper.view('To buy')
      await says(/lines ticked/)(keeper)
    },
    cuts: async (keeper) => {
      await keeper.view('Cuts')
      await says(/no fewer can do|fewer may exist/)(keeper)
    },
    order: async (keeper) => {
      await keeper.view('Order')
      await says(/steps done/)(keeper)
    },
    'comes apart': async (keeper) => {
      await keeper.view('Comes apart')
      await says(/things come out without a saw/)(keeper)
    },
    holes: async (keeper) => {
      await keeper.view('Holes')
      await says('PDF, one to one')(keeper)
    },
    'before water': async (keeper) => {
      await keeper.view('Before water')
      await says('Salt mix to buy')(keeper)
    },
  },
  'of a field': {
    currents: async (keeper) => {
      await keeper.opens('Lantern')
      await view('Currents')(keeper)
      await keeper.page.getByLabel('How fine').selectOption('coarse')
      await keeper.page.getByRole('button', { name: 'Simulate the field' }).click()
      await expect(keeper.page.getByTestId('verdict')).toBeVisible({ timeout: 60_000 })
      await keeper.page
        .getByRole('list', { name: 'Circulation pumps' })
        .getByRole('button')
        .first()
        .click()
      await keeper.page.getByText('Speeds wanted').click()
    },
  },
}

type RunOnly = NonNullable<Parameters<AxeBuilder['options']>[0]['runOnly']>

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']

/** Beside the standards: headings in their order. */
const WITH_HEADINGS = { 'heading-order': { enabled: true } }

/**
 * Half under the strip, a target is too small until the page is scrolled on; and a narrow window changes
 * no colours.
 */
const ON_A_PHONE = { 'target-size': { enabled: false }, 'color-contrast': { enabled: false } }

/** What axe finds wrong, a line each. The page has no frames, so axe may run whole in the page itself. */
async function faultsOf(
  page: Page,
  runOnly: RunOnly,
  rules: Readonly<Record<string, { readonly enabled: boolean }>> = {},
): Promise<string[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode()
  const asked = { runOnly, rules, resultTypes: ['violations' as const] }
  const { violations } = await axe.options(asked).analyze()
  return violations.map(
    (violation) =>
      `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(' | ')}`,
  )
}

async function inTheme(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  await page.emulateMedia({ colorScheme })
  await expect(page.locator('html[data-theme=dark]')).toBeAttached({
    attached: colorScheme === 'dark',
  })
}

for (const [walk, screens] of Object.entries(WALKS)) {
  test(`no accessibility fault ${walk}`, async ({ page }) => {
    for (const [screen, reach] of Object.entries(screens)) {
      await test.step(screen, async () => {
        await reach(new Keeper(page))
        const standards = { type: 'tag', values: STANDARDS } as const
        expect(await faultsOf(page, standards, WITH_HEADINGS)).toEqual([])
        // The dark theme changes colours only, so its contrast alone is asked again.
        await inTheme(page, 'dark')
        expect(await faultsOf(page, { type: 'rule', values: ['color-contrast'] })).toEqual([])
        await inTheme(page, 'light')
        await page.setViewportSize({ width: 390, height: 844 })
        expect(await faultsOf(page, standards, ON_A_PHONE)).toEqual([])
        await page.setViewportSize({ width: 1280, height: 800 })
      })
    }
  })
}

test('the section is there in words', async ({ page }) => {
  await new Keeper(page).opens('Lantern')
  const words = page.getByRole('list', { name: 'The section in words' })
  await expect(words).toContainText(/The tank is 1.400.mm long/)
  await expect(words).toContainText(/flows; the fastest water runs at/)
})
