import { setImmediate as others } from 'node:timers/promises'
import {
  type BasinDesign,
  drillVerdict,
  lastWord,
  onDay,
  shelfFigures,
  type ShelfFigures,
  solveBasin,
  steadyState,
  type Verdict,
} from '@yew-basin/core'
import type { Sequelize } from 'sequelize'
import { designOf } from '../basin/basin-store.ts'
import { Design } from '../basin/design-model.ts'
import { Access } from '../db/access.ts'
import { CORE_VERSION } from './core-version.ts'
import type { DesignJob } from './jobs.ts'

/** Computes a design's figures for the shelf and keeps them with the revision they are of. */
export async function computeFigures(
  sequelize: Sequelize,
  { workspaceId, designId: id }: DesignJob,
): Promise<void> {
  const access = new Access(sequelize, workspaceId)
  const design = await access.within((transaction) =>
    Design.findOne({ where: { id }, transaction }),
  )
  if (!design) return
  const shelf = await figuresWithDrills(designOf(design))
  await access.within((transaction) =>
    Design.update(
      { shelfFigures: shelf, figuresRevision: design.revision, figuresCore: CORE_VERSION },
      { where: { id, revision: design.revision }, transaction },
    ),
  )
}

/** No card's drills take this thread for longer in all, and each but a little, ms. */
const MOST_MS = 300
/** The largest designs' drills take a second each; their cards have the steady word. */
const MOST_LINES = 10

/** What a design's card shows of it, its drills run: a turn for others after each. */
async function figuresWithDrills(given: BasinDesign, now = new Date()): Promise<ShelfFigures> {
  const design = onDay(given, now.toISOString().slice(0, 10))
  if (design.returnSide.lines.length > MOST_LINES) return shelfFigures(solveBasin(design))
  const steady = steadyState(design)
  const verdicts = new Map<string, Verdict>()
  const begun = performance.now()
  for (const drill of lastWord.drillsWithTheLastWord(design)) {
    // What takes longer is the page's own to find: others wait for this thread.
    if (performance.now() - begun > MOST_MS) break
    verdicts.set(drill.id, drillVerdict(steady, drill))
    await others()
  }
  return shelfFigures(lastWord.withLastWord(solveBasin(design), verdicts))
}
