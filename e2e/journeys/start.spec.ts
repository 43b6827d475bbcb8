import { expect, type Locator, type Page, test } from '@playwright/test'
import { Counted } from '../counted.ts'
import { Keeper } from '../keeper.ts'

/** Taps, choices and fields a keeper may need from the shelf to a whole loop. */
const MOST = 25

const flowOf = (page: Page): Locator => page.getByTestId('start-flow')

/** A flow with its band, nothing that stops it, and what is assumed counted at its stops. */
async function isWhole(page: Page): Promise<void> {
  await expect(page.getByText('All asked', { exact: true })).toBeVisible({ timeout: 60_000 })
  await expect(flowOf(page)).toContainText(/\d\sL\/h\s±\s\d/)
  await expect(page.getByTestId('start-stops')).toHaveCount(0)
  const stands = page.getByRole('list', { name: 'How each stop stands' })
  await expect(stands.getByRole('img', { name: 'stop' })).toHaveCount(0)
  await expect(stands).toContainText(/Return.*\d+ assumed/)
}

test('a tank over a sump: a whole loop from what its keeper knows, and the pencil is taken to ink', async ({
  page,
}) => {
  const keeper = new Counted(page)
  await keeper.begins(/^A tank over a sump/)
  await keeper.sizes('1000 mm', '50 cm', '500')
  await keeper.fill('Height of its stand', '85 cm')
  await keeper.tap('Next')
  await keeper.tap(/^A bit of everything/)
  await keeper.tap(/^Siphon, trickle and emergency/)
  await keeper.sizes('900', '400', '400')
  await keeper.tap('Next')
  await keeper.pump()
  await isWhole(page)
  await keeper.tap('Open the water’s way')
  expect(keeper.count).toBeLessThanOrEqual(MOST)

  // What he said is his; what he did not say can be confirmed in one tap a stop.
  await new Keeper(page).station(/Sump/)
  const note = page.getByTestId('assumed-note')
  await expect(note).toContainText(/\d+ assumed/)
  const top = page.getByLabel('Top, wall 1', { exact: true })
  await expect(top).toHaveClass(/box-assumed/)
  await expect(page.getByLabel('Length of the sump', { exact: true })).not.toHaveClass(
    /box-assumed/,
  )
  await page.getByRole('button', { name: 'Confirm Top, wall 1' }).click()
  await expect(top).not.toHaveClass(/box-assumed/)
  await note.getByRole('button').click()
  await expect(note).toHaveCount(0)
  const way = page.getByRole('navigation', { name: 'The water’s way' })
  await expect(way.getByRole('link', { name: /^fine Sump/ })).toBeVisible({ timeout: 30_000 })
  await expect(way.getByRole('link', { name: /^not set Skimmer/ })).toBeVisible()
  // It is in the document: a reload, and an undo, know it.
  await new Keeper(page).saved()
  await page.reload()
  await expect(way.getByRole('link', { name: /Sump/ })).toBeVisible()
  await expect(note).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(note).toBeVisible()
})

test('an all-in-one: by its volume, chambers behind the wall', async ({ page }) => {
  const keeper = new Counted(page)
  await keeper.begins(/^All in one/)
  keeper.count++
  await page.getByRole('radio', { name: 'By its volume' }).check()
  await keeper.fill('What it holds', '120 L')
  await keeper.fill('Height of its stand', '80 cm')
  await keeper.tap('Next')
  await keeper.tap(/^Soft and large-polyp/)
  await keeper.fill('Front to back, inside', '12 cm')
  await keeper.tap('Next')
  keeper.count++
  await page.getByRole('radio', { name: 'Choose for me' }).check()
  await keeper.tap('Next')
  await isWhole(page)
  expect(keeper.count).toBeLessThanOrEqual(MOST)
})

test('two tanks on one sump, each fed and drained', async ({ page }) => {
  const keeper = new Counted(page)
  await keeper.begins(/^Several tanks/)
  await keeper.sizes('800', '500', '500')
  await keeper.fill('Height of its stand', '85 cm')
  await keeper.tap('Next')
  await keeper.sizes('600', '400', '400')
  await keeper.tap('Next')
  await keeper.tap(/^A bit of everything/)
  await keeper.tap(/^Siphon with emergency/)
  await keeper.sizes('1200', '450', '450')
  await keeper.tap('Next')
  await keeper.pump()
  await isWhole(page)
  await keeper.tap('Open the water’s way')
  expect(keeper.count).toBeLessThanOrEqual(MOST)
  await expect(new Keeper(page).line('To Tank 2')).toBeVisible()
})

