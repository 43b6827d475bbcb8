import { allowing, type Drain, type Overflow, type Piece, starting } from '@yew-basin/core'
import type { DemoBasin } from './demo-basin.ts'
import {
  aChamber,
  aDevice,
  aPump,
  aTank,
  ball,
  bulkheadOf,
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

/** A box behind each sister, skimmed along its whole length through a smooth notch. */
function overflowAt(xM: number, name: string): Overflow {
  return {
    form: 'outer-box',
    place: 'back',
    crestM: 0.455,
    rimLengthM: 0.32,
    teeth: null,
    openAbove: true,
    guard: { openShare: 0.7, leastOpeningM: 0.004 },
    keepsInM: 0.01,
    box: {
      xM: xM + 0.28,
      yM: 0.565,
      lengthM: 0.34,
      widthM: 0.14,
      floorM: 0.2,
      rimM: 0.5,
    },
    passage: null,
    chamberId: null,
    holes: [
      {
        id: `${name}-notch`,
        panel: 'back',
        glass: 'plain',
        alongM: 0.45,
        upM: 0.4,
        bulkhead: bulkheadOf('50 mm'),
      },
    ],
    sensorM: null,
  }
}

const METRIC_32 = { series: 'pn-16', size: '32', boreM: null } as const

const INTO_SUMP = { at: 'chamber', id: 'sump', landing: 'open' } as const

/** One side of the stand: its tank, its word, where it begins, which way the sump lies. */
interface Side {
  readonly tankId: string
  readonly name: string
  readonly xM: number
  readonly inward: 'left' | 'right'
  readonly acrossM: number
}

const WEST: Side = { tankId: 'tank', name: 'west', xM: 0, inward: 'right', acrossM: 0.22 }
const EAST: Side = { tankId: 'east', name: 'east', xM: 1.05, inward: 'left', acrossM: 0.2 }

interface Pipe {
  readonly id: string
  readonly label: string
  readonly role: Drain['role']
  readonly form: Drain['inlet']['form']
  /** Its inlet, from the tank's left face and over the floor. */
  readonly atM: readonly [number, number]
  readonly pieces: Piece[]
  readonly end?: Drain['end']
}

function drainAt({ tankId, name, xM }: Side, pipe: Pipe): Drain {
  const [dx, zM] = pipe.atM
  return {
    id: `${name}-${pipe.id}`,
    name: `${pipe.label}, ${name}`,
    tankId,
    role: pipe.role,
    inlet: { form: pipe.form, place: { xM: xM + dx, yM: 0.63, zM }, openAreaRatio: 2.5 },
    run: { size: METRIC_32, ...NEW_PIPE, pieces: pipe.pieces },
    end: pipe.end ?? INTO_SUMP,
    keepsMatch: false,
  }
}

/** To the front and inward over the sump. */
const across = ({ inward, acrossM }: Side) =>
  [elbow, pipe('front', 0.35), elbow, pipe(inward, acrossM), elbow] as const

/** The two siphons were joined below the box to save a hole in the stand. */
function siphonsOf(side: Side): Pipe[] {
  const { name } = side
  const down = [pipe('down', 0.2), gate(0.42), union, pipe('down', 0.15)] as const
  return [
    {
      id: 'siphon',
      label: 'Siphon',
      role: 'siphon',
      form: 'turned-down',
      atM: [0.33, 1.11],
      pieces: inOrder(
        `${name}-siphon`,
        ...down,
        tee(`${name}-join`),
        pipe('down', 0.1),
        ...across(side),
        pipe('down', 0.41),
      ),
    },
    {
      id: 'second',
      label: 'Second siphon',
      role: 'siphon',
      form: 'turned-down',
      atM: [0.42, 1.11],
      pieces: inOrder(`${name}-second`, ...down, elbow, pipe('left', 0.09)),
      end: { at: 'tee', id: `${name}-join`, landing: 'open' },
    },
  ]
}

function reservesOf(side: Side): Pipe[] {
  const { name } = side
  const byXM = side.inward === 'right' ? 0.2 : -0.25
  return [
    {
      id: 'trickle',
      label: 'Trickle',
      role: 'trickle',
      form: 'open',
      atM: [0.5, 1.24],
      pieces: inOrder(`${name}-trickle`, pipe('down', 0.6), union, {
        kind: 'free-hose',
        lengthM: 0.62,
        byXM,
        byYM: -0.35,
        byZM: -0.33,
      }),
    },
    {
      id: 'emergency',
      label: 'Emergency',
      role: 'emergency',
      form: 'open',
      atM: [0.57, 1.285],
      pieces: inOrder(
        `${name}-emergency`,
        pipe('down', 0.62),
        union,
        ...across(side),
        pipe('down', 0.36),
      ),
    },
  ]
}

/** Four pipes a side. */
function drainsOf(side: Side): Drain[] {
  return [...siphonsOf(side), ...reservesOf(side)].map((pipe) => drainAt(side, pipe))
}

/** Two tanks on one open sump. Nobody ever balanced their valves: the near one takes most of the water. */
export const TWO_SISTERS: DemoBasin = {
  name: 'Two Sisters',
  note: 'Two tanks side by side at Gorse Point, on one open sump; the return is split by valves.',
  designName: 'as built',
  design: {
    tanks: [
      aTank(
        { ...SISTER, name: 'West sister', overflow: overflowAt(0, 'west') },
        { rockMassKg: 22, sandMassKg: 14 },
      ),
      aTank(
        {
          ...SISTER,
          id: 'east',
          name: 'East sister',
          xM: 1.05,
          overflow: overflowAt(1.05, 'east'),
        },
        { rockMassKg: 25, sandMassKg: 0 },
      ),
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [...drainsOf(WEST), ...drainsOf(EAST)],
    sump: {
      ...starting.USUAL_SUMP,
      chambers: [
        aChamber('sump', 'Open sump', { use: 'return', levelM: 0.28, more: { footprintM2: 0.02 } }),
      ],
      devices: [
        aDevice(
          'skimmer',
          sampleDevice('campion-60'),
          { chamberId: 'sump', xM: 0.82, yM: 0.1 },
          { standM: 0.05 },
        ),
      ],
      box: {
        make: 'bought',
        xM: 0.36,
        yM: 0.1,
        floorHeightM: 0.08,
        lengthM: 1.2,
        widthM: 0.4,
        heightM: 0.32,
        panelM: 0.008,
      },
      walls: [],
    },
    returnSide: {
      pumps: [
        aPump('rowan-50', 0.95, {
          chamberId: 'sump',
          outlet: { xM: 0.93, yM: 0.3, zM: 0.14 },
          inletHeightM: 0.11,
          // It came with a barb, and the line is glued.
          joint: 'barb',
        }),
      ],
      lines: [
        lineOf('west', 'West line', {
          start: { at: 'pump', id: 'return-pump' },
          end: { at: 'tank', id: 'tank' },
          run: {
            size: { series: 'pn-16', size: '32', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'west',
              pipe('up', 0.2),
              union,
              pipe('up', 0.25),
              tee('split-tee'),
              gate(1),
              pipe('up', 0.86),
              elbow,
              pipe('left', 0.08),
              elbow,
              pipe('down', 0.07),
              nozzle(0.02),
            ),
          },
        }),
        lineOf('east', 'East line', {
          start: { at: 'tee', id: 'split-tee' },
          end: { at: 'tank', id: 'east' },
          run: {
            size: { series: 'pn-16', size: '32', boreM: null },
            ...NEW_PIPE,
            pieces: inOrder(
              'east',
              pipe('right', 0.085),
              elbow,
              ball(0.6),
              union,
              pipe('up', 0.86),
              elbow,
              pipe('right', 0.205),
              elbow,
              pipe('down', 0.07),
              nozzle(0.02),
            ),
          },
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
      stock: 'light',
      feeds: [
        {
          id: 'cubes',
          name: 'Frozen cubes',
          form: 'cube',
          perDay: 3,
          mostPerDay: null,
          massKg: 0.004,
        },
      ],
      school: 'oversize',
    },
    heat: null,
    allowances: allowing.NO_ALLOWANCES,
    assumed: [],
    build: null,
  },
}
