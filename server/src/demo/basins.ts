import type { BasinDesign, Piece, PipePiece } from '@yew-basin/core'
import { samplePump } from './pumps.ts'

/** A basin of the sample world. */
export interface DemoBasin {
  readonly name: string
  readonly note: string
  readonly designName: string
  readonly design: BasinDesign
}

const NEW_PIPE = { roughnessM: 1.5e-6, ribbedFactor: 2 }

type Unnamed = Piece extends infer P ? (P extends Piece ? Omit<P, 'id'> : never) : never

function inOrder(...pieces: readonly Unnamed[]): Piece[] {
  return pieces.map((piece, i) => ({ id: `piece-${i + 1}`, ...piece }))
}

const elbow = { kind: 'elbow', form: 'standard-90' } as const
const bend = { kind: 'elbow', form: 'hose-bend-90' } as const
const union = { kind: 'union' } as const
const openGate = { kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null } as const
const pipe = (direction: PipePiece['direction'], lengthM: number) =>
  ({ kind: 'pipe', direction, lengthM }) as const
const nozzle = (boreM: number) => ({ kind: 'nozzle', boreM }) as const

/** A wide, shallow lagoon. Its return line was laid in what the shop had: too narrow for what is asked of it. */
const LANTERN: DemoBasin = {
  name: 'Lantern',
  note: 'Lagoon tank at Gorse Point, over a walled sump in the stand.',
  designName: 'as built',
  design: {
    tank: {
      lengthM: 1.4,
      widthM: 0.9,
      heightM: 0.55,
      rimM: 0.54,
      waterLevelM: 0.492,
      floorHeightM: 0.9,
    },
    displacement: {
      rockMassKg: 70,
      rockDensityKgPerM3: 2000,
      sandMassKg: 62,
      sandGrainDensityKgPerM3: 2700,
    },
    water: { salinityPpt: 35, temperatureC: 25.5 },
    target: { turnoverPerH: 6 },
    returnSide: {
      pumpId: 'rowan-50',
      speed: 0.9,
      sourceLevelM: 0.275,
      outlet: { xM: 1.12, yM: 0.45, zM: 0.16 },
      run: {
        size: { series: 'schedule-40', size: '3/4', boreM: null },
        ...NEW_PIPE,
        pieces: inOrder(
          pipe('up', 0.3),
          union,
          openGate,
          pipe('up', 0.15),
          elbow,
          pipe('right', 0.36),
          elbow,
          pipe('up', 0.94),
          elbow,
          pipe('left', 0.2),
          elbow,
          pipe('down', 0.09),
          nozzle(0.02),
        ),
      },
    },
    pumps: [samplePump('rowan-50')],
  },
}

/** An all-in-one whose little pump never moved enough. */
const THIMBLE: DemoBasin = {
  name: 'Thimble',
  note: 'All-in-one on the bench at Gorse Point; in need of a better pump.',
  designName: 'as bought',
  design: {
    tank: {
      lengthM: 0.45,
      widthM: 0.4,
      heightM: 0.42,
      rimM: 0.42,
      waterLevelM: 0.389,
      floorHeightM: 0.8,
    },
    displacement: {
      rockMassKg: 9,
      rockDensityKgPerM3: 2000,
      sandMassKg: 5,
      sandGrainDensityKgPerM3: 2700,
    },
    water: { salinityPpt: 35, temperatureC: 25 },
    target: { turnoverPerH: 8 },
    returnSide: {
      pumpId: 'teasel-4',
      speed: 1,
      sourceLevelM: 1.13,
      outlet: { xM: 0.36, yM: 0.46, zM: 0.87 },
      run: {
        size: { series: 'smooth-hose', size: '13', boreM: null },
        ...NEW_PIPE,
        pieces: inOrder(pipe('up', 0.36), bend, pipe('front', 0.12), nozzle(0.01)),
      },
    },
    pumps: [samplePump('teasel-4')],
  },
}

/** The demo, in the order of the shelf. */
export const DEMO_BASINS: readonly DemoBasin[] = [LANTERN, THIMBLE]

/** What a new basin starts from: a plain 900 mm tank with a line that works. */
export const STARTER_DESIGN: BasinDesign = {
  tank: {
    lengthM: 0.9,
    widthM: 0.45,
    heightM: 0.5,
    rimM: 0.5,
    waterLevelM: 0.46,
    floorHeightM: 0.8,
  },
  displacement: {
    rockMassKg: 20,
    rockDensityKgPerM3: 2000,
    sandMassKg: 15,
    sandGrainDensityKgPerM3: 2700,
  },
  water: { salinityPpt: 35, temperatureC: 25 },
  target: { turnoverPerH: 8 },
  returnSide: {
    pumpId: 'rowan-30',
    speed: 0.75,
    sourceLevelM: 0.25,
    outlet: { xM: 0.7, yM: 0.22, zM: 0.12 },
    run: {
      size: { series: 'pn-16', size: '25', boreM: null },
      ...NEW_PIPE,
      pieces: inOrder(
        pipe('up', 0.25),
        union,
        pipe('up', 0.1),
        elbow,
        pipe('right', 0.28),
        elbow,
        pipe('up', 0.9),
        elbow,
        pipe('left', 0.16),
        elbow,
        pipe('down', 0.06),
        nozzle(0.02),
      ),
    },
  },
  pumps: [samplePump('rowan-30')],
}
