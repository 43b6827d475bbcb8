import type { SumpBox, SumpChamber, SumpWall } from '../design/index.ts'
import type { SolvedChamber } from '../figures/index.ts'
import { gather } from '../numeric/index.ts'
import { sentence } from '../quantity/index.ts'
import { crestM } from '../sump/index.ts'
import { wallForDepth } from './chamber-depth.ts'
import { aboutStop, type Finding, type Fix, type Found, type Solving } from './finding.ts'

/** A hand with a cup or a pump in it needs so much room (choice). */
const HAND_M = 0.1
/** Sooner than this, a weekend away runs the pump dry (choice). */
const SOON_S = 3 * 86_400
/** Larger bubbles than this are seen and heard in a display (choice). */
const SEEN_BUBBLE_M = 0.0008

/** A chamber with its neighbours. */
interface ChamberCase {
  readonly solving: Solving
  readonly box: SumpBox
  readonly index: number
  readonly chamber: SumpChamber
  readonly solved: SolvedChamber
  /** Place of the wall its water leaves by; −1: it is the return chamber. */
  readonly outWall: number
}

export function sumpFindings(solving: Solving): Finding[] {
  const { design, sump } = solving
  const { box } = design.sump
  if (!box) return []
  const { returnIndex } = solving.steady
  const cases = design.sump.chambers.map((chamber, index): ChamberCase => ({
    solving,
    box,
    index,
    chamber,
    solved: sump.chambers[index]!,
    outWall: index === returnIndex ? -1 : index < returnIndex ? index : index - 1,
  }))
  return [
    ...outage(solving, box),
    ...runsDry(solving),
    ...bubbles(solving, cases),
    ...gather(cases, (one) => [
      ...water(one),
      ...drowned(one),
      ...skimmer(one),
      ...tooShort(one),
      ...light(one),
    ]),
  ]
}

function about(one: ChamberCase, found: Found): Finding {
  return aboutStop('sump', found, { chamberId: one.chamber.id })
}

function outage({ design, sump, steady }: Solving, box: SumpBox): Finding[] {
  const { outage: out } = sump
  if (!out) return []
  const index = steady.returnIndex
  const { levelM } = design.sump.chambers[index]!
  const values = {
    back: ['volume', out.drainBack.totalM3],
    free: ['volume', out.freeVolumeM3],
    line: ['length', out.fillLineM - box.floorHeightM],
    left: ['length', out.marginM],
  } as const
  if (levelM <= out.fillLineM) {
    return [
      aboutStop('sump', {
        code: 'outage-held',
        severity: 'fine',
        title: sentence('A power cut stays in the sump: {left} to its rim', { left: values.left }),
        reason: sentence(
          '{back} comes down. Mark the glass at {line}: fill no higher than this while it runs.',
          {
            back: values.back,
            line: values.line,
          },
        ),
      }),
    ]
  }
  const lowestM = leastLevelM(steady.design, box)
  if (out.fillLineM < lowestM) {
    return [
      aboutStop('sump', {
        code: 'sump-too-small',
        severity: out.spills ? 'stop' : 'watch',
        title: sentence('The sump is too small for what comes down'),
        reason: sentence(
          'A power cut brings {back}; up to the rim there is room for {free}, and the return chamber can’t run low enough to make more. A shorter siphon back, less water over the rim or a bigger sump helps.',
          { back: values.back, free: values.free },
        ),
      }),
    ]
  }
  const fix: Fix = {
    label: sentence('Fill the return chamber to {line}', { line: values.line }),
    brings: sentence('Leaves {margin} after a power cut.', {
      margin: ['length', design.sump.marginM],
    }),
    edits: [{ op: 'set', path: ['sump', 'chambers', index, 'levelM'], to: out.fillLineM }],
  }
  return [
    aboutStop('sump', {
      code: 'above-fill-line',
      severity: out.spills ? 'stop' : 'watch',
      title: out.spills
        ? sentence('A power cut spills the sump')
        : sentence('A power cut leaves only {left} to the sump’s rim', { left: values.left }),
      reason: sentence('{back} comes down, and the sump runs above its line of {line}.', {
        back: values.back,
        line: values.line,
      }),
      chamberId: design.sump.chambers[index]!.id,
      fixes: () => [fix],
    }),
  ]
}

