import { type Changes, withChanges } from './changes.ts'
import { L_PER_H } from './tables.ts'
import { solveBasin } from '../src/basin/solve.ts'
import { NO_ALLOWANCES } from '../src/design/allowances.ts'
import type { BasinDesign, ReturnLine } from '../src/design/design.ts'
import type { FindingCode } from '../src/finding/codes.ts'
import type { PipeSize } from '../src/pipe/size.ts'
import type { PumpPart } from '../src/pump/part.ts'
import { readNotation } from '../src/run/notation.ts'
import type { Piece } from '../src/run/piece.ts'
import { emptyScene } from '../src/scene/scene.ts'

export const TEST_PUMP: PumpPart = {
  id: 'test-pump',
  name: 'Test pump',
  control: 'controllable',
  mounting: 'under-water',
  curve: [
    [0, 3.2],
    [1000, 2.95],
    [2000, 2.45],
    [3000, 1.6],
    [3800, 0.6],
    [4100, 0],
  ].map(([flow, headM]) => ({ flowM3PerS: flow! * L_PER_H, headM: headM! })),
  shutOffHeadM: null,
  maxFlowM3PerS: null,
  ratedPowerW: 40,
  power: [],
  outletBoreM: 0.034,
  inletBoreM: null,
  leastDepthM: null,
  partId: null,
  leastSpeed: 0.2,
  priceClass: null,
  size: null,
}

/** Pieces from one typed line. */
export function pieces(line: string, size = RUN.size): Piece[] {
  let n = 0
  const read = readNotation(line, 'metric', { size, pieces: [] }, () => `p${++n}`)
  if (!read.ok) throw new Error(read.faults.map((fault) => fault.message).join('; '))
  return [...read.pieces]
}

const RUN: ReturnLine['run'] = {
  size: { series: 'schedule-40', size: '1 1/4', boreM: null },
  pieces: [],
  roughnessM: 1.5e-6,
  ribbedFactor: 2,
}

/** A line from one place to another, its pieces from one typed line. */
export function aLine(
  id: string,
  start: ReturnLine['start'],
  laid: string | { readonly typed: string; readonly size: PipeSize },
  end: Pick<ReturnLine['end'], 'at' | 'id'>,
): ReturnLine {
  const { typed, size } = typeof laid === 'string' ? { typed: laid, size: RUN.size } : laid
  return {
    id,
    name: id,
    start,
    run: { ...RUN, size, pieces: pieces(typed, size).map((p) => ({ ...p, id: idIn(id, p.id) })) },
    end: { ...end, place: null, breakDepthM: null },
    wantedFlowM3PerS: null,
  }
}

/** Pieces of the main line keep their short ids. */
const idIn = (lineId: string, pieceId: string) =>
  lineId === 'main' ? pieceId : `${lineId}-${pieceId}`

/** The line a design is known by, solved. */
export function lead(design: BasinDesign) {
  const { lines, leadLineId } = solveBasin(design).returnSide
  return lines.find((line) => line.lineId === leadLineId)!
}

/** A 1 000 × 500 mm tank over a sump, with a plain run that ends in air: nothing wrong with it. */
export function aBasin(
  line = 'union, up 1 m, elbow, left 300 mm, gate',
  changes: Changes = {},
): BasinDesign {
  const base: BasinDesign = {
    tanks: [
      {
        id: 'tank',
        name: 'Tank',
        xM: 0,
        yM: 0,
        lengthM: 1,
        widthM: 0.5,
        heightM: 0.5,
        rimM: 0.5,
        waterLevelM: 0.45,
        floorHeightM: 0.5,
        displacement: {
          rockMassKg: 20,
          rockDensityKgPerM3: 2000,
          sandMassKg: 27,
          sandGrainDensityKgPerM3: 2700,
        },
        turnoverPerH: 14.5,
        overflow: null,
        scene: emptyScene(),
      },
    ],
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [],
    sump: {
      chambers: [
        {
          id: 'sump',
          name: 'Return chamber',
          use: 'return',
          levelM: 0.2,
          footprintM2: 0,
          submergedM3: 0,
          wantsDepth: null,
        },
      ],
      box: null,
      walls: [],
      marginM: 0.02,
      gapM: 0.0016,
      evaporationMmPerDay: 3,
      hungWaterM3: 0,
      topOff: null,
      devices: [],
      cabinet: null,
    },
    returnSide: {
      pumps: [
        {
          id: 'pump',
          pumpId: TEST_PUMP.id,
          speed: 1,
          stopped: false,
          chamberId: 'sump',
          outlet: { xM: 1.03, yM: 0.25, zM: 0.1 },
          inletHeightM: null,
        },
      ],
      lines: [aLine('main', { at: 'pump', id: 'pump' }, line, { at: 'tank', id: 'tank' })],
      sparePumpId: null,
      ownShare: null,
    },
    tariff: null,
    drills: [],
    treatment: {
      feeds: [],
      stock: 'medium',
      otherShare: 0,
      school: 'match',
      oversizeFrom: 1.5,
      oversizeTo: 2,
      targets: [],
      targetId: null,
    },
    heat: null,
    allowances: NO_ALLOWANCES,
    assumed: [],
    build: null,
    pumps: [TEST_PUMP],
  }
  return withChanges(base, changes)
}

export function codes(design: BasinDesign): FindingCode[] {
  return solveBasin(design).findings.map((finding) => finding.code)
}
