import type { BasinDesign, DisplayTank, OverflowBox } from '../design/index.ts'
import type { Teeth } from '../weir/index.ts'
import { siliconeM3 } from './amounts.ts'
import type { DrilledSheet } from './holes.ts'

/** A side of an overflow box, as one looks at the tank from the front. */
export type BoxSide = 'front' | 'back' | 'left' | 'right' | 'floor'

/** One panel of an overflow box to cut; m. */
export interface BoxPanel {
  readonly side: BoxSide
  readonly widthM: number
  readonly heightM: number
  readonly thicknessM: number
  /** Cut from its upper edge down; null: none. */
  readonly teeth: Teeth | null
  /** Through a floor, from its left and front edges. */
  readonly holes: readonly {
    readonly alongM: number
    readonly upM: number
    readonly diameterM: number
  }[]
}

/** An overflow box as its panels. */
export interface BoxToBuild {
  readonly tankId: string
  readonly tankName: string
  readonly panels: readonly BoxPanel[]
  /** What seals it, every seam's fillets on both faces and its gap, m³. */
  readonly siliconeM3: number
  /** Nobody said how thick they are: as is usual. */
  readonly isThicknessAssumed: boolean
}

/** Usual thickness of an overflow box's panels, m (choice). */
const USUAL_PANEL_M = 0.006
/** A side this near to a tank's panel is that panel, m. */
const AGAINST_M = 0.002

/** Every overflow box of a design as panels to cut, its floor whole, its sides standing on it. */
export function boxesToBuild(design: BasinDesign, holes: readonly DrilledSheet[]): BoxToBuild[] {
  return design.tanks.flatMap((tank): BoxToBuild[] => {
    const box = tank.overflow?.box
    if (!box) return []
    const given = design.build?.panels.find(({ tankId }) => tankId === tank.id)?.thicknessM ?? null
    const of = { tank, box, gapM: design.sump.gapM, thicknessM: given ?? USUAL_PANEL_M }
    const panels = tank.overflow?.form === 'inner-box' ? insidePanels(of) : besidePanels(of, holes)
    return [
      {
        tankId: tank.id,
        tankName: tank.name,
        panels,
        siliconeM3: sealOf(panels, of),
        isThicknessAssumed: given === null,
      },
    ]
  })
}

interface OfBox {
  readonly tank: DisplayTank
  readonly box: OverflowBox
  readonly thicknessM: number
  /** Room for sealant at each edge. */
  readonly gapM: number
}

/** Sides in a row meet each other and the tank; four of them meet each other alone. All of them stand on a floor. */
function sealOf(panels: readonly BoxPanel[], { thicknessM, gapM }: OfBox): number {
  const sides = panels.filter(({ side }) => side !== 'floor')
  const upright = sides.length === 4 ? 4 : sides.length + 1
  const highM = Math.max(0, ...sides.map(({ heightM }) => heightM))
  const roundM = sides.reduce((sum, { widthM }) => sum + widthM, 0)
  return siliconeM3({ lengthM: upright * highM + roundM, panelM: thicknessM, gapM, sides: 2 })
}

/** A box in the tank: the sides that stand free, toothed where water passes; its floor is the tank's unless it is raised. */
function insidePanels({ tank, box, thicknessM, gapM }: OfBox): BoxPanel[] {
  const { crestM, teeth } = tank.overflow!
  const isFree = {
    left: box.xM - tank.xM > AGAINST_M,
    right: tank.xM + tank.lengthM - box.xM - box.lengthM > AGAINST_M,
    front: box.yM - tank.yM > AGAINST_M,
    back: tank.yM + tank.widthM - box.yM - box.widthM > AGAINST_M,
  }
  const isRaised = box.floorM > AGAINST_M
  const heightM = crestM + (teeth?.heightM ?? 0) - Math.max(0, box.floorM)
  const side = (at: BoxSide, widthM: number): BoxPanel[] =>
    at === 'floor' || isFree[at]
      ? [{ side: at, widthM, heightM, thicknessM, teeth, holes: [] }]
      : []
  const endsM = thicknessM * (Number(isFree.left) + Number(isFree.right))
  const seals = (edges: number) => edges * gapM
  // Front and back cover the edges of the sides; what meets the tank leaves room for its seal.
  const wideM = box.lengthM + endsM - seals(Number(!isFree.left) + Number(!isFree.right))
  const deepM = box.widthM - seals(2)
  const floor: BoxPanel = {
    side: 'floor',
    widthM: box.lengthM - seals(2),
    heightM: box.widthM - seals(2),
    thicknessM,
    teeth: null,
    holes: [],
  }
  return [
    ...side('front', wideM),
    ...side('back', wideM),
    ...side('left', deepM),
    ...side('right', deepM),
    ...(isRaised ? [floor] : []),
  ]
}

/** A box beside the tank or hung over it: four sides on a whole floor, with its pipes' holes. */
function besidePanels({ tank, box, thicknessM, gapM }: OfBox, holes: readonly DrilledSheet[]) {
  const heightM = box.rimM - box.floorM
  const outM = 2 * thicknessM
  const drilled = holes.find(({ tankId, panel }) => tankId === tank.id && panel === 'box-floor')
  const plain = { thicknessM, teeth: null, holes: [] }
  const long = { ...plain, widthM: box.lengthM + outM, heightM }
  const ends = { ...plain, widthM: box.widthM - 2 * gapM, heightM }
  const panels: BoxPanel[] = [
    { ...long, side: 'front' },
    { ...long, side: 'back' },
    { ...ends, side: 'left' },
    { ...ends, side: 'right' },
    {
      ...plain,
      side: 'floor',
      widthM: box.lengthM + outM,
      heightM: box.widthM + outM,
      holes: (drilled?.holes ?? []).map(({ alongM, upM, diameterM }) => ({
        alongM: alongM + thicknessM,
        upM: upM + thicknessM,
        diameterM,
      })),
    },
  ]
  return panels
}