/** The lowest the return chamber may run: over its pumps' inlets, or a hand's width of water. */
function leastLevelM({ returnSide }: Solving['design'], box: SumpBox): number {
  const inlets = gather(returnSide.pumps, ({ inletHeightM }) =>
    inletHeightM === null ? [] : [inletHeightM],
  )
  return Math.max(box.floorHeightM + 0.05, ...inlets)
}

function runsDry({ sump }: Solving): Finding[] {
  const use = sump.waterUse
  if (!use || use.untilAirS === null || use.untilAirS >= SOON_S || use.untilAirS <= 0) return []
  return [
    aboutStop('sump', {
      code: 'runs-dry-soon',
      severity: 'watch',
      title: sentence('Without top-off the pump draws air in {days}', {
        days: ['days', use.untilAirS],
      }),
      reason: sentence(
        'All the water that goes into the air, {loss} a day, comes out of the return chamber. A larger chamber, a deeper inlet or a top-off reservoir gives time.',
        { loss: ['volume', use.evaporationM3PerS * 86_400] },
      ),
      chamberId: sump.returnChamberId,
    }),
  ]
}

/** Water falls into the return chamber itself, or goes too fast down the last trap. */
function bubbles({ sump, drains, design }: Solving, cases: readonly ChamberCase[]): Finding[] {
  const bare = drains.find(
    ({ chamberId, flowM3PerS, drainId }) =>
      chamberId === sump.returnChamberId &&
      flowM3PerS > 0 &&
      design.drains.find(({ id }) => id === drainId)?.end.landing === 'open',
  )
  if (bare) {
    return [
      aboutStop('sump', {
        code: 'bubbles-reach-pump',
        severity: 'watch',
        title: sentence('Drains end beside the pump: bubbles go round'),
        reason: sentence(
          'Nothing parts the water that falls in from the water that is drawn. A sock, a wall or a bubble trap between them lets the air out.',
        ),
        drainId: bare.drainId,
      }),
    ]
  }
  const traps = gather(cases, (one) => (one.solved.trap ? [{ one, trap: one.solved.trap }] : []))
  const best = traps.reduce<(typeof traps)[number] | null>(
    (least, next) => (!least || next.trap.downMPerS < least.trap.downMPerS ? next : least),
    null,
  )
  if (!best) return []
  const { largestBubbleM, downMPerS } = best.trap
  if (largestBubbleM !== null && largestBubbleM <= SEEN_BUBBLE_M) return []
  return [
    about(best.one, {
      code: 'bubbles-reach-pump',
      severity: 'watch',
      title:
        largestBubbleM === null
          ? sentence('All bubbles go down the trap')
          : sentence('Bubbles up to {size} go down the trap', { size: ['length', largestBubbleM] }),
      reason: sentence(
        'Water goes down it at {speed}: what rises slower goes along to the pump. A wider gap slows it.',
        { speed: ['speed', downMPerS] },
      ),
    }),
  ]
}

function water(one: ChamberCase): Finding[] {
  const { solved, chamber } = one
  if (solved.starved) {
    return [
      about(one, {
        code: 'chamber-starved',
        severity: 'stop',
        title: sentence(`${chamber.name} runs dry`),
        reason: sentence('More is drawn from it than comes in, and its wall lets nothing back.'),
      }),
    ]
  }
  if (!solved.spills) return []
  return [
    about(one, {
      code: 'chamber-runs-over',
      severity: 'stop',
      title: sentence(`${chamber.name} runs over the sump’s rim`),
      reason:
        one.outWall < 0
          ? sentence('It is filled to more than the sump is high.')
          : sentence('{flow} comes in, and its wall does not let that on below the rim.', {
              flow: ['flow', solved.throughM3PerS],
            }),
    }),
  ]
}

function wallOf({ solving, outWall }: ChamberCase): SumpWall | undefined {
  return solving.design.sump.walls[outWall]
}

/** Raised this far over the next water, a wall runs free (choice). */
const CLEAR_M = 0.01

