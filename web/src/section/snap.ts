import { toSi, toMillimetre, QUANTITIES, type UnitFamily } from '@yew-basin/core'

/** A place that a drag is drawn to, and what is said there. */
export interface Snap {
  readonly atM: number
  readonly words: string
}

/** Nearer than this a place draws, px. */
const NEAR_PX = 7

/** What a drag goes by between such places: 5 mm, or a quarter of an inch. */
const steps: Readonly<Record<UnitFamily, number>> = {
  metric: 0.005,
  us: toSi(QUANTITIES.length.shown.us, 0.25),
}

/** Where a dragged thing comes to along one way, and what is there. */
export function snapped(
  wantedM: number,
  {
    snaps,
    pxPerM,
    family,
  }: { readonly snaps: readonly Snap[]; readonly pxPerM: number; readonly family: UnitFamily },
): { readonly atM: number; readonly words: string } {
  const near = snaps
    .filter(({ atM }) => Math.abs(atM - wantedM) * pxPerM < NEAR_PX)
    .toSorted((a, b) => Math.abs(a.atM - wantedM) - Math.abs(b.atM - wantedM))[0]
  if (near) return near
  const step = steps[family]
  return { atM: toMillimetre(Math.round(wantedM / step) * step), words: '' }
}
