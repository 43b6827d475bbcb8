import { type BasinDesign, type DrainRole, type Edit, isJoined, setTo } from '../../design/index.ts'
import {
  DRAIN_SCHOOLS,
  type DrainSchool,
  entryOf,
  laidAnew,
  newDrains,
  oneMoreDrain,
  RIGID,
  valveAtMatch,
} from '../../editing/index.ts'
import { joinedMatch } from '../../figures/index.ts'
import { type DrainCase, drainCases, GOOD_HEAD_M, type OverflowCase } from '../../finding/index.ts'
import { nextSizeDown, nextSizeUp, sizeWords, type PipeSeries, isHose } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Change } from './change.ts'
import { longerRim, widerPassages } from './overflow.ts'

/** A lowered lip stays so far over the running water, m (choice). */
const LIP_OVER_WATER_M = 0.012
/** and this much lower than its open mouth needs (choice). */
const LIP_SPARE_M = 0.005
/** A lip moved by less is where it was; an upright cut shorter is none. */
const LEAST_MOVE_M = 0.002
const LEAST_UPRIGHT_M = 0.05

/** All that may help a tank's water down, the least work first. */
export function wayDownLevers(box: OverflowCase): Change[] {
  const drains = drainCases(box)
  return [
    ...tunedSiphons(box),
    ...drains.flatMap(lowerLip),
    ...longerRim(box, GOOD_HEAD_M),
    ...widerPassages(box),
    ...drains.flatMap(otherSize),
    ...drains.flatMap((drain) => layAnew(drain)),
    ...oneMore(box, drains),
    ...schoolsAnew(box, drains),
  ]
}

/** Every siphon's valve at what matches the flow; those that join are set alike, once. */
export function tunedSiphons(box: OverflowCase): Change[] {
  const told = new Set<string>()
  return drainCases(box).flatMap((drainCase): Change[] => {
    const [change] = tunedValve(drainCase)
    const key = JSON.stringify(change?.edits)
    if (!change || told.has(key)) return []
    told.add(key)
    return [change]
  })
}

/** One siphon's valve at what matches; one that joins another, with that. */
export function tunedValve({ box, drain, index, solved }: DrainCase): Change[] {
  if (drain.role !== 'siphon') return []
  const { steady, drains } = box.whole
  const edits = valveAtMatch(steady, drains, index)
  const match = solved.match ?? joinedMatch(steady, index)
  if (edits.length === 0 || !match || match.opening === null) return []
  const open = ['share', match.opening] as const
  return [
    {
      label: solved.match
        ? sentence('Set its valve {open} open', { open })
        : sentence('Set the valves of the joined siphons {open} open', { open }),
      edits,
    },
  ]
}

/** A pipe a size wider or narrower; a trickle takes what is left and gains nothing by it. */
function otherSize({ drain, index }: DrainCase): Change[] {
  if (drain.role === 'trickle') return []
  const sizes = [
    nextSizeUp(drain.run.size),
    drain.role === 'siphon' ? nextSizeDown(drain.run.size) : null,
  ]
  return sizes.flatMap((size) =>
    size
      ? [
          {
            label: sentence('Lay {drain} in {size}', { drain: drain.name, size: sizeWords(size) }),
            edits: [setTo(['drains', index, 'run', 'size'], size)],
          },
        ]
      : [],
  )
}

/** An emergency's lip lower: by what its open mouth lacks, else as low as running water lets it stand. */
function lowerLip(drainCase: DrainCase): Change[] {
  const { drain, box, solved } = drainCase
  const { boxM } = box.whole.steady.tankLevels[box.index]!
  if (drain.role !== 'emergency' || boxM === null) return []
  const mostM = drain.inlet.place.zM - (boxM + LIP_OVER_WATER_M)
  const { riseOpenM, riseOpenBandM, inletToRimM } = solved.emergency ?? {}
  const lacksM =
    riseOpenM == null ? NaN : riseOpenM + (riseOpenBandM ?? 0) - (inletToRimM ?? 0) + LIP_SPARE_M
  const enough = lacksM > 0 && lacksM < mostM ? [Math.ceil(lacksM * 200) / 200] : []
  return [...enough, mostM].flatMap((byM) => lipMoved(drainCase, -byM))
}

/** The lip moved, and its first upright cut or made longer by as much: the rest of the run stays. */
function lipMoved({ drain, index }: DrainCase, byM: number): Change[] {
  const [first] = drain.run.pieces
  if (first?.kind !== 'pipe' || first.direction !== 'down') return []
  if (Math.abs(byM) < LEAST_MOVE_M || first.lengthM + byM < LEAST_UPRIGHT_M) return []
  const by = ['length', Math.abs(byM)] as const
  const words = byM < 0 ? 'Set the lip of {drain} {by} lower' : 'Set the lip of {drain} {by} higher'
  return [
    {
      label: sentence(words, { drain: drain.name, by }),
      edits: [
        setTo(['drains', index, 'inlet', 'place', 'zM'], drain.inlet.place.zM + byM),
        setTo(['drains', index, 'run', 'pieces', 0], { ...first, lengthM: first.lengthM + byM }),
      ],
    },
  ]
}

