import { aBasin, aLine, TEST_PUMP } from '../a-basin.ts'
import { setTo } from '../../src/design/edit.ts'
import { middleOfChamber } from '../../src/design/in-chamber.ts'
import {
  applyEdits,
  type BasinDesign,
  type ChamberUse,
  type DisplayTank,
  type OverflowForm,
  type Point,
  type PumpPart,
  type ReturnLine,
  solveBasin,
} from '../../src/index.ts'
import {
  type DrainSchool,
  newDrains,
  newOverflow,
  newSump,
  sumpEdits,
} from '../../src/editing/index.ts'

/** Numbers that look random and are the same in every run (Numerical Recipes' generator). */
export class Dice {
  #state: number

  constructor(seed: number) {
    this.#state = (seed * 2_654_435_761) >>> 0
    for (let i = 0; i < 4; i++) this.next()
  }

  /** From nothing up to one. */
  next(): number {
    this.#state = (Math.imul(this.#state, 1_664_525) + 1_013_904_223) >>> 0
    return this.#state / 2 ** 32
  }

  between(from: number, to: number): number {
    return from + (to - from) * this.next()
  }

  /** Evenly over the orders of size. */
  spread(from: number, to: number): number {
    return Math.exp(this.between(Math.log(from), Math.log(to)))
  }

  of<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)]!
  }

  oneIn(n: number): boolean {
    return this.next() < 1 / n
  }
}

const mm = (lengthM: number) => Math.round(lengthM * 1000) / 1000

const SCHOOLS: readonly DrainSchool[] = [
  'vented-standpipe',
  'vented-emergency',
  'siphon-emergency',
  'siphon-trickle-emergency',
]
const SUMPS: readonly (readonly ChamberUse[])[] = [
  ['socks', 'skimmer', 'return'],
  ['socks', 'skimmer', 'trap', 'trap', 'return'],
  ['skimmer', 'refugium', 'return'],
  ['socks', 'return'],
]
/** Half an inch to two. */
const DRAIN_SIZES = ['1/2', '3/4', '1', '1 1/4', '1 1/2', '2'] as const
const RETURN_SIZES = ['3/4', '1', '1 1/4', '1 1/2', '2'] as const
const MOST_TAKEOFFS = 6
/** What a reactor or a sterilizer on a takeoff gets, about. */
const TAKEOFF_M3_PER_S = 1e-4

interface Sized {
  readonly tank: DisplayTank
  readonly flowM3PerS: number
}

/** A tank of so many litres, and what is wanted through it. */
function aTank(dice: Dice, base: DisplayTank, { id, xM }: { id: string; xM: number }): Sized {
  const volumeM3 = dice.spread(0.06, 1.5)
  const heightM = mm(Math.min(0.9, Math.max(0.3, Math.cbrt(volumeM3) * dice.between(0.7, 1))))
  const widthM = mm(Math.sqrt(volumeM3 / heightM / dice.between(1.2, 2.6)))
  const lengthM = mm(volumeM3 / heightM / widthM)
  const turnoverPerH = dice.between(2, 12)
  return {
    tank: {
      ...base,
      id,
      name: id,
      xM,
      lengthM,
      widthM,
      heightM,
      rimM: heightM,
      waterLevelM: mm(heightM - dice.between(0.035, 0.08)),
      floorHeightM: mm(dice.between(0.7, 1)),
      turnoverPerH,
    },
    flowM3PerS: (volumeM3 * turnoverPerH) / 3600,
  }
}

/** A pump that gives a flow about so high, on a smooth curve. */
function aPump(flowM3PerS: number, liftM: number): PumpPart {
  const [mostM3PerS, headM] = [flowM3PerS * 1.55, liftM * 1.75 + 0.5]
  return {
    ...TEST_PUMP,
    curve: [0, 0.25, 0.5, 0.75, 0.9, 1].map((share) => ({
      flowM3PerS: share * mostM3PerS,
      headM: headM * (1 - share ** 1.8),
    })),
    outletBoreM: Math.min(0.05, Math.max(0.016, Math.sqrt(flowM3PerS / 1.6 / 0.785))),
  }
}

