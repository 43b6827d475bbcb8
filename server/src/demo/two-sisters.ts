import type { DemoBasin } from './demo-basin.ts'
import {
  aPump,
  aTank,
  ball,
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

const SISTER = {
  lengthM: 0.9,
  widthM: 0.55,
  heightM: 0.5,
  rimM: 0.5,
  waterLevelM: 0.465,
  floorHeightM: 0.85,
  turnoverPerH: 7,
}

/** Two tanks on one open sump. Nobody ever balanced their valves: the near one takes most of the water. */
export const TWO_SISTERS: DemoBasin = {
  name: 'Two Sisters',
  note: 'Two tanks side by side at Gorse Point, on one open sump; the return is split by valves.',
  designName: 'as built',
  design: {
    tanks: [
      aTank({ ...SISTER, name: 'West sister' }, { rockMassKg: 22, sandMassKg: 14 }),
      aTank(
        { ...SISTER, id: 'east', name: 'East sister', xM: 1.05 },
        { rockMassKg: 25, sandMassKg: 0 },
      ),
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    returnSide: {
      chambers: [{ id: 'sump', name: 'Open sump', levelM: 0.28 }],
      pumps: [aPump('rowan-50', 0.95, 'sump', { xM: 0.5, yM: 0.3, zM: 0.14 })],
      lines: [
        lineOf(
          'west',
          'West line',
          { at: 'pump', id: 'return-pump' },
          { at: 'tank', id: 'tank' },
          {
            size: { series: 'pn-16', size: '32', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'west',
              pipe('up', 0.2),
              union,
              pipe('up', 0.25),
              tee('split-tee'),
              gate(1),
              pipe('up', 0.85),
              elbow,
              pipe('left', 0.12),
              elbow,
              pipe('down', 0.06),
              nozzle(0.02),
            ),
          },
        ),
        lineOf(
          'east',
          'East line',
          { at: 'tee', id: 'split-tee' },
          { at: 'tank', id: 'east' },
          {
            size: { series: 'pn-16', size: '32', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'east',
              pipe('right', 0.5),
              ball(0.6),
              union,
              elbow,
              pipe('up', 0.85),
              elbow,
              pipe('right', 0.2),
              elbow,
              pipe('down', 0.06),
              nozzle(0.02),
            ),
          },
        ),
      ],
      sparePumpId: 'rowan-30',
    },
    pumps: [samplePump('rowan-50'), samplePump('rowan-30')],
    tariff: { pricePerKWh: 0.32, currency: '€' },
  },
}