/** An emergency's lip so much higher that running water does not reach it. */
export function raisedLip(drainCase: DrainCase): Change[] {
  const { drain, box } = drainCase
  const { boxM } = box.whole.steady.tankLevels[box.index]!
  const byM = boxM === null ? 0 : boxM + LIP_OVER_WATER_M - drain.inlet.place.zM
  return byM > 0 ? lipMoved(drainCase, byM) : []
}

/** One pipe laid anew in its place, in the size that its judge calls fine. */
export function layAnew({ drain, index, box }: DrainCase): Change[] {
  const { design } = box.whole
  if (!box.overflow.box || drain.end.at !== 'chamber' || isJoined(design, drain)) return []
  const to = { chamberId: drain.end.id, flowM3PerS: box.solved.flowM3PerS }
  return [
    {
      label: sentence('Lay {drain} anew', { drain: drain.name }),
      edits: [setTo(['drains', index], laidAnew(design, drain, to))],
    },
  ]
}

/** An emergency beside pipes that have none. */
function oneMore(box: OverflowCase, drains: readonly DrainCase[]): Change[] {
  const { design } = box.whole
  if (!box.overflow.box || drains.length === 0) return []
  if (drains.some(({ drain }) => drain.role === 'emergency')) return []
  const made = oneMoreDrain(design, wishOf(box, drains, 'vented-emergency'), 'emergency')
  return [
    {
      label: sentence('Add an emergency pipe'),
      edits: [setTo(['drains'], [...design.drains, made])],
    },
  ]
}

/** All pipes of a tank laid anew: in its own school first. */
export function schoolsAnew(box: OverflowCase, drains: readonly DrainCase[]): Change[] {
  if (!box.overflow.box) return []
  const roles = drains.map(({ drain }) => drain.role)
  const likest = [...DRAIN_SCHOOLS]
    .filter(({ roles: own }) => own.includes('emergency'))
    .sort((a, b) => unlike(a.roles, roles) - unlike(b.roles, roles))
  return likest.map(({ school, name }) => ({
    label: sentence('Lay its drains anew: {school}', { school: name.toLowerCase() }),
    edits: anew(box, drains, school),
  }))
}

function anew(box: OverflowCase, drains: readonly DrainCase[], school: DrainSchool): Edit[] {
  const { design } = box.whole
  const others = design.drains.filter(({ tankId }) => tankId !== box.tank.id)
  return [setTo(['drains'], [...others, ...newDrains(design, wishOf(box, drains, school))])]
}

function unlike(a: readonly DrainRole[], b: readonly DrainRole[]): number {
  return a.filter((role) => !b.includes(role)).length + b.filter((role) => !a.includes(role)).length
}

/** The family of rigid pipe that most of them are in. */
function seriesOf(drains: readonly DrainCase[]): PipeSeries {
  return drains.find(({ drain }) => !isHose(drain.run.size.series))?.drain.run.size.series ?? RIGID
}

function landsIn({ sump }: BasinDesign, drains: readonly DrainCase[]): string {
  return drains.find(({ drain }) => drain.end.at === 'chamber')?.drain.end.id ?? entryOf(sump).id
}

/** What a tank's drains are laid for, where they come down now and in their family of pipe. */
function wishOf(box: OverflowCase, drains: readonly DrainCase[], school: DrainSchool) {
  return {
    tankId: box.tank.id,
    school,
    chamberId: landsIn(box.whole.design, drains),
    series: seriesOf(drains),
    flowM3PerS: box.solved.flowM3PerS,
  }
}

/** Valves in an emergency full open. */
export function fullOpen({ drain, index }: DrainCase): Change[] {
  const edits = drain.run.pieces.flatMap((piece, i): Edit[] =>
    piece.kind === 'valve' && piece.opening < 1
      ? [setTo(['drains', index, 'run', 'pieces', i], { ...piece, opening: 1 })]
      : [],
  )
  return edits.length > 0
    ? [
        {
          label: sentence('Open the valve in {drain}, and take its handle off', {
            drain: drain.name,
          }),
          edits,
        },
      ]
    : []
}

/** Drains that join run apart to the chamber they end in, each laid anew. */
export function separated(box: OverflowCase): Change[] {
  const { design } = box.whole
  if (!box.overflow.box) return []
  const drains = drainCases(box)
  const to = { chamberId: landsIn(design, drains), flowM3PerS: box.solved.flowM3PerS }
  const edits = drains.flatMap(({ drain, index }): Edit[] =>
    drain.end.at === 'tee' ? [setTo(['drains', index], laidAnew(design, drain, to))] : [],
  )
  return edits.length > 0
    ? [{ label: sentence('Lay the joined drains apart, each to its chamber'), edits }]
    : []
}
