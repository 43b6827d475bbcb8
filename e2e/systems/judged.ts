import type { Page } from '@playwright/test'
import { holdsOf } from '../../core/test/judge/verdicts-hold.ts'
import type { BasinAnswer } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { Keeper } from '../keeper.ts'

/**
 * What is said of a design that was built through the screens, held against its drills: what is called
 * fine, or only watched, over a wet floor; water that is made or lost; drills that are given up.
 */
export async function liesOf(page: Page, name: string): Promise<readonly string[]> {
  return holdsOf(await builtOn(page), name).faults
}

/** The design that is open, as it was saved. */
async function builtOn(page: Page): Promise<BasinDesign> {
  await new Keeper(page).saved()
  const [, basinId] = /basins\/([^/]+)/.exec(page.url())!
  return page.evaluate(async (id) => {
    const opened = (await (await fetch(`/api/basins/${id}`)).json()) as BasinAnswer
    return opened.current.design
  }, basinId!)
}
