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

/** Teeth and a guard that an overflow begins with (choice). */
export const NEW_TEETH = { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.02, blockedShare: 0 }
/** A guard to begin with: share of its face that is open, and its openings, m (choice). */
export const NEW_GUARD = { openShare: 0.7, leastOpeningM: 0.004 }

/** An overflow as a keeper would begin with it, to be changed from there. */
export function newOverflow(
  tank: DisplayTank,
  form: OverflowForm,
  place: OverflowPlace,
  rearChamberId: string,
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
    passage: passageOf(form),
    chamberId: rear ? rearChamberId : null,
    holes: [],
    sensorM: null,
  }
}

function passageOf(form: OverflowForm): Passage | null {
  if (form === 'hung-box') return { kind: 'siphon', count: 1, boreM: 0.025, lengthM: 0.6 }
  if (form === 'inner-and-outer') return { kind: 'holes', count: 2, boreM: 0.04, lengthM: 0 }
  return null
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
