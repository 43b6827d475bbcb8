import { type BasinDesign, type BuildPlan, isTeeMet, partOf } from '../../design/index.ts'
import { isHose, type PipeSize, sizeWords } from '../../pipe/index.ts'
import { endWords } from '../adapter.ts'
import { cementM3, siliconeM3 } from '../amounts.ts'
import type { Cut, CutPlan } from '../cuts.ts'
import type { Joint } from '../joint.ts'
import type { Body, BuiltRun } from '../route/body.ts'
import { cutList } from '../sump-walls.ts'
import { outsideOf, socketDepthM } from '../../fitting/index.ts'
import { type ListLine, SHOP_GROUPS, type ShopGroup, sizeKey } from './line.ts'
import { ADAPTER_NAME, BODY_GROUP, BODY_NAME } from './names.ts'
import { type Item, Tally } from './tally.ts'

/** What a sheet has found so far, and the list is made of. */
export interface ListParts {
  readonly routes: readonly BuiltRun[]
  readonly joints: readonly Joint[]
  readonly cuts: readonly Cut[]
  readonly plans: readonly CutPlan[]
}

/** Groups of which a share is bought to spare: what is cheap and easily glued wrong. */
const SPARED: readonly ShopGroup[] = ['adapters', 'fittings']

/** Everything to buy for a design, as a shop is laid out. */
export function shoppingList(design: BasinDesign, parts: ListParts, plan: BuildPlan): ListLine[] {
  const tally = new Tally()
  for (const route of parts.routes) for (const body of route.bodies) addBody(tally, route, body)
  addAdapters(tally, parts)
  for (const cutPlan of parts.plans) addPipe(tally, cutPlan, parts)
  addCouplings(tally, parts)
  addThirdLegs(tally, design, parts.routes)
  addDevices(tally, design)
  addGlue(tally, parts)
  addPanels(tally, design)
  const lines = tally.done().map((line) => withSpare(line, plan))
  return SHOP_GROUPS.flatMap((group) => lines.filter((line) => line.group === group))
}

function withSpare(line: ListLine, { sparesShare }: BuildPlan): ListLine {
  if (SPARED.includes(line.group))
    return { ...line, spare: sparesShare > 0 ? Math.ceil(line.count * sparesShare) : 0 }
  return line
}

const plain = { partId: null, saltSafe: 'yes', note: null } as const

function addBody(tally: Tally, route: BuiltRun, body: Body): void {
  const group = BODY_GROUP[body.kind]
  if (!group) return
  tally.add({ ...bodyItem(body, group), use: route.name, pieceIds: idsOf(body) })
}

const idsOf = ({ pieceId }: Body) => (pieceId ? [pieceId] : [])

function bodyItem(body: Body, group: ShopGroup): Omit<Item, 'use' | 'pieceIds'> {
  const { before, after, kind } = body
  const isOdd = before.kind !== after.kind || sizeKey(before.size) !== sizeKey(after.size)
  const ends = isOdd ? `${endWords(before)} × ${endWords(after)}` : endWords(before)
  const joint = isOdd ? `${before.kind}-${after.kind}` : before.kind
  const name = nameOfBody(body)
  // Things of two parts are asked for apart.
  const ofPart = body.partId === null ? '' : ` ${body.partId}`
  const isMetal = kind === 'check-valve' || kind === 'gate-valve'
  return {
    ...plain,
    key: `${name} ${sizeKey(before.size)}${isOdd ? ` ${sizeKey(after.size)}` : ''} ${joint}${ofPart}`,
    group,
    name: before.kind === 'threaded' && !isOdd ? `threaded ${name}` : name,
    size: ends,
    unit: 'piece',
    partId: body.partId,
    saltSafe: isMetal ? 'ask' : 'yes',
    note: isMetal ? 'no brass, no steel spring or stem: salt eats them' : null,
  }
}

function nameOfBody({ kind, isTrueUnion, before, after }: Body): string {
  if (isTrueUnion) return `true-union ${BODY_NAME[kind]}`
  const isStreet = before.kind === 'spigot' || after.kind === 'spigot'
  return isStreet ? `street ${BODY_NAME[kind]}` : BODY_NAME[kind]
}

/** Each adapter stands between two joints: the one at the pipe is counted. */
function addAdapters(tally: Tally, { joints, routes }: ListParts): void {
  for (const { adapter, adapterAt, pieceIds, routeId } of joints) {
    if (!adapter || adapterAt !== 'pipe') continue
    const name = ADAPTER_NAME[adapter.form]
    tally.add({
      ...plain,
      key: `${name} ${sizeKey(adapter.from.size)} ${sizeKey(adapter.to.size)}`,
      group: 'adapters',
      name,
      size: `${endWords(adapter.from)} × ${endWords(adapter.to)}`,
      unit: 'piece',
      use: nameOf(routes, routeId),
      pieceIds,
    })
  }
}

const nameOf = (routes: readonly BuiltRun[], id: string) =>
  routes.find((route) => route.id === id)?.name ?? ''

