import type { Vector } from '@yew-basin/core'

/** A way of the water, and how fast it is at each place of it. */
interface Streamline {
  readonly places: readonly Vector[]
  readonly speeds: readonly number[]
}

/** A place on a drawing. */
export interface DrawnPlace {
  readonly x: number
  readonly y: number
}

/** A way as it is drawn, and how fast it is at its fastest. */
interface DrawnWay {
  readonly places: readonly DrawnPlace[]
  readonly fastest: number
}

/** A way that is cut shorter than so many times the distance it must keep says nothing. */
const LEAST_LONG = 2

/**
 * Ways thinned so that a drawing can be read: the fastest first, each as far as it keeps a distance to
 * those before it (as Jobard & Lefer 1997 space streamlines). In the drawing's own units.
 */
export function thinned(
  lines: readonly Streamline[],
  onDrawing: (place: Streamline['places'][number]) => DrawnPlace,
  apart: number,
): (readonly DrawnPlace[])[] {
  const taken = new Map<string, DrawnPlace[]>()
  const drawn = lines
    .map(({ places, speeds }): DrawnWay => ({
      places: places.map(onDrawing),
      fastest: Math.max(...speeds),
    }))
    .toSorted((a, b) => b.fastest - a.fastest)
  return drawn.flatMap(({ places }) => {
    const free = places.findIndex((place) => isNear(taken, place, apart))
    const kept = free < 0 ? places : places.slice(0, free)
    if (lengthOf(kept) < LEAST_LONG * apart) return []
    for (const place of kept) take(taken, place, apart)
    return [kept]
  })
}

const keyOf = (x: number, y: number) => `${x} ${y}`

function take(taken: Map<string, DrawnPlace[]>, place: DrawnPlace, apart: number): void {
  const key = keyOf(Math.floor(place.x / apart), Math.floor(place.y / apart))
  const there = taken.get(key)
  if (there) there.push(place)
  else taken.set(key, [place])
}

function isNear(taken: Map<string, DrawnPlace[]>, { x, y }: DrawnPlace, apart: number): boolean {
  const [column, row] = [Math.floor(x / apart), Math.floor(y / apart)]
  for (let i = column - 1; i <= column + 1; i++)
    for (let j = row - 1; j <= row + 1; j++)
      if (taken.get(keyOf(i, j))?.some((other) => Math.hypot(other.x - x, other.y - y) < apart))
        return true
  return false
}

function lengthOf(places: readonly DrawnPlace[]): number {
  let sum = 0
  for (let i = 1; i < places.length; i++)
    sum += Math.hypot(places[i]!.x - places[i - 1]!.x, places[i]!.y - places[i - 1]!.y)
  return sum
}
