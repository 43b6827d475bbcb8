import type { BasinDesign, DisplayTank, EditPath, Overflow } from '../design/index.ts'
import type { Station } from '../finding/index.ts'
import type { Run } from '../run/index.ts'
import { nameOf } from './name-of.ts'

/** A figure of a design that only its keeper can know. */
export interface Askable {
  /** What it is called in the document, whatever order its list is in. */
  readonly name: string
  readonly path: EditPath
  /** Where it is asked. */
  readonly station: Station
  readonly value: unknown
}

/** Every figure of a design that its keeper can give, and that is assumed until he does. */
export function askables(design: BasinDesign): readonly Askable[] {
  return [...ofTanks(design), ...ofDrains(design), ...ofSump(design), ...ofReturn(design)].map(
    ([station, ...path]) => ({
      name: nameOf(design, path),
      path,
      station,
      value: path.reduce<unknown>(
        (held, key) => (held as Readonly<Record<string | number, unknown>>)[key],
        design,
      ),
    }),
  )
}

type Place = readonly [Station, ...EditPath]

const TANK = ['lengthM', 'widthM', 'heightM', 'rimM', 'floorHeightM', 'turnoverPerH'] as const
const WATER = ['salinityPpt', 'temperatureC'] as const
const BOX = ['lengthM', 'widthM', 'floorM', 'rimM'] as const
const PASSAGE = ['count', 'boreM', 'lengthM'] as const
const TEETH = ['slotWidthM', 'pitchM', 'heightM'] as const

function ofTanks({ tanks }: BasinDesign): Place[] {
  return [
    ...WATER.map((key): Place => ['tank', 'water', key]),
    ...tanks.flatMap((tank, i) => [...ofTank(tank, i), ...ofOverflow(tank.overflow, i)]),
  ]
}

function ofTank({ overflow }: DisplayTank, i: number): Place[] {
  const at = (key: string): Place => ['tank', 'tanks', i, key]
  return [
    ...TANK.map(at),
    // Where an overflow stands, it sets the level.
    ...(overflow ? [] : [at('waterLevelM')]),
    ...(i > 0 ? [at('xM'), at('yM')] : []),
    ...['rockMassKg', 'sandMassKg'].map((key): Place => ['tank', 'tanks', i, 'displacement', key]),
  ]
}

function ofOverflow(overflow: Overflow | null, i: number): Place[] {
  if (!overflow) return []
  const at = (...path: EditPath): Place => ['overflow', 'tanks', i, 'overflow', ...path]
  const { box, passage, teeth } = overflow
  return [
    at('crestM'),
    at('rimLengthM'),
    ...(box ? BOX.map((key) => at('box', key)) : []),
    ...(passage ? PASSAGE.filter((key) => passage[key] > 0).map((key) => at('passage', key)) : []),
    ...(teeth ? TEETH.map((key) => at('teeth', key)) : []),
  ]
}

function ofDrains({ drains }: BasinDesign): Place[] {
  return drains.flatMap(({ run }, i): Place[] => [
    ['drains', 'drains', i, 'inlet', 'place', 'zM'],
    ...ofRun(run).map((path): Place => ['drains', 'drains', i, 'run', ...path]),
  ])
}

/** Its pipe, and how long each is. */
function ofRun({ pieces }: Run): EditPath[] {
  return [
    ['size'],
    ...pieces.flatMap((piece, i) =>
      piece.kind === 'pipe' || piece.kind === 'free-hose' ? [['pieces', i, 'lengthM']] : [],
    ),
  ]
}

function ofSump({ sump }: BasinDesign): Place[] {
  const at = (...path: EditPath): Place => ['sump', 'sump', ...path]
  const box = sump.box
    ? (['lengthM', 'widthM', 'heightM', 'floorHeightM'] as const).map((key) => at('box', key))
    : []
  return [
    ...box,
    ...sump.walls.flatMap((_, i) => [at('walls', i, 'atM'), at('walls', i, 'topM')]),
    ...sump.chambers.flatMap(({ use }, i) =>
      // With sizes, the level of the others follows from flow and walls.
      use === 'return' || use === 'reservoir' || !sump.box ? [at('chambers', i, 'levelM')] : [],
    ),
    at('evaporationMmPerDay'),
  ]
}

function ofReturn({ pumps: parts, returnSide: { pumps, lines } }: BasinDesign): Place[] {
  const at = (...path: EditPath): Place => ['return', 'returnSide', ...path]
  return [
    ...parts.map((_, i): Place => ['return', 'pumps', i, 'ratedPowerW']),
    ...pumps.flatMap((pump, i) => [
      at('pumps', i, 'pumpId'),
      at('pumps', i, 'outlet', 'zM'),
      ...(pump.inletHeightM === null ? [] : [at('pumps', i, 'inletHeightM')]),
    ]),
    ...lines.flatMap(({ run }, i) => ofRun(run).map((path) => at('lines', i, 'run', ...path))),
  ]
}