function addPipe(tally: Tally, cutPlan: CutPlan, { cuts, routes }: ListParts): void {
  const { size, kind, totalM, nesting } = cutPlan
  const own = cuts.filter((cut) => cut.kind === kind && sizeKey(cut.size) === sizeKey(size))
  for (const [i, cut] of own.entries())
    tally.add({
      ...plain,
      key: `${kind} ${sizeKey(size)}`,
      group: 'pipe',
      name: isHose(size.series) ? 'hose' : 'pipe',
      size: sizeWords(size),
      unit: nesting ? 'stock' : 'metre',
      count: i > 0 ? 0 : nesting ? nesting.stocks.length : totalM,
      pipe: { totalM, stockM: nesting?.stockM ?? null },
      use: nameOf(routes, cut.routeId),
      pieceIds: cut.pieceIds,
    })
}

/** Couplings where stock ends within a piece. */
function addCouplings(tally: Tally, { cuts, routes }: ListParts): void {
  for (const { parts, size, routeId, pieceIds } of cuts)
    if (parts > 1)
      tally.add({
        ...plain,
        key: `coupling ${sizeKey(size)} glued`,
        group: 'fittings',
        name: 'coupling',
        size: sizeWords(size),
        unit: 'piece',
        count: parts - 1,
        use: nameOf(routes, routeId),
        pieceIds,
      })
}

/** A tee that nothing meets has its third leg plugged. */
function addThirdLegs(tally: Tally, design: BasinDesign, routes: readonly BuiltRun[]): void {
  for (const { bodies, name } of routes)
    for (const body of bodies)
      if (body.kind === 'tee' && !isTeeMet(design, body.id))
        tally.add({
          ...plain,
          key: `plug ${sizeKey(body.before.size)}`,
          group: 'fittings',
          name: 'plug',
          size: sizeWords(body.before.size),
          unit: 'piece',
          use: name,
          pieceIds: idsOf(body),
        })
}

function addDevices(tally: Tally, design: BasinDesign): void {
  const { returnSide, sump, tanks } = design
  const device = (key: string, name: string, partId: string | null, use: string) =>
    tally.add({
      ...plain,
      key,
      group: 'devices',
      name,
      size: '',
      unit: 'piece',
      partId,
      use,
      pieceIds: [],
    })
  for (const { pumpId } of returnSide.pumps) {
    const part = partOf(design, pumpId)
    device(`pump ${part.partId ?? part.id}`, part.name, part.partId, 'return pump')
  }
  for (const { part, name } of sump.devices) device(`device ${part.id}`, part.name, part.id, name)
  for (const tank of tanks)
    for (const { part, name } of tank.scene.pumps)
      device(`circulation ${part.id}`, part.name, part.id, `${name}, ${tank.name}`)
}

/** One wrap of tape or a bead of sealant: joints; cement by its volume, clamps by hose. */
function addGlue(tally: Tally, { joints, routes }: ListParts): void {
  const sizes = new Map(
    routes.flatMap(({ segments }) => segments.map(({ id, size }) => [id, size] as const)),
  )
  let cement = 0
  for (const joint of joints) {
    const size = joint.segmentId === null ? null : sizes.get(joint.segmentId)!
    const use = nameOf(routes, joint.routeId)
    if (joint.kind === 'glued' && size && !isHose(size.series)) cement += jointCementM3(size)
    if (joint.kind === 'threaded')
      tally.add({
        ...plain,
        key: 'thread sealant',
        group: 'glue',
        name: 'thread seal, joints',
        size: '',
        unit: 'piece',
        use,
        pieceIds: joint.pieceIds,
      })
    if (joint.kind === 'barb' && size && isHose(size.series))
      tally.add({
        ...plain,
        key: `clamp ${sizeKey(size)}`,
        group: 'glue',
        name: 'hose clamp',
        size: sizeWords(size),
        unit: 'piece',
        use,
        pieceIds: joint.pieceIds,
        saltSafe: 'ask',
        note: 'plastic, or steel that stands salt water',
      })
  }
  if (cement > 0)
    tally.add({
      ...plain,
      key: 'cement',
      group: 'glue',
      name: 'solvent cement, and primer or cleaner as its tin says',
      size: '',
      unit: 'glue',
      count: cement,
      use: 'glued joints',
      pieceIds: [],
    })
}

function jointCementM3(size: PipeSize): number {
  return cementM3(outsideOf(size), socketDepthM(size))
}

/** The sump's walls, and what seals them: along both sides and the floor, both faces of each. */
function addPanels(tally: Tally, { sump }: BasinDesign): void {
  if (sump.box?.make !== 'self-built') return
  let silicone = 0
  for (const panel of cutList(sump)) {
    const panelM = [panel.widthM, panel.heightM, panel.thicknessM] as const
    tally.add({
      ...plain,
      key: `panel ${panelM.map(mm).join(' × ')}`,
      group: 'panels',
      name: 'panel',
      size: '',
      panelM,
      unit: 'piece',
      use: `wall ${panel.number} of the sump`,
      pieceIds: [],
    })
    const seamM = 2 * panel.heightM + (panel.footM > 0 ? 0 : panel.widthM)
    silicone += siliconeM3({ lengthM: seamM, panelM: panel.thicknessM, gapM: sump.gapM, sides: 2 })
  }
  if (silicone > 0)
    tally.add({
      ...plain,
      key: 'silicone',
      group: 'glue',
      name: 'silicone for aquariums',
      size: '',
      unit: 'glue',
      count: silicone,
      use: 'walls of the sump',
      pieceIds: [],
    })
}

const mm = (m: number) => String(Math.round(m * 10_000) / 10)