function drowned(one: ChamberCase): Finding[] {
  const { chamber, solving, index, outWall, box } = one
  const wall = wallOf(one)
  if (!wall || (wall.kind !== 'over' && wall.kind !== 'comb')) return []
  const next = solving.sump.chambers[index < solving.steady.returnIndex ? index + 1 : index - 1]!
  const overM = next.depthM! - crestM(wall)
  if (overM <= 0) return []
  const topM = Math.min(box.heightM, wall.topM + overM + CLEAR_M)
  return [
    about(one, {
      code: 'wall-below-next',
      severity: 'watch',
      title: sentence(`The wall of ${chamber.name} stands {deep} under the next water`, {
        deep: ['length', overM],
      }),
      reason: sentence(
        'It holds no level of its own: the two chambers rise and fall together, and the next one’s evaporation moves both.',
      ),
      fixes: () => [
        {
          label: sentence('Make the wall {top} high', { top: ['length', topM] }),
          brings: sentence('Lets the water fall freely into the next chamber.'),
          edits: [{ op: 'set', path: ['sump', 'walls', outWall, 'topM'], to: topM }],
        },
      ],
    }),
  ]
}

function skimmer(one: ChamberCase): Finding[] {
  const { chamber, solved } = one
  const wants = chamber.wantsDepth
  if (!wants || solved.depthM === null) return []
  const shallow = solved.depthM < wants.leastM
  if (!shallow && solved.depthM <= wants.mostM) return []
  return [
    about(one, {
      code: 'skimmer-depth',
      severity: 'watch',
      title: sentence(
        shallow
          ? `${chamber.name} stands too shallow: {depth}`
          : `${chamber.name} stands too deep: {depth}`,
        { depth: ['length', solved.depthM] },
      ),
      reason: (fixes) =>
        sentence(
          `The skimmer in it works in {least} to {most} of water.${fixes.length > 0 ? '' : NEXT_HOLDS}`,
          { least: ['length', wants.leastM], most: ['length', wants.mostM] },
        ),
      fixes: () => skimmerFix(one, wants),
    }),
  ]
}

const NEXT_HOLDS = ' The next chambers hold it there: set their walls first.'

/** Its wall set so that the water stands in the middle of what the skimmer wants, where that works. */
function skimmerFix(
  one: ChamberCase,
  wants: NonNullable<SumpChamber['wantsDepth']>,
): readonly Fix[] {
  const set = wallForDepth(one.solving, one.index, (wants.leastM + wants.mostM) / 2)
  if (!set || set.depthM < wants.leastM || set.depthM > wants.mostM) return []
  return [
    {
      label: sentence('Make its wall {top} high', { top: ['length', set.topM] }),
      brings: sentence('Brings the water to {depth}.', { depth: ['length', set.depthM] }),
      edits: set.edits,
    },
  ]
}

function tooShort(one: ChamberCase): Finding[] {
  const { chamber, solved } = one
  if (chamber.use === 'trap' || solved.lengthM === null || solved.lengthM >= HAND_M) return []
  return [
    about(one, {
      code: 'chamber-too-short',
      severity: 'watch',
      title: sentence(`${chamber.name} is too short for a hand`),
      reason: sentence('It is {length} long. Leave {least} to reach in and to take things out.', {
        length: ['length', solved.lengthM],
        least: ['length', HAND_M],
      }),
    }),
  ]
}

/** A lit refugium grows weed on whatever its light reaches. */
function light(one: ChamberCase): Finding[] {
  const { chamber, solving, index } = one
  if (chamber.use !== 'refugium') return []
  const { walls } = solving.design.sump
  const clear = [index - 1, index].filter((at) => walls[at] && !walls[at].opaque)
  if (clear.length === 0) return []
  return [
    about(one, {
      code: 'light-leaks',
      severity: 'watch',
      title: sentence(`Light of ${chamber.name} reaches the next chambers`),
      reason: sentence(
        'Weed grows where light falls: on the skimmer, the pump and the walls. An opaque wall or a screen keeps it in.',
      ),
      fixes: () => [
        {
          label: sentence('Make its walls opaque'),
          brings: sentence('Keeps the light in the refugium.'),
          edits: clear.map((at) => ({
            op: 'set' as const,
            path: ['sump', 'walls', at, 'opaque'],
            to: true,
          })),
        },
      ],
    }),
  ]
}
