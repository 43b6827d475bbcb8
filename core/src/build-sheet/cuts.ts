import { type BuildPlan, USUAL_BUILD } from '../design/index.ts'
import {
  type CutLength,
  cutLength,
  hoseCutM,
  type OwnTakeOff,
  systemOf,
  takeOffOf,
} from '../fitting/index.ts'
import { boreOf, type PipeSize } from '../pipe/index.ts'
import { nest, type Nesting } from './nesting.ts'
import { isHome, spigotSpanM } from './route/spigot.ts'
import { type BuiltRun, type Span, TAKE_OFF_OF } from './route/body.ts'

/** A piece of pipe or hose to cut. */
export interface Cut extends CutLength {
  /** A1, A2 …: a letter a run, a number in the order of the water. */
  readonly mark: string
  readonly routeId: string
  readonly segmentId: string
  readonly kind: 'pipe' | 'hose'
  readonly size: PipeSize
  readonly centreToCentreM: number
  /** Of the fittings at both ends, m; zero for hose. */
  readonly zM: readonly [number, number]
  /** Bodies at both ends. */
  readonly between: readonly [string, string]
  readonly pieceIds: readonly string[]
  /** Cut so many times of equal length, with a coupling between each: longer than the stock is. */
  readonly parts: number
}

/** Cuts of one size and the stocks they come out of. */
export interface CutPlan {
  readonly size: PipeSize
  readonly kind: 'pipe' | 'hose'
  readonly totalM: number
  /** null: hose, sold by the metre. */
  readonly nesting: Nesting | null
  /** The pieces by their marks, in the order that the nesting counts them, and how long each is, m. */
  readonly marks: readonly string[]
  readonly lengthsM: readonly number[]
}

/** A, B … Z, AA, AB …: a run's letter. */
function letterOf(index: number): string {
  const rest = Math.floor(index / 26)
  return (rest > 0 ? letterOf(rest - 1) : '') + String.fromCharCode(65 + (index % 26))
}

/** Stock length of a rigid size, m. */
function stockOf(size: PipeSize, plan: BuildPlan): number {
  return systemOf(size) === 'inch' ? plan.inchStockM : plan.metricStockM
}

/** Every piece to cut of routes that have room for their fittings; what has no length is none. */
export function cutsOf(routes: readonly BuiltRun[], plan: BuildPlan | null): Cut[] {
  return routes.flatMap((route, index) => {
    const letter = letterOf(index)
    return route.segments
      .map((segment, i) => ({ segment, i }))
      .filter(({ segment, i }) => !isNothing(route, segment, i) && !isSpigotHome(route, i, plan))
      .map(({ i }, n) => cutOf(route, i, `${letter}${n + 1}`, plan ?? USUAL_BUILD))
  })
}

/** An open end right at a fitting: nothing stands between. */
function isNothing({ bodies }: BuiltRun, { lengthM }: Span, i: number): boolean {
  const isOpen = bodies[i]!.kind === 'open-end' || bodies[i + 1]!.kind === 'open-end'
  return isOpen && lengthM === 0
}

/** A spigot that is home in its socket: no pipe is between. */
function isSpigotHome(route: BuiltRun, i: number, plan: BuildPlan | null): boolean {
  const spanM = spigotSpanM(route, i, plan?.takeOffs ?? [])
  return spanM !== null && isHome(spanM, route.segments[i]!.lengthM)
}

