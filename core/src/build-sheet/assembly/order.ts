import { type BasinDesign, byId, USUAL_BUILD } from '../../design/index.ts'
import { takeOutOf } from '../../figures/index.ts'
import { memoize } from '../../numeric/index.ts'
import { type Sentence, sentence } from '../../quantity/index.ts'
import { FOR_GOOD, isHeld, jointGraph } from './graph.ts'
import { type DrilledSheet, drilledSheets } from '../holes.ts'
import { plumbingOf } from '../plumbing.ts'
import { type JointToUndo, jointToUndo } from './apart-rows.ts'
import { type Before, putInOrder } from './in-order.ts'
import { laidFirst } from './laid-first.ts'
import { closingsOf, reachRules } from './reach-rules.ts'
import { type BuildStep, type StepKind, type StepParts, stepsOf, tankOfRoute } from './steps.ts'
import { type Pieces, type SubAssembly, subAssemblies } from './sub-assemblies.ts'

/** Why one step comes before another, and how long is waited between. */
interface Why {
  readonly reason: Sentence
  readonly waitH: number
}

/** A step in its place. */
export interface OrderedStep extends BuildStep {
  /** From 1. */
  readonly number: number
  /** Steps that must be done before it, by their numbers, each with its reason; the longest wait first, then the latest. */
  readonly after: readonly (Why & { readonly number: number })[]
  /** Hours from the beginning before which it can't begin: what was glued or sealed needs them. */
  readonly fromH: number
  /** Joints that were made and that no tool gets to once it is done. */
  readonly shutsOff: readonly JointToUndo[]
}

/** The order of building; steps that wait for each other are named, not ordered. */
export interface AssemblyOrder {
  readonly steps: readonly OrderedStep[]
  readonly stuck: readonly BuildStep[]
  /** What they wait for. */
  readonly stuckBy: readonly Sentence[]
  /** Joints that no tool gets to when they are made. */
  readonly outOfReach: readonly string[]
}

/** Cement before water, and before pressure, h; silicone before water (typical: the tin's own label rules). */
const WATER_H = 24
const PRESSURE_H = 48
const SILICONE_H = 72

/** The bench first, then what is set and lifted, then what is joined where it stands. */
const RANK: Readonly<Record<StepKind, number>> = {
  drill: 0,
  seal: 1,
  saw: 2,
  screw: 3,
  glue: 4,
  bulkhead: 6,
  lift: 7,
  place: 8,
  join: 9,
  'leak-test': 10,
  start: 11,
}
/** What is glued where it stands comes once the bench is done. */
const IN_PLACE_RANK = 8.5

/** Everything that is done between the list and water, in an order that breaks no rule, each with its reasons; made once. */
export const assemblyOrder = memoize((design: BasinDesign): AssemblyOrder => {
  const { routes, cuts } = plumbingOf(design)
  const parts = { cuts, holes: drilledSheets(design, routes) }
  const steps = stepsOf(design, parts)
  const byId = new Map(steps.map((each) => [each.id, each]))
  const rules = constraintsOf(design, steps, parts)
  const { order, stuck } = putInOrder([...byId.keys()], rules, (id) => rankOf(byId.get(id)!))
  const numbered = order.map((id, i) => ({ ...byId.get(id)!, number: i + 1 }))
  const closings = closingsOf(design, numbered)
  const isStuck = new Set(stuck)
  return {
    steps: withReasons(numbered, rules).map((step) => ({
      ...step,
      shutsOff: closings
        .filter(({ madeAt, shutAt }) => shutAt === step.number && madeAt < shutAt)
        .map(({ reach }) => jointToUndo(design, reach.link)),
    })),
    stuck: stuck.map((id) => byId.get(id)!),
    stuckBy: rules
      .filter(({ first, next }) => isStuck.has(first) && isStuck.has(next))
      .map(({ why }) => why.reason),
    outOfReach: closings
      .filter(({ madeAt, shutAt }) => shutAt !== null && shutAt <= madeAt)
      .map(({ reach }) => reach.link.id),
  }
})

/** Steps with the rules that they come after, and the hours that those make them wait. */
function withReasons(
  numbered: readonly (BuildStep & { readonly number: number })[],
  rules: readonly Before<Why>[],
): Omit<OrderedStep, 'shutsOff'>[] {
  const numbers = new Map(numbered.map(({ id, number }) => [id, number]))
  const ofNext = new Map<string, Before<Why>[]>()
  for (const rule of rules)
    if (numbers.has(rule.first)) ofNext.set(rule.next, [...(ofNext.get(rule.next) ?? []), rule])
  const fromH = new Map<string, number>()
  return numbered.map((step) => {
    const own = ofNext.get(step.id) ?? []
    const from = Math.max(0, ...own.map(({ first, why }) => fromH.get(first)! + why.waitH))
    fromH.set(step.id, from)
    const after = own
      .map(({ first, why }) => ({ ...why, number: numbers.get(first)! }))
      .sort((a, b) => b.waitH - a.waitH || b.number - a.number)
    return { ...step, after, fromH: from }
  })
}

