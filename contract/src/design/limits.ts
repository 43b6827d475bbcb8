import type { QuantityName } from '@yew-basin/core'

/** What a stored number may be, SI. One table for the validators, the documentation and the fields. */
export interface Limit {
  readonly quantity: QuantityName
  readonly min: number
  readonly max: number
}

const limit = (quantity: QuantityName, min: number, max: number): Limit => ({ quantity, min, max })

export const LIMITS = {
  tankLength: limit('length', 0.1, 10),
  tankWidth: limit('length', 0.1, 5),
  tankHeight: limit('length', 0.1, 3),
  waterLevel: limit('length', 0.02, 3),
  floorHeight: limit('length', 0, 5),
  rockMass: limit('mass', 0, 5000),
  rockDensity: limit('density', 1050, 3500),
  sandMass: limit('mass', 0, 5000),
  sandDensity: limit('density', 1500, 4000),
  temperature: limit('temperature', 2, 38),
  salinity: limit('salinity', 0, 42),
  turnover: limit('turnover', 0.1, 60),
  speed: limit('share', 0.05, 1),
  sourceLevel: limit('length', -5, 8),
  place: limit('length', -20, 20),
  pipeLength: limit('length', 0.001, 30),
  bore: limit('length', 0.003, 0.2),
  opening: limit('share', 0, 1),
  kv: limit('valve-coefficient', 0.05, 2000),
  reducerAngle: limit('angle', 5, 180),
  roughness: limit('roughness', 1e-7, 1e-3),
  ribbedFactor: limit('number', 1, 5),
  loss: limit('number', 0, 100_000),
  breakDepth: limit('length', 0, 1),
  by: limit('length', -20, 20),
  price: limit('number', 0, 100),
  slotWidth: limit('length', 0.0005, 0.5),
  pitch: limit('length', 0.001, 0.5),
  toothHeight: limit('length', 0.002, 0.3),
  blockedShare: limit('share', 0, 0.95),
  openShare: limit('share', 0.05, 1),
  boxSize: limit('length', 0.02, 3),
  boxHeight: limit('length', -2, 3),
  rimLength: limit('length', 0.01, 15),
  count: limit('number', 1, 200),
  tubeLength: limit('length', 0, 3),
  holePlace: limit('length', 0, 10),
  drilledHole: limit('length', 0.005, 0.3),
  openAreaRatio: limit('number', 0.3, 20),
  sumpLength: limit('length', 0.05, 6),
  sumpHeight: limit('length', 0.05, 2),
  panel: limit('length', 0.001, 0.05),
  wallPlace: limit('length', 0.005, 6),
  wallTop: limit('length', 0.01, 2),
  slot: limit('length', 0, 1),
  margin: limit('length', 0, 0.5),
  gap: limit('length', 0, 0.01),
  evaporation: limit('number', 0, 50),
  footprint: limit('area', 0, 5),
  submerged: limit('volume', 0, 2),
  topOffFlow: limit('flow', 1e-7, 0.01),
  can: limit('volume', 0.0001, 2),
  drillStart: limit('duration', 0, 7 * 86_400),
  wantedFlow: limit('flow', 1e-7, 0.05),
  pumpFlow: limit('flow', 0, 0.05),
  pumpHead: limit('head', 0, 60),
  leastDepth: limit('length', 0, 2),
  priceClass: limit('number', 1, 5),
  pumpPower: limit('power', 0.1, 5000),
} as const satisfies Readonly<Record<string, Limit>>

/** How many of a thing a document may hold. */
export const COUNTS = {
  pieces: 200,
  pumps: 20,
  tanks: 8,
  chambers: 12,
  placedPumps: 8,
  lines: 40,
  drains: 24,
  holes: 24,
  ownDrills: 20,
  drillSteps: 8,
  currencyLength: 8,
  curvePoints: 200,
  designs: 20,
  nameLength: 80,
  noteLength: 2000,
  idLength: 64,
} as const

export function withinLimit(one: Limit, si: number): boolean {
  return si >= one.min && si <= one.max
}