function cutOf(route: BuiltRun, i: number, mark: string, plan: BuildPlan): Cut {
  const segment = route.segments[i]!
  const [from, to] = [route.bodies[i]!, route.bodies[i + 1]!]
  const common = {
    mark,
    routeId: route.id,
    segmentId: segment.id,
    kind: segment.kind,
    size: segment.size,
    centreToCentreM: segment.lengthM,
    between: [from.id, to.id],
    pieceIds: segment.pieceIds,
  } as const
  if (segment.kind === 'hose') {
    const barbs = [from, to].filter(({ kind }) => kind !== 'open-end').length
    const cutM = hoseCutM(segment.lengthM, boreOf(segment.size).boreM, barbs)
    return { ...common, zM: [0, 0], cutM, leastM: 0, verdict: 'fine', parts: 1 }
  }
  const spanM = spigotSpanM(route, i, plan.takeOffs)
  if (spanM !== null) {
    const offM = segment.lengthM - spanM
    return { ...common, zM: [0, 0], cutM: offM, leastM: 0, verdict: 'spigot-off', parts: 1 }
  }
  const takeOffs = endsOf(route, i, plan.takeOffs)
  const length = cutLength(segment.lengthM, ...takeOffs)
  return {
    ...common,
    ...length,
    zM: [takeOffs[0].zM, takeOffs[1].zM],
    parts: partsOf(length.cutM, segment.size, plan),
  }
}

function endsOf(route: BuiltRun, i: number, own: readonly OwnTakeOff[]) {
  const { size } = route.segments[i]!
  const of = (body: number) => takeOffOf(TAKE_OFF_OF[route.bodies[body]!.kind], size, own)
  return [of(i), of(i + 1)] as const
}

/** Longer than its stock it is put together, each coupling leaving its gap between. */
function partsOf(cutM: number, size: PipeSize, plan: BuildPlan): number {
  return Math.max(1, Math.ceil(cutM / stockOf(size, plan) - 1e-9))
}

/** Length of each part of a cut, m. */
function partM({ cutM, parts, size }: Cut, plan: BuildPlan): number {
  if (parts === 1) return cutM
  const gapM = 2 * takeOffOf('coupling', size, plan.takeOffs).zM
  return (cutM - (parts - 1) * gapM) / parts
}

/** Cuts by size, each nested into its stocks. */
export function cutPlans(cuts: readonly Cut[], given: BuildPlan | null): CutPlan[] {
  const plan = given ?? USUAL_BUILD
  const groups = new Map<string, Cut[]>()
  for (const cut of cuts) {
    if (cut.cutM <= 0 || cut.verdict === 'spigot-off') continue
    const key = `${cut.kind} ${cut.size.series} ${cut.size.size}`
    groups.set(key, [...(groups.get(key) ?? []), cut])
  }
  return [...groups.values()].map((group) => {
    const { size, kind } = group[0]!
    const parts = group.flatMap((cut) =>
      Array.from({ length: cut.parts }, (_, i) => ({
        mark: cut.parts > 1 ? `${cut.mark}.${i + 1}` : cut.mark,
        cutM: partM(cut, plan),
      })),
    )
    const lengths = parts.map(({ cutM }) => cutM)
    return {
      size,
      kind,
      totalM: lengths.reduce((sum, m) => sum + m, 0),
      nesting:
        kind === 'hose'
          ? null
          : nest(lengths, { stockM: stockOf(size, plan), sawCutM: plan.sawCutM }),
      marks: parts.map(({ mark }) => mark),
      lengthsM: lengths,
    }
  })
}

/** Take-offs of every kind and size of fitting that a sheet's pipes go into, as they are usual; for who measures his own. */
export function takeOffsOf({ routes }: { readonly routes: readonly BuiltRun[] }): OwnTakeOff[] {
  const found = new Map<string, OwnTakeOff>()
  for (const { bodies, segments } of routes)
    segments.forEach(({ kind: of, size }, i) => {
      const system = systemOf(size)
      if (of === 'hose' || !system) return
      for (const body of [bodies[i]!, bodies[i + 1]!]) {
        const kind = TAKE_OFF_OF[body.kind]
        if (kind === 'open-end') continue
        found.set(`${kind} ${system} ${size.size}`, {
          kind,
          system,
          size: size.size,
          ...takeOffOf(kind, size),
        })
      }
    })
  return [...found.values()]
}