const sizeFor = (flowM3PerS: number, mPerS: number) => {
  const boreM = Math.sqrt(flowM3PerS / mPerS / 0.785)
  const bores = [0.0205, 0.0261, 0.0345, 0.0404, 0.052]
  const at = bores.findIndex((known) => known >= boreM)
  return RETURN_SIZES[at < 0 ? bores.length - 1 : at]!
}

/** The pump stands so far from the right end of its sump, m. */
const FROM_END_M = 0.08
/** Pipe before each tee, m. */
const TEE_UP_M = 0.06

/** Up behind a tank, over its rim and in: in air or under water, with or without a check valve. */
function upTo(dice: Dice, { tank }: Sized, from: Point, tee: string): string {
  const isBehind = from.xM > tank.xM + 0.03 && from.xM < tank.xM + tank.lengthM - 0.03
  const byMm = isBehind ? 0 : Math.round(1000 * (tank.xM + tank.lengthM / 2 - from.xM))
  const way = byMm > 0 ? 'right' : 'left'
  const across = byMm === 0 ? '' : `elbow, ${way} ${Math.abs(byMm)} mm, `
  const frontMm = Math.round(1000 * (from.yM - tank.yM - tank.widthM * 0.6))
  const surfaceM = tank.floorHeightM + tank.waterLevelM
  const overM = tank.floorHeightM + tank.rimM + 0.04
  const under = dice.oneIn(2)
  const check = dice.oneIn(3) ? 'check, ' : ''
  const downMm = Math.round(1000 * (under ? overM - surfaceM + dice.between(0.02, 0.12) : 0.02))
  const riseMm = Math.round(1000 * (overM - from.zM))
  return `union, ${check}${tee}up ${riseMm} mm, ${across}elbow, front ${frontMm} mm, elbow, down ${downMm} mm`
}

/** A keeper's whole system, as likely as any: tanks, boxes, drains, sump, pump, takeoffs. */
export function randomDesign(seed: number): BasinDesign {
  const dice = new Dice(seed)
  const plain = aBasin('up 1 m', {})
  const base = plain.tanks[0]!
  const first = aTank(dice, base, { id: 'tank', xM: 0 })
  const second = dice.oneIn(4)
    ? [aTank(dice, base, { id: 'second', xM: first.tank.lengthM + 0.3 })]
    : []
  const sized = [first, ...second]
  const flowM3PerS = sized.reduce((sum, one) => sum + one.flowM3PerS, 0)
  const litresM3 = sized.reduce(
    (sum, { tank }) => sum + tank.lengthM * tank.widthM * tank.heightM,
    0,
  )
  const behindM = Math.max(...sized.map(({ tank }) => tank.yM + tank.widthM)) + 0.03
  const box = { ...aSumpBox(dice, litresM3 * dice.between(0.15, 0.5), first.tank), yM: mm(behindM) }
  const takeoffs = dice.oneIn(2) ? 0 : Math.floor(dice.between(1, MOST_TAKEOFFS + 1))
  const outletM = box.floorHeightM + 0.12
  const outlet = {
    xM: mm(box.xM + box.lengthM - FROM_END_M),
    yM: mm(box.yM + box.widthM / 2),
    zM: outletM,
  }
  const liftM = first.tank.floorHeightM + first.tank.rimM - outletM
  const pump = aPump(flowM3PerS + takeoffs * TAKEOFF_M3_PER_S, liftM)
  const withTanks = applyEdits(plain, [
    setTo(
      ['tanks'],
      sized.map(({ tank }) => tank),
    ),
    setTo(['pumps'], [pump]),
    setTo(['returnSide', 'pumps', 0, 'outlet'], outlet),
  ])
  const uses = dice.of(SUMPS)
  const sump = newSump(withTanks.sump, box, uses)
  const whole = applyEdits(withTanks, sumpEdits(withTanks, sump))
  const laid = withReturn(dice, whole, { sized, flowM3PerS, outlet, takeoffs })
  return withWayDown(dice, laid, sized)
}

function aSumpBox(dice: Dice, volumeM3: number, tank: DisplayTank) {
  const heightM = mm(Math.min(0.5, Math.max(0.25, tank.floorHeightM - 0.3)))
  const widthM = mm(Math.min(0.6, Math.max(0.18, Math.sqrt(volumeM3 / heightM / 2.2))))
  return {
    make: 'self-built' as const,
    xM: 0,
    yM: 0.02,
    floorHeightM: 0.02,
    lengthM: mm(Math.max(0.45, volumeM3 / heightM / widthM)),
    widthM,
    heightM: mm(heightM * dice.between(0.9, 1)),
    panelM: 0.008,
  }
}

