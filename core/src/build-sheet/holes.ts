import type { BasinDesign, DisplayTank, DrilledPanel, PanelGlass } from '../design/index.ts'
import { type Bulkhead, BULKHEADS } from '../fitting/index.ts'
import { boreOf, measureOf, type PipeSize } from '../pipe/index.ts'
import type { BuiltRun } from './route/body.ts'

/** A panel to drill. */
export interface DrilledSheet {
  readonly id: string
  readonly tankId: string
  readonly tankName: string
  readonly panel: DrilledPanel | 'box-floor'
  /** From its left edge, and up from its lower edge or back from its front one, m. */
  readonly widthM: number
  readonly heightM: number
  /** tempered: never drilled, and no template. */
  readonly glass: PanelGlass | null
  readonly holes: readonly SheetHole[]
}

/** What a panel is called. */
export const PANEL_NAME: Readonly<Record<DrilledSheet['panel'], string>> = {
  floor: 'floor',
  back: 'back panel',
  left: 'left panel',
  right: 'right panel',
  'box-floor': 'floor of its box',
}

/** A hole, from two edges. */
export interface SheetHole {
  readonly id: string
  readonly name: string
  readonly alongM: number
  readonly upM: number
  readonly diameterM: number
  readonly flangeM: number
  /** The pipe's own bulkhead was not chosen: this is a usual one of its size. */
  readonly isAssumed: boolean
}

/** The bulkhead of the trade that a pipe goes into: the least that is no narrower, else the widest. */
function usualBulkhead(size: PipeSize): Bulkhead {
  const measure = measureOf(size)
  const own = BULKHEADS.filter((bulkhead) => bulkhead.size.endsWith(measure))
  const { boreM } = boreOf(size)
  // Bulkheads have about the bore of the pipe they take; a little less is the same size.
  return own.find((bulkhead) => bulkhead.boreM >= boreM * 0.94) ?? own.at(-1)!
}

/** Every panel with a hole in it: those drawn in the tanks, and in the floors of the boxes beside them. */
export function drilledSheets(design: BasinDesign, routes: readonly BuiltRun[]): DrilledSheet[] {
  return design.tanks.flatMap((tank) => [
    ...tankSheets(tank, routes),
    ...boxSheet(design, tank, routes),
  ])
}

function tankSheets(tank: DisplayTank, routes: readonly BuiltRun[]): DrilledSheet[] {
  const holes = tank.overflow?.holes ?? []
  const panels = [...new Set(holes.map(({ panel }) => panel))]
  /** By the run that goes through it; else water alone does, or it is spare. */
  const nameOf = (id: string) =>
    routes.find(({ bodies }) => bodies.some((body) => body.id === id))?.name ?? 'Hole'
  return panels.map((panel) => {
    const own = holes.filter((hole) => hole.panel === panel)
    return {
      id: `${tank.id} ${panel}`,
      tankId: tank.id,
      tankName: tank.name,
      panel,
      ...sizeOf(tank, panel),
      glass: own.some(({ glass }) => glass === 'tempered') ? 'tempered' : own[0]!.glass,
      holes: own.map(({ id, alongM, upM, bulkhead }) => ({
        id,
        name: `${nameOf(id)}, ${bulkhead.size}`,
        alongM,
        upM,
        diameterM: bulkhead.holeM,
        flangeM: bulkhead.flangeM,
        isAssumed: false,
      })),
    }
  })
}

function sizeOf(tank: DisplayTank, panel: DrilledPanel) {
  if (panel === 'floor') return { widthM: tank.lengthM, heightM: tank.widthM }
  const widthM = panel === 'back' ? tank.lengthM : tank.widthM
  return { widthM, heightM: tank.heightM }
}

/** A box beside or over its tank has a floor of its own, which its pipes go through. */
function boxSheet(
  { drains }: BasinDesign,
  tank: DisplayTank,
  routes: readonly BuiltRun[],
): DrilledSheet[] {
  const box = tank.overflow?.box
  if (!box || tank.overflow?.form === 'inner-box') return []
  const own = drains.filter(({ tankId }) => tankId === tank.id)
  const holes = own.flatMap((drain): SheetHole[] => {
    const route = routes.find(({ id, of }) => of === 'drain' && id === drain.id)
    const body = route?.bodies.find(({ id }) => id === `${drain.id}-bulkhead`)
    if (!body) return []
    const bulkhead = usualBulkhead(body.after.size)
    return [
      {
        id: body.id,
        name: `${drain.name}, ${bulkhead.size}`,
        alongM: body.at.xM - box.xM,
        upM: body.at.yM - box.yM,
        diameterM: bulkhead.holeM,
        flangeM: bulkhead.flangeM,
        isAssumed: true,
      },
    ]
  })
  if (holes.length === 0) return []
  return [
    {
      id: `${tank.id} box-floor`,
      tankId: tank.id,
      tankName: tank.name,
      panel: 'box-floor',
      widthM: box.lengthM,
      heightM: box.widthM,
      glass: null,
      holes,
    },
  ]
}
