import { allowing, starting } from '@yew-basin/core'
import type { DemoBasin } from './demo-basin.ts'
import { LANTERN } from './lantern.ts'
import {
  aChamber,
  aDevice,
  aPump,
  aTank,
  aWall,
  bend,
  inOrder,
  lineOf,
  NEW_PIPE,
  nozzle,
  pipe,
} from './plumbing.ts'
import { sampleDevice } from './devices/devices.ts'
import { samplePump } from './pumps.ts'
import { TWO_SISTERS } from './two-sisters.ts'

/** An all-in-one whose little pump never moved enough. */
const THIMBLE: DemoBasin = {
  name: 'Thimble',
  note: 'All-in-one on the bench at Gorse Point; in need of a better pump.',
  designName: 'as bought',
  design: {
    tanks: [
      aTank(
        {
          name: 'Thimble',
          lengthM: 0.45,
          widthM: 0.4,
          heightM: 0.42,
          rimM: 0.42,
          waterLevelM: 0.389,
          floorHeightM: 0.8,
          turnoverPerH: 8,
          overflow: {
            form: 'rear-chambers',
            place: 'back',
            crestM: 0.375,
            rimLengthM: 0.1,
            teeth: { slotWidthM: 0.003, pitchM: 0.006, heightM: 0.012, blockedShare: 0.35 },
            openAbove: false,
            guard: null,
            keepsInM: 0.006,
            box: null,
            passage: null,
            chamberId: 'media',
            holes: [],
            sensorM: null,
          },
        },
        { rockMassKg: 9, sandMassKg: 5 },
      ),
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [],
    sump: {
      ...starting.USUAL_SUMP,
      chambers: [
        aChamber('media', 'Media', { use: 'media', levelM: 1.15, more: { submergedM3: 0.0006 } }),
        aChamber('middle', 'Skimmer', { use: 'skimmer', levelM: 1.14 }),
        aChamber('rear', 'Return chamber', {
          use: 'return',
          levelM: 1.06,
          more: { footprintM2: 0.0035 },
        }),
      ],
      devices: [
        aDevice('skimmer', sampleDevice('tansy-8'), { chamberId: 'middle', xM: 0.18, yM: 0.005 }),
      ],
      box: {
        make: 'bought',
        xM: 0,
        yM: 0.406,
        floorHeightM: 0.8,
        lengthM: 0.45,
        widthM: 0.09,
        heightM: 0.42,
        panelM: 0.005,
      },
      walls: [
        aWall('media-wall', 'under', {
          atM: 0.14,
          topM: 0.4,
          more: { slotM: 0.03, thicknessM: 0.004 },
        }),
        aWall('return-wall', 'over', { atM: 0.29, topM: 0.31, more: { thicknessM: 0.004 } }),
      ],
      evaporationMmPerDay: 4,
    },
    returnSide: {
      pumps: [
        aPump('teasel-4', 1, {
          chamberId: 'rear',
          outlet: { xM: 0.36, yM: 0.46, zM: 0.87 },
          inletHeightM: 0.85,
        }),
      ],
      lines: [
        lineOf('main', 'Main line', {
          start: { at: 'pump', id: 'return-pump' },
          end: { at: 'tank', id: 'tank' },
          run: {
            size: { series: 'smooth-hose', size: '13', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder('piece', pipe('up', 0.36), bend, pipe('front', 0.12), nozzle(0.01)),
          },
        }),
      ],
      sparePumpId: null,
      ownShare: null,
    },
    pumps: [samplePump('teasel-4')],
    tariff: null,
    drills: [],
    treatment: starting.USUAL_TREATMENT,
    heat: null,
    allowances: allowing.NO_ALLOWANCES,
    assumed: [],
    build: null,
  },
}

/** The demo, in the order of the shelf. */
export const DEMO_BASINS: readonly DemoBasin[] = [LANTERN, THIMBLE, TWO_SISTERS]
