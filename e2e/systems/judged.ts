import type { Page } from '@playwright/test'
import { holdsOf } from '../../core/test/judge/verdicts-hold.ts'
import { Keeper } from '../keeper.ts'

/**
 * What is said of a design that was built through the screens, held against its drills: what is called
 * fine, or only watched, over a wet floor; water that is made or lost; drills that are given up.
 */
export async function liesOf(page: Page, name: string): Promise<readonly string[]> {
  return holdsOf(await builtOn(page), name).faults
}

type Design = Parameters<typeof holdsOf>[0]

/** The design that is open, as it was saved. */
async function builtOn(page: Page): Promise<Design> {
  await new Keeper(page).saved()
  const [, basinId] = /basins\/([^/]+)/.exec(page.url())!
  return page.evaluate(async (id) => {
    const answer = await fetch(`/api/basins/${id}`)
    const opened = (await answer.json()) as { readonly current: { readonly design: Design } }
    return opened.current.design
  }, basinId!)
}