function withReturn(
  dice: Dice,
  design: BasinDesign,
  given: {
    readonly sized: readonly Sized[]
    readonly flowM3PerS: number
    readonly outlet: Point
    readonly takeoffs: number
  },
): BasinDesign {
  const { sized, flowM3PerS, outlet, takeoffs } = given
  const forTees = `up ${TEE_UP_M * 1000} mm, tee, `.repeat(takeoffs + sized.length - 1)
  const riseM = TEE_UP_M * (takeoffs + sized.length - 1)
  const size = { series: 'schedule-40', size: sizeFor(flowM3PerS, 1.6), boreM: null } as const
  const typed = upTo(dice, sized[0]!, { ...outlet, zM: outlet.zM + riseM }, forTees)
  const main = aLine(
    'main',
    { at: 'pump', id: 'pump' },
    { typed, size },
    { at: 'tank', id: 'tank' },
  )
  const tees = main.run.pieces.filter(({ kind }) => kind === 'tee').map(({ id }) => id)
  const lines: ReturnLine[] = [main]
  sized.slice(1).forEach((one, nth) => {
    const small = { ...size, size: sizeFor(one.flowM3PerS, 1.6) }
    const up = upTo(dice, one, { ...outlet, zM: outlet.zM + TEE_UP_M * (nth + 1) }, '')
    const end = { at: 'tank', id: one.tank.id } as const
    lines.push(
      aLine(one.tank.id, { at: 'tee', id: tees.shift()! }, { typed: up, size: small }, end),
    )
  })
  const { chambers } = design.sump
  tees.forEach((id, i) => {
    const chamber = dice.of(chambers)
    const end = { at: 'chamber', id: chamber.id } as const
    const leftMm = Math.round(1000 * (outlet.xM - middleOfChamber(design.sump, chamber.id)!.xM))
    const laid = {
      typed: `${leftMm >= 0 ? 'left' : 'right'} ${Math.max(10, Math.abs(leftMm))} mm, ball 35%, elbow, down 50 mm`,
      size: { ...size, size: '1/2' },
    }
    lines.push(aLine(`takeoff-${i + 1}`, { at: 'tee', id }, laid, end))
  })
  const holed = lines.map((line): ReturnLine => {
    const breakDepthM = line.end.at === 'tank' && dice.oneIn(2) ? dice.between(0.005, 0.03) : null
    return { ...line, end: { ...line.end, breakDepthM } }
  })
  return applyEdits(design, [setTo(['returnSide', 'lines'], holed)])
}

/** An overflow and drains for each tank; half of them in a size that somebody had lying about. */
function withWayDown(dice: Dice, design: BasinDesign, sized: readonly Sized[]): BasinDesign {
  const { tanks } = solveBasin(design)
  return sized.reduce((before, { tank }, i) => {
    const form: OverflowForm = dice.of([
      'inner-box',
      'inner-box',
      'inner-and-outer',
      'hung-box',
    ] as const)
    const first = before.sump.chambers[0]!.id
    const overflow = newOverflow(
      before.tanks[i]!,
      { form, place: 'back' },
      { rearChamberId: first, flowM3PerS: tanks[i]!.flowM3PerS },
    )
    const withBox = applyEdits(before, [setTo(['tanks', i, 'overflow'], overflow)])
    const drains = newDrains(withBox, {
      tankId: tank.id,
      school: dice.of(SCHOOLS),
      chamberId: first,
      series: 'schedule-40',
      flowM3PerS: Math.max(1e-5, tanks[i]!.flowM3PerS),
    }).map((drain) => {
      if (!dice.oneIn(4) || drain.run.size.series !== 'schedule-40') return drain
      const size = { ...drain.run.size, size: dice.of(DRAIN_SIZES) }
      return { ...drain, run: { ...drain.run, size } }
    })
    return applyEdits(withBox, [setTo(['drains'], [...withBox.drains, ...drains])])
  }, design)
}
