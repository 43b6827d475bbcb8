import { building } from '@yew-basin/core'
import type { useUnits } from '../../shell/units.ts'
import { wallToCut } from '../../sump/cut-drawing.ts'
import { summaryOf } from '../../summary/summary-content.ts'
import { summaryNodes } from '../../summary/summary-page.ts'
import type { useDesign } from '../../workspace/design-store.ts'
import type { CsvLine } from '../list-csv.ts'
import { listNodes } from '../list-page.ts'
import { buildPlanOf } from '../plan-edits.ts'
import { templateOf } from '../template.ts'
import { apartPages } from './apart-pages.ts'
import { cutPages } from './cut-pages.ts'
import { isometricPages, type PrintedDrawing } from './isometric-pages.ts'
import type { Drawn } from './off-screen.ts'
import { orderPages } from './order-pages.ts'
import { holePages, panelPages } from './panel-pages.ts'
import { heading, type PdfNode } from '../../summary/paper.ts'
import type { PartId } from './parts.ts'
import { sheetPage } from './sheet-page.ts'
import type { useDrawings } from './use-drawings.ts'
import { waterPages } from './water-pages.ts'

/** What is printed of. */
export interface PrintedContent {
  readonly sheet: building.BuildSheet
  readonly isometrics: readonly building.TitledIsometric[]
  readonly lines: readonly CsvLine[]
}

/** With what it is printed. */
export interface PrintedWith {
  readonly store: ReturnType<typeof useDesign>
  readonly units: ReturnType<typeof useUnits>
  readonly today: string
  readonly drawings: ReturnType<typeof useDrawings>
}

/** The chosen parts as one document, drawings made one after the other. */
export async function sheetPdf(
  wanted: readonly PartId[],
  content: PrintedContent,
  by: PrintedWith,
): Promise<PdfNode> {
  const parts: (readonly PdfNode[])[] = []
  for (const id of wanted) parts.push(await PAGES[id](content, by))
  return sheetPage(`${by.store.basin!.name}, build sheet`, parts, by.units.family)
}

type Pages = (content: PrintedContent, by: PrintedWith) => Promise<readonly PdfNode[]>

const PAGES: Readonly<Record<PartId, Pages>> = {
  summary: async (_, { store, units, today, drawings }) =>
    summaryNodes(summaryOf(store, units, today), {
      drawing: (await drawings.section())?.svg ?? null,
      family: units.family,
    }),
  isometrics: async ({ isometrics }, { units, drawings }) => {
    const made = await titled(isometrics, (own) => drawings.isometric(own, units))
    return isometricPages(made, units.family)
  },
  list: async ({ lines }, { units }) => [heading('To buy'), ...listNodes(lines, units)],
  cuts: async ({ sheet }, { units, drawings }) => {
    const bars = new Map<building.CutPlan, string>()
    for (const plan of sheet.plans) {
      const bar = plan.nesting && (await drawings.bars(plan))
      if (bar) bars.set(plan, bar.svg)
    }
    return cutPages(sheet, bars, units)
  },
  order: async ({ sheet }, { store, units }) =>
    orderPages(sheet, buildPlanOf(store.shown).startsOn, units),
  apart: async ({ sheet }, { units }) => apartPages(sheet, units),
  panels: async ({ sheet }, { units, drawings }) => {
    const groups = [
      ...(sheet.walls.length > 0
        ? [{ title: 'Walls of the sump', panels: sheet.walls.map(wallToCut) }]
        : []),
      ...sheet.boxes.map((box) => ({
        title: `Overflow box of ${box.tankName}`,
        panels: box.panels.map(({ side, ...panel }) => ({ ...panel, label: side })),
      })),
    ]
    const made = await titled(groups, ({ title, panels }) => drawings.panels(panels, title))
    return panelPages(made, units.family)
  },
  water: async ({ sheet }, { units }) => waterPages(sheet, units),
  holes: async ({ sheet }, { units }) =>
    holePages(
      sheet.holes
        .filter(({ glass }) => glass !== 'tempered')
        .map((panel) =>
          templateOf(panel, `${panel.tankName}, ${building.PANEL_NAME[panel.panel]}`),
        ),
      units.family,
    ),
}

/** One drawing after the other, with its title; what draws nothing is left out. */
async function titled<Of extends { readonly title: string }>(
  all: readonly Of[],
  make: (own: Of) => Promise<Drawn | null>,
): Promise<PrintedDrawing[]> {
  const made: PrintedDrawing[] = []
  for (const own of all) {
    const drawn = await make(own)
    if (drawn) made.push({ ...drawn, title: own.title })
  }
  return made
}