function rankOf({ kind, inPlace }: BuildStep): number {
  return inPlace && (kind === 'glue' || kind === 'screw') ? IN_PLACE_RANK : RANK[kind]
}

/** Rules, each of which names a reason; of steps that are there. */
function constraintsOf(
  design: BasinDesign,
  steps: readonly BuildStep[],
  { holes }: StepParts,
): Before<Why>[] {
  const there = new Set(steps.map(({ id }) => id))
  // Of two reasons for one thing the longer wait counts.
  const found = new Map<string, Before<Why>>()
  const rule = (first: string, next: string, reason: Sentence, waitH = 0) => {
    if (!there.has(first) || !there.has(next)) return
    const known = found.get(`${first}\n${next}`)
    if (!known || known.why.waitH < waitH)
      found.set(`${first}\n${next}`, { first, next, why: { reason, waitH } })
  }
  const pieces = subAssemblies(design)
  for (const piece of pieces.all) ofPiece(design, piece, rule)
  ofBulkheads(design, holes, rule)
  ofSump(design, rule)
  ofLaidFirst(design, rule)
  ofJoins(design, pieces, rule)
  const wet = steps.filter(({ kind }) => kind === 'join' || kind === 'place' || kind === 'lift')
  for (const { id } of wet) rule(id, 'leak-test', BEFORE_WATER)
  for (const { id, kind } of steps) {
    if (kind === 'glue') rule(id, 'leak-test', CURE_WATER, WATER_H)
    if (kind === 'glue') rule(id, 'start', CURE_PRESSURE, PRESSURE_H)
    if (kind === 'bulkhead' || kind === 'screw') rule(id, 'leak-test', BEFORE_WATER)
    if (kind === 'seal') rule(id, 'leak-test', CURE_SILICONE, SILICONE_H)
    if (kind === 'saw' || kind === 'drill') rule(id, 'leak-test', BEFORE_WATER)
  }
  rule(
    'leak-test',
    'start',
    sentence('What leaks is found while the water is fresh and stands still.'),
  )
  const reach = sentence('A tool gets to it only before this is in the way.')
  for (const { first, next } of reachRules(design, [...found.values()], there))
    rule(first, next, reach)
  return [...found.values()]
}

type Rule = (first: string, next: string, reason: Sentence, waitH?: number) => void

const BEFORE_WATER = sentence('Water comes when all of it is made.')
const CURE_WATER = sentence('Cement wants a day before water; its tin’s own label rules.')
const CURE_PRESSURE = sentence('Cement wants two days before pressure; its tin’s own label rules.')
const CURE_SILICONE = sentence(
  'Silicone wants three days before water; its tube’s own label rules.',
)

/** Sawn first, then screwed, then glued; what is glued to a bulkhead or a clip, where it stands. */
function ofPiece(design: BasinDesign, { id, parts }: SubAssembly, rule: Rule): void {
  const graph = jointGraph(design)
  const [screw, glue] = [`screw ${id}`, `glue ${id}`]
  rule(
    screw,
    glue,
    sentence('Threads are tight before anything near them is glued: nothing turns after it.'),
  )
  for (const routeId of new Set(parts.map((at) => graph.parts[at]!.routeId))) {
    const sawn = sentence('Its lengths are sawn first.')
    for (const next of [screw, glue, `take ${routeId}`]) rule(`saw ${routeId}`, next, sawn)
  }
  for (const at of parts) {
    const part = graph.parts[at]!
    const { id: partId, routeId, body } = part
    if (body?.kind === 'pump')
      for (const first of [screw, glue])
        rule(first, `place ${partId}`, sentence('It is put together with the pump on the bench.'))
    if (isHeld(part)) {
      const tank = tankOfRoute(design, routeId)
      if (tank)
        rule(
          `lift ${tank.id}`,
          glue,
          sentence('Pipe under its floor would be in the way while it is lifted.'),
        )
    }
  }
}

