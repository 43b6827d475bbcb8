import { expect, type Locator, type Page } from '@playwright/test'
import { Keeper } from './keeper.ts'

/** A keeper whose every tap, choice and field is counted. */
export class Counted {
  count = 0
  readonly page: Page
  readonly keeper: Keeper

  constructor(page: Page) {
    this.page = page
    this.keeper = new Keeper(page)
  }

  async tap(name: string | RegExp): Promise<void> {
    this.count++
    await this.page.getByRole('button', { name }).first().click()
  }

  /** Something else that is tapped: a radio, a box to tick, a tab. */
  async press(what: Locator): Promise<void> {
    this.count++
    await what.first().click()
  }

  async fill(label: string, text: string): Promise<void> {
    this.count++
    await this.page.getByLabel(label, { exact: true }).first().fill(text)
  }

  /** One of a list. */
  async choose(label: string | RegExp, option: string | RegExp): Promise<void> {
    this.count++
    const exact = typeof label === 'string'
    const select = this.page.getByLabel(label, { exact }).first()
    const found = select.locator('option').filter({ hasText: option }).first()
    await select.selectOption(await found.getAttribute('value'))
  }

  /** To a stop of the water's way: a tap too. */
  async goes(stop: RegExp): Promise<void> {
    this.count++
    await this.keeper.station(stop)
  }

  /** To another view: a tap, or two where its phase is another. */
  async views(name: string): Promise<void> {
    this.count += name === 'Drills' ? 2 : 1
    await this.keeper.view(name)
  }

  async tab(name: 'Duty' | 'Pump' | 'Run' | 'Balance'): Promise<void> {
    this.count++
    await this.keeper.tab(name)
  }

  /** From the shelf to the first question. */
  async begins(kind: RegExp): Promise<void> {
    await this.keeper.comes()
    await this.tap('New basin')
    await this.fill('Name', 'Mine')
    await this.tap('Make it')
    await expect(
      this.page.getByRole('heading', { level: 2, name: 'What are you building?' }),
    ).toBeVisible()
    await this.tap(kind)
  }

  /** Length, front to back, height. */
  async sizes(...[length, deep, height]: readonly [string, string, string]): Promise<void> {
    await this.fill('Length', length)
    await this.fill('Front to back', deep)
    await this.fill('Height', height)
  }

  async pump(flow = '5000 L/h', head = '4 m'): Promise<void> {
    await this.fill('Most flow', flow)
    await this.fill('Most head', head)
    await this.tap('Next')
  }

  /** Two tanks on one sump, all asked. */
  async hasTwoTanks(): Promise<void> {
    await this.begins(/^Several tanks/)
    await this.sizes('800', '500', '500')
    await this.fill('Height of its stand', '85 cm')
    await this.tap('Next')
    await this.sizes('600', '400', '400')
    await this.tap('Next')
    await this.tap(/^A bit of everything/)
    await this.tap(/^Siphon with emergency/)
    await this.sizes('1200', '450', '450')
    await this.tap('Next')
    await this.pump()
    await this.opens()
  }

  /** From the last answer to the water's way. */
  private async opens(): Promise<void> {
    await expect(this.page.getByText('All asked', { exact: true })).toBeVisible({ timeout: 60_000 })
    await this.tap('Open the water’s way')
    await expect(this.keeper.margin('flow')).toBeVisible()
  }

  /** A tank over a sump, all asked: what most systems begin as. */
  async hasTankOverSump(school: RegExp, sump: readonly [string, string, string]): Promise<void> {
    await this.begins(/^A tank over a sump/)
    await this.sizes('1000 mm', '50 cm', '500')
    await this.fill('Height of its stand', '85 cm')
    await this.tap('Next')
    await this.tap(/^A bit of everything/)
    await this.tap(school)
    await this.sizes(...sump)
    await this.tap('Next')
    await this.pump()
    await this.opens()
  }
}
