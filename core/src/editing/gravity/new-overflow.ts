import { boreAtFroude } from '../../drain/index.ts'
import type {
  DisplayTank,
  Overflow,
  OverflowBox,
  OverflowForm,
  OverflowPlace,
  Passage,
} from '../../design/index.ts'

/** A new box is this long and wide where the tank has room for it, m. */
const BOX_LENGTH_M = 0.3
const BOX_WIDTH_M = 0.14
/** A new crest stands this far below the level the keeper gave. */
const BELOW_LEVEL_M = 0.012
/** and never nearer to the rim than this. */
const BELOW_RIM_M = 0.04
/** A tank's panel and the room for seals behind it. */
const BEHIND_M = 0.015

/** V/√(gD) that new tubes are chosen for: air is swept out from 0.8 on. */
const TUBE_FROUDE = 0.9
/** Wider ones are hard to fill by hand (choice). */
const WIDEST_TUBE_M = 0.032
/** What is laid for before any pump runs, m³/s (choice). */
const NO_FLOW_YET_M3_PER_S = 2e-4
/** A hole of 40 mm passes so much with 30 mm of water driving it: 0.6 A √(2g h). */
const PER_HOLE_M3_PER_S = 5.5e-4
const MOST_PASSAGES = 8

/** What a new overflow is for. */
export interface NewOverflowFor {
  /** The chamber behind the wall of an all-in-one. */
  readonly rearChamberId: string
  /** What the return brings into the tank. */
  readonly flowM3PerS: number
}

/** Teeth and a guard that an overflow begins with (choice). */
export const NEW_TEETH = { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.02, blockedShare: 0 }
/** A guard to begin with: share of its face that is open, and its openings, m (choice). */
export const NEW_GUARD = { openShare: 0.7, leastOpeningM: 0.004 }

/** An overflow as a keeper would begin with it, to be changed from there. */
export function newOverflow(
  tank: DisplayTank,
  { form, place }: Pick<Overflow, 'form' | 'place'>,
  { rearChamberId, flowM3PerS }: NewOverflowFor,
): Overflow {
  const crestM = Math.max(0.02, Math.min(tank.waterLevelM - BELOW_LEVEL_M, tank.rimM - BELOW_RIM_M))
  const rear = form === 'rear-chambers'
  const box = rear ? null : newBox(tank, form, place, crestM)
  return {
    form,
    place,
    crestM,
    rimLengthM: rear ? tank.lengthM * 0.4 : rimLength(form, place, box!),
    teeth: NEW_TEETH,
    openAbove: true,
    guard: null,
    keepsInM: null,
    box,
    passage: passageOf(form, flowM3PerS),
    chamberId: rear ? rearChamberId : null,
    holes: [],
    sensorM: null,
  }
}

function passageOf(form: OverflowForm, flowM3PerS: number): Passage | null {
  if (form === 'hung-box') return tubesFor(flowM3PerS)
  if (form !== 'inner-and-outer') return null
  const count = Math.max(2, Math.ceil(flowM3PerS / PER_HOLE_M3_PER_S))
  return { kind: 'holes', count: Math.min(MOST_PASSAGES, count), boreM: 0.04, lengthM: 0 }
}

/** As few tubes as the flow needs, each so wide that its water sweeps the air out. */
function tubesFor(flowM3PerS: number): Passage {
  const flow = Math.max(NO_FLOW_YET_M3_PER_S, flowM3PerS)
  const bore = (count: number) => boreAtFroude(flow / count, TUBE_FROUDE)
  let count = 1
  while (count < MOST_PASSAGES && bore(count) > WIDEST_TUBE_M) count++
  const boreM = Math.max(0.01, Math.floor(Math.min(WIDEST_TUBE_M, bore(count)) * 1000) / 1000)
  return { kind: 'siphon', count, boreM, lengthM: 0.6 }
}

function newBox(
  tank: DisplayTank,
  form: OverflowForm,
  place: OverflowPlace,
  crestM: number,
): OverflowBox {
  const lengthM = Math.min(BOX_LENGTH_M, tank.lengthM / 2)
  const widthM = Math.min(BOX_WIDTH_M, tank.widthM / 2)
  const inside = form === 'inner-box'
  const floorM = inside ? 0 : Math.max(crestM - 0.25, -tank.floorHeightM + 0.1)
  const upright = { floorM, rimM: inside ? tank.rimM : crestM + 0.05 }
  const ended = place === 'left' || place === 'right'
  // A box at an end stands with its length along that end.
  const [alongM, deepM] = ended ? [widthM, lengthM] : [lengthM, widthM]
  const middle = (fromM: number, spaceM: number, sizeM: number) => fromM + (spaceM - sizeM) / 2
  const xM =
    place === 'left'
      ? inside
        ? tank.xM
        : tank.xM - BEHIND_M - alongM
      : place === 'right'
        ? tank.xM + tank.lengthM + (inside ? -alongM : BEHIND_M)
        : place === 'corner'
          ? tank.xM
          : middle(tank.xM, tank.lengthM, alongM)
  const backM = tank.yM + tank.widthM
  const yM =
    ended || place === 'centre'
      ? middle(tank.yM, tank.widthM, deepM)
      : inside
        ? backM - deepM
        : backM + BEHIND_M
  return { xM, yM, lengthM: alongM, widthM: deepM, ...upright }
}

/** The sides of an inner box that stand free in the water; an outer box skims along its length. */
function rimLength(form: OverflowForm, place: OverflowPlace, box: OverflowBox): number {
  const longM = Math.max(box.lengthM, box.widthM)
  const shortM = Math.min(box.lengthM, box.widthM)
  if (form === 'outer-box') return longM
  if (place === 'centre') return 2 * (longM + shortM)
  return place === 'corner' ? longM + shortM : longM + 2 * shortM
}
