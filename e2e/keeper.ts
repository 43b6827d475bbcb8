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

  async opens(name: string, stop?: 'tank' | 'return'): Promise<void> {
    await this.comes()
    await this.page.getByRole('link', { name, exact: true }).click()
    await expect(this.margin('flow')).toBeVisible()
    if (stop === 'tank')
      await this.page
        .getByRole('link', { name: /Tank and target/ })
        .first()
        .click()
  }

  tab(name: 'Duty' | 'Pump' | 'Run'): Promise<void> {
    return this.page.getByRole('tab', { name }).click()
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

  field(label: string): Locator {
    return this.page.getByLabel(label, { exact: true })
  }
}
