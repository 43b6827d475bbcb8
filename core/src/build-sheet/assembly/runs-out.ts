import { type BasinDesign, byId, surfaceM } from '../../design/index.ts'
import { boreAreaM2, boreOf } from '../../pipe/index.ts'
import { plumbingOf } from '../plumbing.ts'
import { acrossOf, type JointGraph, type Link, type BuiltPart } from './graph.ts'
import { canBeShut } from './things.ts'

/** Which valves to shut first, and what runs out all the same. */
export interface RunsOut {
  readonly shut: readonly BuiltPart[]
  /** Of the pipes: what stands over the lowest joint that is opened, up to the valves, m³. */
  readonly pipesM3: number
  /** Of the boxes whose bulkheads are undone: what stands in them when the pumps rest, m³. */
  readonly boxesM3: number
  /** No valve keeps a tank from running back by its mouth: tanks that do. */
  readonly tankIds: readonly string[]
}

/** Shuts the valves nearest to the joints, on the side that is left standing and on the one that goes. */
export function runsOutOf(
  design: BasinDesign,
  graph: JointGraph,
  { undo, goes }: { readonly undo: readonly Link[]; readonly goes: ReadonlySet<number> },
): RunsOut {
  const { routes } = plumbingOf(design)
  const lines = new Map(design.returnSide.lines.map((line) => [line.id, line]))
  const ofLines = undo.filter(({ ends }) => lines.has(graph.parts[ends[0]]!.routeId))
  const openM = Math.min(...ofLines.map(({ at }) => at.zM))
  const { wet, shut } = upToValves(graph, ofLines, goes)
  const tankIds = new Set<string>()
  let pipesM3 = 0
  for (const { routeId, segmentId } of wet) {
    if (segmentId === null) continue
    const route = routes.find(({ id }) => id === routeId)!
    const i = route.segments.findIndex(({ id }) => id === segmentId)
    const { size, lengthM } = route.segments[i]!
    const heights = [route.bodies[i]!.at.zM, route.bodies[i + 1]!.at.zM]
    const share = shareOver(openM, Math.min(...heights), Math.max(...heights))
    pipesM3 += share * lengthM * boreAreaM2(boreOf(size).boreM)
    const end = lines.get(routeId)?.end
    const isLast = i === route.segments.length - 1
    if (isLast && end?.at === 'tank' && isUnderWater(design, end.id!, route.bodies.at(-1)!.at.zM))
      tankIds.add(end.id!)
  }
  return { shut, pipesM3, boxesM3: boxesM3(design, graph, undo), tankIds: [...tankIds] }
}

/** A mouth under its tank's water lets the tank run back until air comes in. */
function isUnderWater({ tanks }: BasinDesign, tankId: string, mouthM: number): boolean {
  return mouthM < surfaceM(byId(tanks, tankId, 'tank'))
}

/** How much of an upright or level pipe stands over a height. */
function shareOver(openM: number, fromM: number, toM: number): number {
  // A level pipe at the joint runs out of it too.
  if (fromM >= openM) return 1
  if (toM <= openM) return 0
  return (toM - openM) / (toM - fromM)
}

/** From the opened joints both ways, as far as valves that can be shut. */
function upToValves(
  { parts, linksAt }: JointGraph,
  joints: readonly Link[],
  goes: ReadonlySet<number>,
) {
  const found = new Set(joints.flatMap(({ ends }) => ends))
  const opened = new Set(joints)
  const shut = new Set<number>()
  for (const at of found) {
    // A valve that is taken out itself holds nothing back.
    if (canBeShut(parts[at]!) && !goes.has(at)) {
      shut.add(at)
      continue
    }
    for (const link of linksAt[at]!) if (!opened.has(link)) found.add(acrossOf(link, at))
  }
  return {
    wet: [...found].map((at) => parts[at]!),
    shut: [...shut].map((at) => parts[at]!),
  }
}

/** A box whose bulkhead is undone holds water up to its lowest lip when the pumps rest. */
function boxesM3(
  { tanks, drains }: BasinDesign,
  { parts }: JointGraph,
  undo: readonly Link[],
): number {
  const opened = new Set(
    undo
      .flatMap(({ ends }) => ends.filter((at) => parts[at]!.isPanel))
      .map((at) => parts[at]!.routeId),
  )
  return tanks.reduce((sum, { id, floorHeightM, overflow }) => {
    const box = overflow?.box
    const own = drains.filter(({ tankId }) => tankId === id)
    if (!box || !own.some((drain) => opened.has(drain.id))) return sum
    const lipM = Math.min(...own.map(({ inlet }) => inlet.place.zM))
    const deepM = Math.max(0, lipM - floorHeightM - box.floorM)
    return sum + deepM * box.lengthM * box.widthM
  }, 0)
}
