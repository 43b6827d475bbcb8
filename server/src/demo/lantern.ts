import { allowing, building, type Drain, type Overflow, type Sump, starting } from '@yew-basin/core'
import type { DemoBasin } from './demo-basin.ts'
import {
  aChamber,
  aDevice,
  aPump,
  aTank,
  aWall,
  ball,
  bulkheadOf,
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
import { sampleDevice } from './devices/devices.ts'
import { LANTERN_SCENE } from './lantern-scene.ts'
import { samplePump } from './pumps.ts'

const L_PER_H = 1 / 3.6e6

/** A box inside the back wall, its three free sides cut into teeth. */
const OVERFLOW: Overflow = {
  form: 'inner-box',
  place: 'back',
  crestM: 0.472,
  rimLengthM: 0.64,
  teeth: { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.022, blockedShare: 0.1 },
  openAbove: true,
  guard: null,
  keepsInM: 0.012,
  box: { xM: 0.52, yM: 0.76, lengthM: 0.36, widthM: 0.14, floorM: 0, rimM: 0.54 },
  passage: null,
  chamberId: null,
  holes: [
    {
      id: 'siphon-hole',
      panel: 'floor',
      glass: 'plain',
      alongM: 0.6,
      upM: 0.83,
      bulkhead: bulkheadOf('1 in'),
    },
    {
      id: 'trickle-hole',
      panel: 'floor',
      glass: 'plain',
      alongM: 0.7,
      upM: 0.83,
      bulkhead: bulkheadOf('1 in'),
    },
    {
      id: 'spare-hole',
      panel: 'floor',
      glass: 'plain',
      alongM: 0.8,
      upM: 0.83,
      bulkhead: bulkheadOf('1 in'),
    },
  ],
  sensorM: null,
}

const ONE_INCH = { series: 'schedule-40', size: '1', boreM: null } as const

/** Its gate was never turned since it was glued in. */
const SIPHON: Drain = {
  id: 'siphon',
  name: 'Siphon',
  tankId: 'tank',
  role: 'siphon',
  inlet: { form: 'strainer', place: { xM: 0.6, yM: 0.83, zM: 1.15 }, openAreaRatio: 2.5 },
  run: {
    size: ONE_INCH,
    ...NEW_PIPE,
    pieces: inOrder(
      'siphon',
      pipe('down', 0.42),
      union,
      gate(1),
      pipe('down', 0.1),
      elbow,
      pipe('front', 0.38),
      elbow,
      pipe('down', 0.08),
      elbow,
      pipe('left', 0.42),
      elbow,
      pipe('down', 0.205),
    ),
  },
  end: { at: 'chamber', id: 'drain-chamber', landing: 'sock' },
  keepsMatch: false,
}

const TRICKLE: Drain = {
  id: 'trickle',
  name: 'Trickle',
  tankId: 'tank',
  role: 'trickle',
  inlet: { form: 'turned-down', place: { xM: 0.7, yM: 0.83, zM: 1.3 }, openAreaRatio: 2 },
  run: {
    size: { series: 'smooth-hose', size: '1 in', boreM: null },
    ...NEW_PIPE,
    pieces: inOrder('trickle', pipe('down', 0.6), union, {
      kind: 'free-hose',
      lengthM: 0.72,
      byXM: -0.47,
      byYM: -0.38,
      byZM: -0.3,
    }),
  },
  end: { at: 'chamber', id: 'drain-chamber', landing: 'open' },
  keepsMatch: false,
}

/** Held to the stand by somebody who did not mean to take it out again. */
const clipped = <P extends object>(piece: P) => ({
  ...piece,
  made: { ...building.MADE_AS_USUAL, isClipped: true },
})

const EMERGENCY: Drain = {
  id: 'emergency',
  name: 'Emergency',
  tankId: 'tank',
  role: 'emergency',
  inlet: { form: 'open', place: { xM: 0.8, yM: 0.83, zM: 1.345 }, openAreaRatio: 2 },
  run: {
    size: ONE_INCH,
    ...NEW_PIPE,
    pieces: inOrder(
      'emergency',
      pipe('down', 0.7),
      elbow,
      pipe('front', 0.38),
      clipped(elbow),
      pipe('left', 0.52),
      elbow,
      pipe('down', 0.22),
    ),
  },
  end: { at: 'chamber', id: 'drain-chamber', landing: 'open' },
  keepsMatch: false,
}

/** Built at the station from 8 mm panels. */
const SUMP: Sump = {
  ...starting.USUAL_SUMP,
  chambers: [
    aChamber('drain-chamber', 'Drain chamber', { use: 'socks', levelM: 0.38 }),
    aChamber('skimmer', 'Skimmer', { use: 'skimmer', levelM: 0.36 }),
    aChamber('refugium', 'Refugium', {
      use: 'refugium',
      levelM: 0.35,
      more: { submergedM3: 0.003 },
    }),
    aChamber('trap-in', 'Trap, down', { use: 'trap', levelM: 0.35 }),
    aChamber('trap-out', 'Trap, up', { use: 'trap', levelM: 0.3 }),
    aChamber('return-chamber', 'Return chamber', {
      use: 'return',
      levelM: 0.285,
      more: { footprintM2: 0.01 },
    }),
  ],
  box: {
    make: 'self-built',
    xM: 0.06,
    yM: 0.25,
    floorHeightM: 0.1,
    lengthM: 1.24,
    widthM: 0.42,
    heightM: 0.38,
    panelM: 0.008,
  },
  walls: [
    aWall('sock-wall', 'over', { atM: 0.3, topM: 0.275 }),
    aWall('skimmer-wall', 'over', { atM: 0.56, topM: 0.262, more: { adjustable: true } }),
    aWall('refugium-comb', 'comb', {
      atM: 0.9,
      topM: 0.25,
      more: {
        teeth: { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.03, blockedShare: 0 },
      },
    }),
    aWall('trap-wall', 'under', { atM: 0.936, topM: 0.3, more: { slotM: 0.035 } }),
    aWall('return-wall', 'over', { atM: 0.976, topM: 0.2 }),
  ],
  hungWaterM3: 0,
  devices: [
    aDevice('skimmer', sampleDevice('yarrow-60'), { chamberId: 'skimmer', xM: 0.325, yM: 0.12 }),
    aDevice(
      'sterilizer',
      sampleDevice('saxifrage-25'),
      { chamberId: null, xM: 0.15, yM: 0.45 },
      {
        lineId: 'sterilizer',
        pieceId: 'sterilizer-4',
        standM: 0.3,
        // Put in when the tank was set up, and never looked at since.
        lamp: {
          burnedS: 9600 * 3600,
          burnedOn: '2026-11-08',
          hoursPerDay: 24,
          waterFactor: 0.95,
          sleeveFactor: 0.9,
          lampSince: '2025-10-04',
          sleeveSince: '2025-10-04',
        },
      },
    ),
    aDevice(
      'scrubber',
      sampleDevice('moss-20'),
      { chamberId: null, xM: 0.6, yM: 0.25 },
      { lineId: 'scrubber', pieceId: 'scrubber-4', standM: 0.5 },
    ),
    aDevice('heater', sampleDevice('ember-300'), {
      chamberId: 'return-chamber',
      xM: 1.18,
      yM: 0.35,
    }),
  ],
  cabinet: {
    xM: 0.02,
    yM: 0.2,
    lengthM: 1.34,
    widthM: 0.62,
    topM: 0.86,
    doors: [
      { id: 'left-door', face: 'front', fromM: 0.04, toM: 0.64, bottomM: 0.06, topM: 0.82 },
      { id: 'right-door', face: 'front', fromM: 0.7, toM: 1.3, bottomM: 0.06, topM: 0.82 },
    ],
  },
  // The biggest can that the shop had.
  topOff: { flowM3PerS: 100 * L_PER_H, canM3: 0.08, runLimitS: 900 },
}

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
          overflow: OVERFLOW,
          scene: LANTERN_SCENE,
        },
        { rockMassKg: 70, sandMassKg: 62 },
      ),
    ],
    water: { salinityPpt: 35, temperatureC: 25.5 },
    drains: [SIPHON, TRICKLE, EMERGENCY],
    sump: SUMP,
    returnSide: {
      pumps: [
        aPump('rowan-50', 0.9, {
          chamberId: 'return-chamber',
          outlet: { xM: 1.12, yM: 0.45, zM: 0.16 },
          inletHeightM: 0.13,
        }),
      ],
      lines: [
        lineOf('main', 'Main line', {
          start: { at: 'pump', id: 'return-pump' },
          end: { at: 'tank', id: 'tank' },
          run: {
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
        }),
        lineOf('sterilizer', 'Sterilizer', {
          start: { at: 'tee', id: 'sterilizer-tee' },
          end: { at: 'chamber', id: 'drain-chamber' },
          run: {
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
          wantedFlowM3PerS: 450 * L_PER_H,
        }),
        lineOf('scrubber', 'Scrubber', {
          start: { at: 'tee', id: 'scrubber-tee' },
          end: { at: 'chamber', id: 'refugium' },
          run: {
            size: { series: 'schedule-40', size: '1/2', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'scrubber',
              ball(0.5),
              union,
              pipe('left', 0.36),
              device('scrubber', 'Scrubber', 6),
              pipe('left', 0.06),
              elbow,
              pipe('down', 0.12),
            ),
          },
          wantedFlowM3PerS: 400 * L_PER_H,
        }),
      ],
      sparePumpId: 'rowan-30',
      ownShare: null,
    },
    pumps: [samplePump('rowan-50'), samplePump('rowan-30')],
    tariff: { pricePerKWh: 0.32, currency: '€' },
    drills: [],
    treatment: {
      ...starting.USUAL_TREATMENT,
      otherShare: 0.2,
      feeds: [
        {
          id: 'cubes',
          name: 'Frozen cubes',
          form: 'cube',
          perDay: 4,
          mostPerDay: 6,
          massKg: 0.004,
        },
        { id: 'flakes', name: 'Flakes', form: 'dry', perDay: 1, mostPerDay: null, massKg: 0.0015 },
        {
          id: 'seaweed',
          name: 'Seaweed',
          form: 'sheet',
          perDay: 1,
          mostPerDay: null,
          massKg: 0.002,
        },
      ],
    },
    // The station's back room: cold in winter, and the sun stands on its roof in summer.
    allowances: allowing.NO_ALLOWANCES,
    assumed: [],
    build: null,
    heat: {
      coldestRoomC: 15,
      warmestRoomC: 28,
      humidity: null,
      stirred: 1,
      tankPanels: 'glass',
      sumpPanels: 'glass',
      lightsW: 240,
      lightHoursPerDay: 10,
      chillerW: null,
      warningS: 8 * 3600,
    },
  },
}
