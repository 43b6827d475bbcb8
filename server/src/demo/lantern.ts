import type { DemoBasin } from './demo-basin.ts'
import {
  aPump,
  aTank,
  ball,
  device,
  elbow,
  gate,
  inOrder,
  lineOf,
  NEW_PIPE,
  nozzle,
  pipe,
  tee,
  union,
} from './plumbing.ts'
import { samplePump } from './pumps.ts'

const L_PER_H = 1 / 3.6e6

/** A wide, shallow lagoon. Its return line was laid in what the shop had: too narrow for what is asked of it. */
export const LANTERN: DemoBasin = {
  name: 'Lantern',
  note: 'Lagoon tank at Gorse Point, over a walled sump in the stand.',
  designName: 'as built',
  design: {
    tanks: [
      aTank(
        {
          name: 'Lantern',
          lengthM: 1.4,
          widthM: 0.9,
          heightM: 0.55,
          rimM: 0.54,
          waterLevelM: 0.492,
          floorHeightM: 0.9,
          turnoverPerH: 6,
        },
        { rockMassKg: 70, sandMassKg: 62 },
      ),
    ],
    water: { salinityPpt: 35, temperatureC: 25.5 },
    returnSide: {
      chambers: [
        { id: 'return-chamber', name: 'Return chamber', levelM: 0.275 },
        { id: 'refugium', name: 'Refugium', levelM: 0.33 },
        { id: 'drain-chamber', name: 'Drain chamber', levelM: 0.35 },
      ],
      pumps: [aPump('rowan-50', 0.9, 'return-chamber', { xM: 1.12, yM: 0.45, zM: 0.16 })],
      lines: [
        lineOf(
          'main',
          'Main line',
          { at: 'pump', id: 'return-pump' },
          { at: 'tank', id: 'tank' },
          {
            size: { series: 'schedule-40', size: '3/4', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'piece',
              pipe('up', 0.2),
              union,
              pipe('up', 0.1),
              tee('sterilizer-tee'),
              pipe('up', 0.12),
              tee('scrubber-tee'),
              gate(1),
              pipe('up', 0.1),
              elbow,
              pipe('right', 0.36),
              elbow,
              pipe('up', 0.87),
              elbow,
              pipe('left', 0.2),
              elbow,
              pipe('down', 0.09),
              nozzle(0.02),
            ),
          },
        ),
        lineOf(
          'sterilizer',
          'Sterilizer',
          { at: 'tee', id: 'sterilizer-tee' },
          { at: 'chamber', id: 'drain-chamber' },
          {
            size: { series: 'schedule-40', size: '1/2', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'sterilizer',
              ball(0.55),
              union,
              pipe('left', 0.25),
              device('sterilizer', 'Sterilizer', 9),
              pipe('left', 0.55),
              union,
              elbow,
              pipe('down', 0.14),
            ),
          },
          450 * L_PER_H,
        ),
        lineOf(
          'scrubber',
          'Scrubber',
          { at: 'tee', id: 'scrubber-tee' },
          { at: 'chamber', id: 'refugium' },
          {
            size: { series: 'schedule-40', size: '1/2', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'scrubber',
              ball(0.5),
              union,
              pipe('left', 0.42),
              device('scrubber', 'Scrubber', 6),
              elbow,
              pipe('down', 0.12),
            ),
          },
          400 * L_PER_H,
        ),
      ],
      sparePumpId: 'rowan-30',
    },
    pumps: [samplePump('rowan-50'), samplePump('rowan-30')],
    tariff: { pricePerKWh: 0.32, currency: '€' },
  },
}
