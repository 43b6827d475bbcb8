import type { DisplayTank, Hole, Overflow } from '../design/index.ts'
import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import type { SolvedOverflow } from '../judge/index.ts'
import type { Overflowing } from '../loop/index.ts'
import { gather } from '../numeric/index.ts'
import { sentence } from '../quantity/index.ts'
import { flowOver } from '../weir/index.ts'
import { aboutStop, type Finding, type Fix, type Solving } from './finding.ts'

/** Water this thick over a rim skims little and moves the level much (choice). */
const THICK_M = 0.025
/** A lengthened rim runs at this head (choice). */
const GOOD_HEAD_M = 0.018
/** Teeth that are longer than the head by this share stay above the water when a few are shut (choice). */
const TEETH_RESERVE = 0.75

/** One tank with an overflow and everything known of it. */
export interface OverflowCase {
  readonly solving: Solving
  readonly index: number
  readonly tank: DisplayTank
  readonly overflow: Overflow
  readonly laid: Overflowing
  readonly solved: SolvedOverflow
  /** "Lower tank: " where there are several. */
  readonly words: string
}

export function overflowCases(solving: Solving): OverflowCase[] {
  const { design, steady, overflows } = solving
  return gather(design.tanks, (tank, index) => {
    const laid = steady.overflows[index]
    const solved = overflows.find(({ tankId }) => tankId === tank.id)
    if (!laid || !solved || !tank.overflow) return []
    const words = design.tanks.length > 1 ? `${tank.name}: ` : ''
    return [{ solving, index, tank, overflow: tank.overflow, laid, solved, words }]
  })
}

export function overflowFindings(one: OverflowCase): Finding[] {
  return [...rim(one), ...animals(one), ...holes(one), ...prime(one), ...noDrain(one)]
}

function at(one: OverflowCase, ...path: (string | number)[]): (string | number)[] {
  return ['tanks', one.index, 'overflow', ...path]
}

/** The rim so long that the flow runs over it at a head; none where the tank is too small for it. */
function longerRim(one: OverflowCase, headM: number): Fix[] {
  const { overflow, solved, laid, tank } = one
  const lengthM = (overflow.rimLengthM * solved.flowM3PerS) / flowOver(laid.rim, headM)
  const roundedM = Math.ceil(lengthM * 100) / 100
  if (!(roundedM <= 2 * (tank.lengthM + tank.widthM))) return []
  const fix: Fix = {
    label: sentence('Make the rim {length} long', { length: ['length', roundedM] }),
    brings: sentence('Brings the water over it down to about {head}.', {
      head: ['length', headM],
    }),
    edits: [{ op: 'set', path: at(one, 'rimLengthM'), to: roundedM }],
  }
  return [fix]
}

function rim(one: OverflowCase): Finding[] {
  const { solved, overflow, words, tank } = one
  const { overTeethM, headM } = solved
  if (overTeethM !== null && overTeethM > 0) {
    return [
      aboutStop('overflow', {
        code: 'teeth-drowned',
        severity: 'watch',
        title: sentence(`${words}The teeth stand {deep} under water`, {
          deep: ['length', overTeethM],
        }),
        reason: sentence(
          'They drown at {flow}; past that they hold no animal back and no longer skim. {blocked} of the slots count as shut.',
          {
            flow: ['flow', solved.teethDrownM3PerS ?? 0],
            blocked: ['share', overflow.teeth!.blockedShare],
          },
        ),
        tankId: tank.id,
        fixes: () => longerRim(one, overflow.teeth!.heightM * TEETH_RESERVE),
      }),
    ]
  }
  if (headM <= THICK_M) return []
  return [
    aboutStop('overflow', {
      code: 'weir-too-short',
      severity: 'watch',
      title: sentence(`${words}The rim is short: {head} of water over it`, {
        head: ['length', headM],
      }),
      reason: sentence(
        'All of that comes down when the pump stops, and a thick sheet skims little. A longer rim runs thinner.',
      ),
      tankId: tank.id,
      fixes: () => longerRim(one, GOOD_HEAD_M),
    }),
  ]
}

function animals(one: OverflowCase): Finding[] {
  const { solved, overflow, words, tank } = one
  if (solved.keepsIn !== false) return []
  const widthM = Math.floor(overflow.keepsInM! * 0.8 * 1e4) / 1e4
  const { teeth } = overflow
  const fix: Fix[] = teeth
    ? [
        {
          label: sentence('Cut the slots {width} wide', { width: ['length', widthM] }),
          brings: sentence('Keeps animals of {size} in the tank; more slots make up for it.', {
            size: ['length', overflow.keepsInM!],
          }),
          edits: [
            {
              op: 'set',
              path: at(one, 'teeth'),
              to: {
                ...teeth,
                slotWidthM: widthM,
                pitchM: (teeth.pitchM / teeth.slotWidthM) * widthM,
              },
            },
          ],
        },
      ]
    : []
  return [
    aboutStop('overflow', {
      code: 'lets-animals-through',
      severity: 'watch',
      title: sentence(`${words}An animal of {size} fits through`, {
        size: ['length', overflow.keepsInM!],
      }),
      reason: sentence('The smallest opening on the way out is {open}.', {
        open: ['length', solved.leastOpeningM],
      }),
      tankId: tank.id,
      fixes: () => fix,
    }),
  ]
}

