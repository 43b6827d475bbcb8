import {
  type BasinDesign,
  type Edit,
  insertAt,
  type PlacedPump,
  type ReturnLine,
  setTo,
} from '../../design/index.ts'
import type { Figures } from '../../figures/index.ts'
import { roomFor } from '../../fitting/index.ts'
import type { Piece } from '../../run/index.ts'
import {
  ends,
  freeName,
  type NewId,
  OVER_WATER_M,
  type StandsIn,
  way,
  wayWith,
} from './new-line.ts'
import { placeTee } from './place-tee.ts'

/** How a second pump is put to use. */
export type PumpUse = 'join' | 'own'

/** A second pump stands so far beside the first at least, m (choice). */
const LEAST_ASIDE_M = 0.3

/** Puts another pump beside the first: into the same line behind a check valve, or with a line of its own. */
export function addPump(
  design: BasinDesign,
  solved: Pick<Figures, 'returnSide'>,
  use: PumpUse,
  newId: NewId,
): { edits: Edit[]; lineId: string } {
  const { pumps, lines } = design.returnSide
  const { chambers } = design.sump
  const first = pumps[0]!
  const mainIndex = lines.findIndex(({ start }) => start.at === 'pump' && start.id === first.id)
  const main = lines[mainIndex]!
  const placed: PlacedPump = {
    ...first,
    id: newId(),
    outlet: {
      ...first.outlet,
      xM:
        first.outlet.xM -
        roomFor(['elbow-90', 'valve', 'union', 'tee'], main.run.size, LEAST_ASIDE_M),
    },
  }
  const tee: Piece = { id: newId(), kind: 'tee', form: 'side' }
  // Behind the first pipe, so that the first pump keeps its union.
  const after = main.run.pieces.findLastIndex(({ kind }, i) => kind === 'union' && i < 4)
  const laid = solved.returnSide.lines[mainIndex]!
  const teed = placeTee(main.run, {
    after,
    at: laid.pieces[after]?.to ?? laid.start,
    size: main.run.size,
    tee,
  })
  const target = teed.at
  const chamber = chambers.find(({ id }) => id !== first.chamberId) ?? chambers[0]!
  const away = {
    xM: placed.outlet.xM - 0.3,
    yM: placed.outlet.yM,
    zM: Math.max(placed.outlet.zM, chamber.levelM) + OVER_WATER_M,
  }
  const check: StandsIn = {
    piece: { id: newId(), kind: 'check-valve', form: 'swing', kvM3PerH: null },
    as: 'valve',
  }
  const union: Piece = { id: newId(), kind: 'union' }
  const up = { ...placed.outlet, zM: Math.max(target.zM, placed.outlet.zM + 0.05) }
  const rise: Piece = {
    id: newId(),
    kind: 'pipe',
    direction: 'up',
    lengthM: Math.round((up.zM - placed.outlet.zM) * 1e6) / 1e6,
  }
  const elbow: Piece = { id: newId(), kind: 'elbow', form: 'standard-90' }
  const joining = use === 'join'
  const { size } = main.run
  const line: ReturnLine = {
    id: newId(),
    name: freeName(design, joining ? 'Second pump' : 'Own pump'),
    start: { at: 'pump', id: placed.id },
    run: {
      ...main.run,
      pieces: joining
        ? [
            rise,
            elbow,
            ...wayWith(way(up, target, newId), [check, { piece: union, as: 'union' }], size),
          ]
        : [union, ...way(placed.outlet, away, newId)],
    },
    end: joining ? ends('tee', tee.id) : ends('chamber', chamber.id),
    wantedFlowM3PerS: null,
  }
  const teeIn: Edit[] = joining ? [setTo(['returnSide', 'lines', mainIndex, 'run'], teed.run)] : []
  return {
    lineId: line.id,
    edits: [
      insertAt(['returnSide', 'pumps'], pumps.length, placed),
      ...teeIn,
      insertAt(['returnSide', 'lines'], lines.length, line),
    ],
  }
}
