import type { CirculationPart } from '@yew-basin/core'

/** The made-up circulation pumps of the sample library: L/h, mm and W, as a maker would print them. */
const L_PER_H = 1 / 3.6e6
const MM = 1e-3

const rounded = (si: number) => Number(si.toPrecision(9))

interface Printed {
  readonly id: string
  readonly name: string
  readonly lPerH: number
  readonly w: number
  /** Least share of full speed; left out: one speed. */
  readonly least?: number
  readonly depth: number
  readonly body: number
}

function common({ id, name, lPerH, w, least, depth, body }: Printed) {
  return {
    id,
    name,
    control: least === undefined ? 'fixed-speed' : 'controllable',
    flowM3PerS: rounded(lPerH * L_PER_H),
    leastSpeed: least ?? 1,
    powerW: w,
    depthM: rounded(depth * MM),
    bodyM: rounded(body * MM),
  } as const
}

function jet(bore: number, printed: Printed): CirculationPart {
  const round = { boreM: rounded(bore * MM), slotLengthM: null, slotWidthM: null }
  return { ...common(printed), form: 'jet', ...round }
}

function crossFlow(long: number, short: number, printed: Printed): CirculationPart {
  const slot = { slotLengthM: rounded(long * MM), slotWidthM: rounded(short * MM) }
  return { ...common(printed), form: 'cross-flow', boreM: null, ...slot }
}

/** Circulation pumps of the made-up world. */
export const SAMPLE_CIRCULATION: readonly CirculationPart[] = [
  jet(28, { id: 'wren-1', name: 'Wren 1', lPerH: 1200, w: 3, depth: 55, body: 45 }),
  jet(36, { id: 'wren-2', name: 'Wren 2', lPerH: 2400, w: 5, depth: 65, body: 55 }),
  jet(44, { id: 'swift-4', name: 'Swift 4', lPerH: 4000, w: 9, least: 0.3, depth: 75, body: 70 }),
  jet(56, { id: 'swift-8', name: 'Swift 8', lPerH: 8000, w: 20, least: 0.25, depth: 85, body: 85 }),
  jet(66, {
    id: 'swift-12',
    name: 'Swift 12',
    lPerH: 12_000,
    w: 34,
    least: 0.25,
    depth: 95,
    body: 95,
  }),
  jet(80, {
    id: 'petrel-18',
    name: 'Petrel 18',
    lPerH: 18_000,
    w: 58,
    least: 0.2,
    depth: 120,
    body: 120,
  }),
  jet(70, { id: 'gannet-10', name: 'Gannet 10', lPerH: 10_000, w: 26, depth: 100, body: 100 }),
  crossFlow(120, 14, {
    id: 'heron-3',
    name: 'Heron 3',
    lPerH: 3000,
    w: 8,
    least: 0.3,
    depth: 45,
    body: 140,
  }),
  crossFlow(200, 16, {
    id: 'heron-7',
    name: 'Heron 7',
    lPerH: 7000,
    w: 18,
    least: 0.25,
    depth: 50,
    body: 220,
  }),
  crossFlow(330, 18, {
    id: 'heron-14',
    name: 'Heron 14',
    lPerH: 14_000,
    w: 38,
    least: 0.2,
    depth: 55,
    body: 350,
  }),
  crossFlow(200, 20, { id: 'stork-5', name: 'Stork 5', lPerH: 5000, w: 15, depth: 55, body: 220 }),
]

/** A circulation pump of the sample library; throws when there is none. */
export function sampleCirculation(id: string): CirculationPart {
  const found = SAMPLE_CIRCULATION.find((part) => part.id === id)
  if (!found) throw new RangeError(`the sample library has no circulation pump ${id}`)
  return found
}
