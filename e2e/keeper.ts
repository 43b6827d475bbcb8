import { expect, type Locator, type Page } from '@playwright/test'

/** What a keeper does at the screen, in a keeper's words. */
export class Keeper {
  readonly page: Page

  constructor(page: Page) {
    this.page = page
  }

  async comes(): Promise<void> {
    await this.page.goto('/')
    await expect(this.page.getByRole('list', { name: 'Basins' })).toBeVisible()
  }

  async opens(name: string, station?: 'tank' | 'return'): Promise<void> {
    await this.comes()
    await this.page.getByRole('link', { name, exact: true }).click()
    await expect(this.margin('flow')).toBeVisible()
    if (station === 'tank')
      await this.page
        .getByRole('link', { name: /Tank and target/ })
        .first()
        .click()
  }

  /** Clicked again where the page still moved under the pointer, as a person does. */
  async tab(name: 'Duty' | 'Pump' | 'Run' | 'Balance'): Promise<void> {
    const tab = this.page.getByRole('tab', { name, exact: true })
    await expect(async () => {
      await tab.click()
      await expect(tab).toHaveAttribute('aria-selected', 'true', { timeout: 1000 })
    }).toPass()
  }

  margin(cell: string): Locator {
    return this.page.getByTestId(`margin-${cell}`)
  }

  /** The number in a cell of the margin strip. */
  async reads(cell: string): Promise<number> {
    const text = (await this.margin(cell).innerText()).replace(/[\u202f\u00a0]/g, '')
    const match = /\n\s*(−?[\d.]+)/.exec(text)
    if (!match) throw new Error(`no number in ${JSON.stringify(text)}`)
    return Number(match[1]!.replace('−', '-'))
  }

  async saved(): Promise<void> {
    await expect(this.page.getByTestId('save-state')).toHaveText(/^Saved/)
  }

  /** A new basin from the starter design, opened, its questions skipped. */
  async makes(name: string): Promise<void> {
    await this.comes()
    await this.page.getByRole('button', { name: 'New basin' }).first().click()
    await this.page.getByLabel('Name', { exact: true }).fill(name)
    await this.page.keyboard.press('Enter')
    await this.page.getByRole('link', { name: 'Skip the rest' }).click()
    await expect(this.margin('flow')).toBeVisible()
    await this.station(/Return/)
  }

  /** Goes to a station of the water's way. */
  async station(name: RegExp): Promise<void> {
    await this.page
      .getByRole('navigation', { name: 'The water’s way' })
      .getByRole('link', { name })
      .click()
  }

  /** Goes to a view, by its phase where another one is open. */
  async view(name: string): Promise<void> {
    const views = this.page.getByRole('navigation', { name: 'Views' })
    const link = views.getByRole('link', { name, exact: true })
    await expect(views).toBeVisible()
    if ((await link.count()) === 0) {
      const phases = this.page.getByRole('navigation', { name: 'Phases' })
      await phases.getByRole('link', { name: phaseOf(name) }).click()
    }
    await link.click()
  }

  /** A row in the list of lines. */
  line(name: string): Locator {
    return this.page.getByRole('list', { name: 'Lines' }).getByRole('button', { name })
  }

  /** Tabs through the page until something has the focus. */
  async tabTo(
    name: string | RegExp,
    role: 'link' | 'button' | 'textbox' | 'tab' | 'combobox' | 'slider',
  ): Promise<Locator> {
    const target = this.page.getByRole(role, { name }).first()
    let element = await target.elementHandle()
    for (let i = 0; i < 250; i++) {
      const at = await element.evaluate((node) => [
        node === document.activeElement,
        node.isConnected,
      ])
      if (at[0]) return target
      // Finding it by its name again is slow, and needed only where the page drew it anew.
      if (!at[1]) element = await target.elementHandle()
      else await this.page.keyboard.press('Tab')
    }
    throw new Error(`Tab never reached ${String(name)}`)
  }

  field(label: string): Locator {
    return this.page.getByLabel(label, { exact: true })
  }
}

const OF_BUILD = ['To buy', 'Cuts', 'Order', 'Comes apart', 'Holes', 'Panels', 'Before water']

/** The phase that a view is of. */
function phaseOf(view: string): string {
  if (OF_BUILD.includes(view)) return 'Build'
  return view === 'Drills' ? 'Prove' : 'Design'
}
