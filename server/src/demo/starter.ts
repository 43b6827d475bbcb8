import { allowing, assuming, type BasinDesign, type PipeSize, starting } from '@yew-basin/core'
import {
  aChamber,
  aPump,
  aTank,
  elbow,
  inOrder,
  lineOf,
  NEW_PIPE,
  nozzle,
  pipe,
  union,
} from './plumbing.ts'
import { samplePump } from './pumps.ts'

/** A plain tank over a sump, m. */
interface StarterSizes {
  /** Inside: left to right, front to back, to the rim; and how high the water stands. */
  readonly tank: readonly [number, number, number, number]
  readonly floorM: number
  readonly sumpLevelM: number
  readonly outlet: readonly [number, number, number]
  readonly pipe: PipeSize
  /** Up to the union, on to the first elbow, across, up, back over the tank, down. */
  readonly run: readonly [number, number, number, number, number, number]
  readonly nozzleM: number
}

const INCH_M = 0.0254

/** What a new basin starts from: a plain 900 mm tank with a line that works. */
export const STARTER_DESIGN: BasinDesign = starter({
  tank: [0.9, 0.45, 0.5, 0.46],
  floorM: 0.8,
  sumpLevelM: 0.25,
  outlet: [0.7, 0.22, 0.12],
  pipe: { series: 'pn-16', size: '25', boreM: null },
  run: [0.25, 0.1, 0.28, 0.9, 0.16, 0.06],
  nozzleM: 0.02,
})

/** The same in whole inches: a plain 36 in tank, and pipe that is sold in inches. */
export const STARTER_IN_INCHES: BasinDesign = starter({
  tank: [36 * INCH_M, 18 * INCH_M, 20 * INCH_M, 18 * INCH_M],
  floorM: 32 * INCH_M,
  sumpLevelM: 10 * INCH_M,
  outlet: [28 * INCH_M, 9 * INCH_M, 5 * INCH_M],
  pipe: { series: 'schedule-40', size: '3/4', boreM: null },
  run: [10 * INCH_M, 4 * INCH_M, 11 * INCH_M, 36 * INCH_M, 7 * INCH_M, 3 * INCH_M],
  nozzleM: 0.75 * INCH_M,
})

function starter(sizes: StarterSizes): BasinDesign {
  const [lengthM, widthM, heightM, waterLevelM] = sizes.tank
  const [xM, yM, zM] = sizes.outlet
  const [upM, onM, acrossM, riseM, backM, downM] = sizes.run
  return assuming.allAssumed({
    tanks: [
      aTank(
        {
          name: 'Tank',
          lengthM,
          widthM,
          heightM,
          rimM: heightM,
          waterLevelM,
          floorHeightM: sizes.floorM,
          turnoverPerH: 8,
        },
        { rockMassKg: 20, sandMassKg: 15 },
      ),
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [],
    sump: {
      ...starting.USUAL_SUMP,
      chambers: [
        aChamber('return-chamber', 'Return chamber', { use: 'return', levelM: sizes.sumpLevelM }),
      ],
    },
    returnSide: {
      pumps: [aPump('rowan-30', 0.8, { chamberId: 'return-chamber', outlet: { xM, yM, zM } })],
      lines: [
        lineOf('main', 'Main line', {
          start: { at: 'pump', id: 'return-pump' },
          end: { at: 'tank', id: 'tank' },
          run: {
            size: sizes.pipe,
            ...NEW_PIPE,
            pieces: inOrder(
              'piece',
              pipe('up', upM),
              union,
              pipe('up', onM),
              elbow,
              pipe('right', acrossM),
              elbow,
              pipe('up', riseM),
              elbow,
              pipe('left', backM),
              elbow,
              pipe('down', downM),
              nozzle(sizes.nozzleM),
            ),
          },
        }),
      ],
      sparePumpId: null,
      ownShare: null,
    },
    pumps: [samplePump('rowan-30')],
    tariff: null,
    drills: [],
    treatment: starting.USUAL_TREATMENT,
    heat: null,
    allowances: allowing.NO_ALLOWANCES,
    assumed: [],
    build: null,
  })
}
