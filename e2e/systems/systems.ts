import { expect } from '@playwright/test'
import type { Counted } from '../counted.ts'

/** A shape of system, built through the screens alone. */
export interface System {
  readonly name: string
  readonly build: (keeper: Counted) => Promise<void>
}

const SUMP = ['900', '400', '400'] as const
const RUN = 'The run as one line, from its start to its end'
const device = /From the library or your own parts/

/** The shapes that keepers build, each from the shelf to an answer. */
export const SYSTEMS: readonly System[] = [
  {
    name: 'a small pump with a reducer, and its speed',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.begins(/^Only the pump’s flow/)
      await keeper.fill('From the water up to the pipe’s end', '1.2 m')
      await keeper.tap('Next')
      await keeper.fill('All of the pipe', '4 m')
      await keeper.tap('Next')
      await keeper.pump('3000', '3')
      await expect(page.getByText('All asked', { exact: true })).toBeVisible({ timeout: 60_000 })
      await keeper.tap('Open the water’s way')
      await keeper.tab('Pump')
      await keeper.tap(/^Rowan 30 with controller/)
      await keeper.fill('Share of full', '80 %')
      await keeper.tab('Run')
      const line = page.getByLabel(RUN)
      keeper.count++
      await line.fill(`${await line.inputValue()}, reducer 20`)
      await line.press('Enter')
      await expect(page.getByRole('list', { name: 'Pieces' })).toContainText(/educer/)
      await expect.poll(() => keeper.keeper.reads('flow')).toBeGreaterThan(0)
    },
  },
  {
    name: 'two tanks on one open sump, with valves',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTwoTanks()
      await keeper.goes(/Sump/)
      await keeper.choose('This', 'Open, no walls')
      await keeper.tap('Take this one')
      await keeper.goes(/Return/)
      await keeper.tab('Balance')
      await expect(
        page.getByRole('list', { name: 'Valves' }).getByRole('listitem'),
      ).not.toHaveCount(0)
      await expect(keeper.keeper.margin('flow')).toBeVisible()
    },
  },
  {
    name: 'three pipes, two of them joined, with a level sensor',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon, trickle and emergency/, SUMP)
      await keeper.goes(/Drains/)
      await keeper.press(
        page.getByRole('list', { name: 'Pipes' }).getByRole('button', { name: /Trickle/ }),
      )
      await keeper.choose('It goes', /joins Siphon/)
      await expect(page.locator('[data-finding=joined-drains]').first()).toBeVisible()
      await keeper.goes(/Overflow/)
      await keeper.press(page.getByLabel('A level sensor stops the pump'))
      await keeper.goes(/Drains/)
      await expect(page.getByText(/sensor stops the pump, if it works/).first()).toBeVisible()
    },
  },
  {
    name: 'full kit from a bare tank: overflow, sump, skimmer, return, sterilizer',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon, trickle and emergency/, SUMP)
      await keeper.goes(/Skimmer/)
      await keeper.choose(device, /Yarrow 30/)
      await keeper.tap('Add it')
      await keeper.goes(/Sterilizer/)
      await keeper.choose(device, /Saxifrage 9/)
      await keeper.tap('Add it')
      await keeper.tap('Tee it off the return for me')
      await expect(page.locator('[data-finding=lamp-without-flow]')).toHaveCount(0)
      await expect(keeper.keeper.margin('dose')).toBeVisible()
      await expect(keeper.keeper.margin('skimmer')).toBeVisible()
    },
  },
  {
    name: 'one return and a chiller, teed off by one press',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^One vented standpipe/, SUMP)
      await keeper.goes(/Skimmer/)
      const chiller = page.getByLabel(device).locator('optgroup[label=Chiller] option').first()
      keeper.count++
      await page.getByLabel(device).selectOption(await chiller.getAttribute('value'))
      await keeper.tap('Add it')
      await keeper.tap('Tee it off the return for me')
      await keeper.goes(/Return/)
      await expect(page.getByRole('list', { name: 'Lines' }).getByRole('listitem')).toHaveCount(2)
    },
  },
  {
    name: 'an open sump swapped for a walled one',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.goes(/Sump/)
      await keeper.choose('This', 'Open, no walls')
      await keeper.tap('Take this one')
      const chambers = page.getByRole('list', { name: 'Chambers' }).getByRole('listitem')
      await expect(chambers).toHaveCount(1)
      await keeper.choose('or this', /^Four: socks/)
      await keeper.press(page.getByRole('button', { name: 'Take this one' }).nth(1))
      await expect(chambers).not.toHaveCount(1)
      await expect(keeper.keeper.margin('outage')).toBeVisible()
    },
  },
  {
    name: 'a self-built sump of three or four chambers',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, ['1000', '400', '400'])
      await keeper.goes(/Sump/)
      await keeper.choose('The sump is', 'built by yourself')
      await keeper.choose('This', /^Three: skimmer/)
      await keeper.choose('or this', /^Four: socks/)
      await keeper.tap('Take this one')
      await expect(page.getByRole('region', { name: 'Table of the walls' })).toBeVisible()
    },
  },
  {
    name: 'a sterilizer on its own pump, past a chamber',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.tap('Add a pump')
      await keeper.press(page.getByRole('menuitem', { name: 'A pump with a line of its own' }))
      await keeper.goes(/Sterilizer/)
      await keeper.choose(device, /Saxifrage 9/)
      await keeper.tap('Add it')
      await keeper.choose('Its line', /^(?!no line|Main|To|Return).+/)
      await expect(page.locator('[data-finding=lamp-without-flow]')).toHaveCount(0)
      await expect(page.getByText(/Its line brings it/)).toBeVisible()
    },
  },
  {
    name: 'two skimmers compared',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.goes(/Skimmer/)
      await keeper.choose(device, /Yarrow 30/)
      await keeper.tap('Add it')
      await keeper.press(page.getByLabel('Yarrow 30 side by side'))
      await keeper.press(page.getByLabel('Campion 60 side by side'))
      await expect(page.getByTestId('side-by-side').getByRole('columnheader')).toHaveCount(2)
    },
  },
  {
    name: 'one, two and four circulation pumps',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.views('Currents')
      await keeper.tap('Try them')
      await expect(page.getByTestId('how-many')).toBeVisible({ timeout: 120_000 })
      await keeper.tap('Begin with: Two on the ends, offset')
      await expect(
        page.getByRole('list', { name: 'Circulation pumps' }).getByRole('button'),
      ).not.toHaveCount(0)
    },
  },
  {
    name: 'rule of thumb against a spare pump',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.views('Pumps')
      await keeper.choose('Spare pump', /Hazel 40/)
      await expect(page.getByTestId('rated-real')).toContainText(/L\/h/, { timeout: 60_000 })
      await expect(page.getByText('Rule of thumb: wanted flow over 70%')).toBeVisible()
    },
  },
  {
    name: 'three pipes and two returns',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon, trickle and emergency/, SUMP)
      await keeper.tap('Add a pump')
      await keeper.press(page.getByRole('menuitem', { name: 'A second pump into the first line' }))
      await expect(page.getByRole('list', { name: 'Lines' }).getByRole('listitem')).toHaveCount(2)
      await expect(keeper.keeper.margin('drain')).toBeVisible()
    },
  },
  {
    name: 'two outlets with gate and check valves',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.tab('Run')
      const line = page.getByLabel(RUN)
      keeper.count++
      const words = (await line.inputValue()).split(', ')
      await line.fill(
        [...words.slice(0, 2), 'gate valve', 'check valve', ...words.slice(2)].join(', '),
      )
      await line.press('Enter')
      await keeper.tap(/^Tee off after piece 4/)
      await keeper.press(page.getByRole('menuitem', { name: 'A second nozzle' }))
      await expect(page.getByRole('list', { name: 'Lines' }).getByRole('listitem')).toHaveCount(2)
    },
  },
  {
    name: 'a pump’s outlet split by a tee into two manifolds',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^Siphon with emergency/, SUMP)
      await keeper.tab('Run')
      const takeoff = async (piece: number, kind: RegExp) => {
        await keeper.tap(new RegExp(`^Tee off after piece ${piece}$`))
        await keeper.press(page.getByRole('menuitem', { name: kind }))
      }
      await takeoff(2, /^A takeoff into/)
      const lines = page.getByRole('list', { name: 'Lines' }).getByRole('listitem')
      await expect(lines).toHaveCount(2)
      await takeoff(2, /^A takeoff into/)
      await expect(lines).toHaveCount(3)
      await keeper.press(page.getByRole('list', { name: 'Lines' }).getByRole('button').first())
      await takeoff(4, /^A capped spare/)
      await expect(lines).toHaveCount(4)
    },
  },
  {
    name: 'a siphon box hung over the rim of an undrilled tank',
    build: async (keeper) => {
      const { page } = keeper
      await keeper.hasTankOverSump(/^One vented standpipe/, ['700', '350', '350'])
      await keeper.goes(/Overflow/)
      await keeper.choose('What catches the water', 'Siphon box hung over the rim')
      await expect(page.getByLabel(/tube/i).first()).toBeVisible()
      await keeper.goes(/Drains/)
      const pipes = page.getByRole('list', { name: 'Pipes' })
      await expect(pipes.getByRole('listitem')).not.toHaveCount(0)
    },
  },
]