/** Holes first; before the tank is lifted or after, as the keeper chose. */
function ofBulkheads(design: BasinDesign, holes: readonly DrilledSheet[], rule: Rule): void {
  const graph = jointGraph(design)
  const later = new Set((design.build ?? USUAL_BUILD).bulkheadsAfter)
  for (const link of graph.links.filter(({ kind }) => kind === 'gasket')) {
    const own = `bulkhead ${link.id}`
    const at = link.ends.find((end) => graph.parts[end]!.body !== null)!
    const piece = subAssemblies(design).of[at]!
    for (const next of [`glue ${piece.id}`, `screw ${piece.id}`]) rule(own, next, SITS_FIRST)
    const tank = tankOfRoute(design, graph.parts[at]!.routeId)
    if (!tank) continue
    for (const { id, tankId } of holes)
      if (tankId === tank.id) rule(`drill ${id}`, own, IN_ITS_HOLE)
    if (later.has(tank.id)) rule(`lift ${tank.id}`, own, IN_THE_WAY)
    else rule(own, `lift ${tank.id}`, NO_HAND_UNDER)
  }
  for (const { id, tankId } of holes) rule(`drill ${id}`, `lift ${tankId}`, DRILLED_LYING)
}

const SITS_FIRST = sentence(
  'A bulkhead sits tight first: with pipe glued to it, it can’t be turned.',
)
const IN_ITS_HOLE = sentence('A bulkhead sits in its hole.')
const IN_THE_WAY = sentence('A bulkhead in the way can crack the floor as the tank is set down.')
const NO_HAND_UNDER = sentence('No hand gets under its floor once the tank stands.')
const DRILLED_LYING = sentence('Glass is drilled lying, with a hand on both sides of it.')

/** What a tank would be in the way of is laid in its place before it is lifted. */
function ofLaidFirst(design: BasinDesign, rule: Rule): void {
  for (const { piece, tankId, isInSump } of laidFirst(design)) {
    const own = `lay ${piece.id}`
    const made = sentence('It is made first.')
    for (const first of [`screw ${piece.id}`, `glue ${piece.id}`]) rule(first, own, made)
    if (isInSump) rule('place sump', own, sentence('Its end hangs in the sump.'))
    rule(
      own,
      `lift ${tankId}`,
      sentence(
        'It goes in neither straight nor lifted and drawn aside once {tank} stands over it.',
        { tank: byId(design.tanks, tankId, 'tank').name },
      ),
    )
  }
}

/** The sump goes in while there is a way for it; what stands in it follows. */
function ofSump(design: BasinDesign, rule: Rule): void {
  const out = takeOutOf(design)
  const isShut = out !== null && (out.way === null || out.way.doorIds.length > 1)
  rule('seal sump', 'place sump', sentence('Its walls are sealed where the light is good.'))
  const overIt = new Set(laidFirst(design).flatMap((laid) => (laid.isInSump ? [laid.tankId] : [])))
  for (const { id } of design.tanks) {
    if (overIt.has(id))
      rule('place sump', `lift ${id}`, sentence('What hangs in it goes in before the tank stands.'))
    else if (isShut)
      rule(
        'place sump',
        `lift ${id}`,
        sentence('No door lets it in once the tank stands on its cabinet.'),
      )
    else
      rule(
        `lift ${id}`,
        'place sump',
        sentence('The tank is lifted over an empty cabinet; the sump goes in by the door.'),
      )
  }
  for (const { id, chamberId } of design.sump.devices)
    if (chamberId !== null)
      rule('place sump', `place device ${id}`, sentence('It stands in the sump or beside it.'))
  for (const { id } of design.returnSide.pumps)
    rule('place sump', `place pump ${id}`, sentence('It stands in the sump or beside it.'))
}

/** Two pieces are joined when both are made, and what they hang on stands. */
function ofJoins(design: BasinDesign, pieces: Pieces, rule: Rule): void {
  const graph = jointGraph(design)
  const made = sentence('Both its sides are made first.')
  const stands = sentence('What it hangs on stands first.')
  for (const link of graph.links) {
    if (FOR_GOOD.has(link.kind)) continue
    const own = `join ${link.id}`
    for (const at of link.ends) {
      const piece = pieces.of[at]
      if (piece) rule(`lay ${piece.id}`, own, stands)
      if (piece) for (const kind of ['screw', 'glue']) rule(`${kind} ${piece.id}`, own, made)
      rule(`take ${graph.parts[at]!.routeId}`, own, made)
      for (const part of piece?.parts ?? []) {
        const { id, body } = graph.parts[part]!
        if (body?.kind === 'pump') rule(`place ${id}`, own, stands)
        if (body?.kind === 'bulkhead')
          for (const other of graph.linksAt[part]!)
            if (other.kind === 'gasket') rule(`bulkhead ${other.id}`, own, stands)
      }
    }
    for (const end of link.ends) {
      const tank = tankOfRoute(design, graph.parts[end]!.routeId)
      if (tank)
        rule(`lift ${tank.id}`, own, sentence('The tank stands before its pipes are joined.'))
    }
    rule('place sump', own, stands)
  }
}
