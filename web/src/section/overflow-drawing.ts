import type { BasinDesign, DisplayTank, SolvedBasin, Solved } from '@yew-basin/core'
import type { Scale } from './scale.ts'

/** An overflow's box and rim on the sheet. */
export interface DrawnOverflow {
  readonly tankId: string
  readonly name: string
  readonly left: number
  readonly right: number
  readonly floor: number
  readonly rim: number
  /** The box's water; null: no box, or no drain in it yet. */
  readonly water: number | null
  readonly boxM: number | null
  readonly boxBandM: number
  readonly crest: number
  /** Tops of the teeth; the crest itself where the rim is smooth. */
  readonly teethTop: number
  readonly teeth: string
  readonly drowned: boolean
  readonly head: number
}

/** The overflows of a design, to scale. */
export function drawOverflows(
  design: BasinDesign,
  { overflows }: SolvedBasin,
  scale: Scale,
): DrawnOverflow[] {
  return design.tanks.flatMap((tank) => {
    const solved = overflows.find(({ tankId }) => tankId === tank.id)
    return solved && tank.overflow ? [drawOne(tank, solved, scale)] : []
  })
}

/** Teeth are drawn no finer than this, px. */
const LEAST_PITCH_PX = 4

function drawOne(tank: DisplayTank, solved: Solved<'overflow'>, scale: Scale): DrawnOverflow {
  const overflow = tank.overflow!
  const { box, teeth } = overflow
  const z = (m: number) => scale.y(tank.floorHeightM + m)
  const left = scale.x(box ? box.xM : tank.xM + tank.lengthM * 0.5)
  const right = scale.x(
    box ? box.xM + box.lengthM : tank.xM + tank.lengthM * 0.5 + overflow.rimLengthM,
  )
  const crest = z(overflow.crestM)
  const teethTop = teeth ? z(overflow.crestM + teeth.heightM) : crest
  const pitch = teeth ? Math.max(LEAST_PITCH_PX, teeth.pitchM * scale.pxPerM) : 0
  return {
    tankId: tank.id,
    name: tank.name,
    left,
    right,
    floor: box ? z(box.floorM) : crest,
    rim: box ? z(Math.min(box.rimM, tank.rimM)) : crest,
    water: solved.boxM !== null && box ? scale.y(solved.boxM) : null,
    boxM: box ? solved.boxM : null,
    boxBandM: solved.boxBandM,
    crest,
    teethTop,
    teeth: teeth ? teethPath({ left, right, crest, top: teethTop, pitch }) : '',
    drowned: (solved.overTeethM ?? 0) > 0,
    head: scale.y(solved.surfaceM),
  }
}

/** Upright teeth between a crest and their tops. */
function teethPath({
  left,
  right,
  crest,
  top,
  pitch,
}: {
  readonly left: number
  readonly right: number
  readonly crest: number
  readonly top: number
  readonly pitch: number
}): string {
  const strokes: string[] = []
  for (let x = left + pitch / 2; x < right; x += pitch) strokes.push(`M${x} ${crest} V${top}`)
  return strokes.join(' ')
}