test('only the pump’s flow: lift, pipe and pump, by the keyboard alone', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.comes()
  const go = async (name: string | RegExp) => {
    await keeper.tabTo(name, 'button')
    await page.keyboard.press('Enter')
  }
  const fill = async (name: string, text: string) => {
    await keeper.tabTo(name, 'textbox')
    await page.keyboard.type(text)
  }
  await go('New basin')
  await page.keyboard.type('Pump')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'What are you building?' })).toBeVisible()
  await go(/^Only the pump’s flow/)
  // The question is where the focus is.
  await expect(page.getByRole('heading', { name: 'How high must the water go?' })).toBeFocused()
  await fill('From the water up to the pipe’s end', `4'3"`)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'How much pipe is there?' })).toBeFocused()
  await fill('All of the pipe', '5 m')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Which pump?' })).toBeFocused()
  await fill('Most flow', '3000')
  await fill('Most head', '3')
  await page.keyboard.press('Enter')
  await expect(page.getByText('All asked', { exact: true })).toBeVisible({ timeout: 60_000 })
  await expect(flowOf(page)).toContainText(/\d\sL\/h\s±\s\d/)
  await expect(page.getByTestId('start-stops')).toHaveCount(0)
  // What was not asked is not set, and never fine.
  const stands = page.getByRole('list', { name: 'How each stop stands' })
  await expect(stands).toContainText(/Sump.*not set yet/)
})

test('questions can be skipped, gone back to and left; a refused answer stays in its field', async ({
  page,
}) => {
  const keeper = new Counted(page)
  await keeper.begins(/^A tank over a sump/)
  const length = page.getByLabel('Length', { exact: true })
  await length.fill('900 furlongs')
  await expect(page.getByText(/is no unit for this/)).toBeVisible()
  await length.blur()
  await expect(length).toHaveValue('900 furlongs')
  await length.fill('½ m')
  await keeper.tap('Next')
  // A reload asks on where it was, with what was answered.
  await expect(page.getByRole('heading', { name: 'What lives there?' })).toBeFocused()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'What lives there?' })).toBeVisible()
  for (let n = 0; n < 3; n++) await keeper.tap('Next')
  await expect(page.getByRole('heading', { name: 'Which pump?' })).toBeFocused()
  await keeper.tap('Next')
  await isWhole(page)
  await keeper.tap('Back')
  await page.getByRole('link', { name: 'Skip the rest' }).click()
  await expect(new Keeper(page).margin('flow')).toBeVisible()
})

test('the tour leads round in a minute, and the basin can be worked on meanwhile', async ({
  page,
}) => {
  const keeper = new Keeper(page)
  await keeper.comes()
  await page.getByRole('link', { name: /tour of one minute/ }).click()
  const tour = page.getByRole('region', { name: 'Tour' })
  await expect(tour).toContainText('1 of 7')
  for (let n = 2; n <= 4; n++) {
    await tour.getByRole('button', { name: 'Next' }).click()
    await expect(tour).toContainText(`${n} of 7`)
  }
  await expect(page.getByRole('heading', { name: 'Drains', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Why is this so? Drains' }).click()
  await expect(page.getByTestId('ideas')).toContainText('A pipe full of water pulls')
  await keeper.station(/Tank/)
  await keeper.field('Length').fill('1300')
  await keeper.saved()
  await tour.getByRole('button', { name: 'Leave the tour' }).click()
  await expect(tour).toBeHidden()
})

test('a taller stand takes the riser along, and offers to leave it', async ({ page }) => {
  const keeper = new Keeper(page)
  await keeper.opens('Lantern', 'tank')
  const flow = await keeper.reads('flow')
  await keeper.field('Tank’s floor over the room’s').fill('1100')
  await expect(page.getByTestId('went-along')).toContainText('Main line')
  await expect.poll(() => keeper.reads('flow')).toBeLessThan(flow)
  await page.getByRole('button', { name: 'Leave it as it was' }).click()
  await expect(page.getByTestId('went-along')).toBeHidden()
  await keeper.station(/Return/)
  // Its mouth is where it was, and the tank is higher now.
  await expect(
    page
      .locator(
        '[data-finding=mouth-outside-tank], [data-finding=mouth-under-water], [data-finding=pipe-through-panel]',
      )
      .first(),
  ).toBeVisible()
})