/** V/√(gD) that a narrower tube is chosen for. */
const SWEPT_FROUDE = 0.9

function prime(one: OverflowCase): Finding[] {
  const { solved, overflow, words, tank } = one
  const { passage } = overflow
  if (!passage || solved.prime === null || solved.prime === 'stays-primed') return []
  const doubtful = solved.prime === 'doubtful'
  // Fr = Q / (n π/4 D² √(g D)): the bore at which it is swept.
  const each = solved.flowM3PerS / passage.count
  const boreM = (each / (SWEPT_FROUDE * (Math.PI / 4) * Math.sqrt(GRAVITY_M_PER_S2))) ** 0.4
  const roundedM = Math.floor(boreM * 1000) / 1000
  return [
    aboutStop('overflow', {
      code: 'hung-loses-prime',
      severity: doubtful ? 'stop' : 'watch',
      title: sentence(
        doubtful
          ? `${words}The siphon tube gathers air and lets go`
          : `${words}The siphon tube may gather air`,
      ),
      reason: sentence(
        'Water sweeps the air out at V/√(gD) from 0.8; here it is {froude}. When the tube lets go, the pump fills the tank to the floor. No hung box is sure to start again by itself: count on a sensor, not on luck.',
        { froude: ['number', solved.froude ?? 0] },
      ),
      tankId: tank.id,
      fixes: () =>
        roundedM > 0.005
          ? [
              {
                label: sentence('Take tubes of {bore} bore', { bore: ['length', roundedM] }),
                brings: sentence('Sweeps the air out at this flow.'),
                edits: [{ op: 'set', path: at(one, 'passage', 'boreM'), to: roundedM }],
              },
            ]
          : [],
    }),
  ]
}

function noDrain(one: OverflowCase): Finding[] {
  const { overflow, laid, tank, words } = one
  if (!overflow.box || laid.drains.length > 0) return []
  return [
    aboutStop('drains', {
      code: 'box-without-drain',
      severity: 'stop',
      title: sentence(`${words}The box has no drain yet`),
      reason: sentence('Choose how it is drained: all that comes over the rim stays in the box.'),
      tankId: tank.id,
    }),
  ]
}

/** A hole keeps its own width from edges and from other holes (the trade's usual least; ask your glazier). */
const HOLE_WIDTHS = 1

function holes(one: OverflowCase): Finding[] {
  const { overflow, tank, words } = one
  return gather(overflow.holes, (hole, i) => {
    if (hole.glass === 'tempered') return [tempered(one, hole)]
    const others = overflow.holes.slice(i + 1).filter(({ panel }) => panel === hole.panel)
    const leftM = Math.min(toEdgeM(tank, hole), ...others.map((other) => betweenM(hole, other)))
    const leastM = holeM(hole) * HOLE_WIDTHS
    if (leftM >= leastM) return []
    return [
      aboutStop('overflow', {
        code: 'hole-too-near' as const,
        severity: 'watch' as const,
        title: sentence(`${words}Only {left} of glass beside a hole`, { left: ['length', leftM] }),
        reason: sentence(
          'Leave at least {least}, the width of the hole, to an edge and to the next hole. A glazier who drills it has the last word.',
          { least: ['length', leastM] },
        ),
        tankId: tank.id,
      }),
    ]
  })
}

function tempered({ tank, words }: OverflowCase, { panel }: Hole): Finding {
  return aboutStop('overflow', {
    code: 'tempered-panel',
    severity: 'stop',
    title: sentence(`${words}The ${panel} panel is tempered: never drill it`),
    reason: sentence(
      'Tempered glass shatters as a whole when it is drilled. Drill another panel, or hang a siphon box over the rim.',
    ),
    tankId: tank.id,
  })
}

function holeM({ bulkhead }: Hole): number {
  return bulkhead.holeM
}

function toEdgeM(tank: DisplayTank, hole: Hole): number {
  const across = hole.panel === 'left' || hole.panel === 'right' ? tank.widthM : tank.lengthM
  const up = hole.panel === 'floor' ? tank.widthM : tank.heightM
  const middle = Math.min(hole.alongM, across - hole.alongM, hole.upM, up - hole.upM)
  return middle - holeM(hole) / 2
}

function betweenM(a: Hole, b: Hole): number {
  return Math.hypot(a.alongM - b.alongM, a.upM - b.upM) - (holeM(a) + holeM(b)) / 2
}
