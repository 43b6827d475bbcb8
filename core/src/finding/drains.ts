import type { Drain } from '../design/index.ts'
import { LEAST_SLOPE } from '../drain/index.ts'
import { drainSize, tuneValve } from '../editing/index.ts'
import type { SolvedDrain } from '../figures/index.ts'
import type { BlockedRow } from '../judge/index.ts'
import { gather } from '../numeric/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import { aboutStop, type Finding, type Fix, type Found } from './finding.ts'
import type { OverflowCase } from './overflow.ts'
import { steadyWith } from './try-out.ts'

/** A drain of the design with all that is known of it. */
interface DrainCase {
  readonly box: OverflowCase
  readonly drain: Drain
  /** Its place in the design's list. */
  readonly index: number
  readonly solved: SolvedDrain
}

export function drainFindings(box: OverflowCase): Finding[] {
  const { design, drains } = box.solving
  const own = gather(design.drains, (drain, index): DrainCase[] =>
    drain.tankId === box.tank.id ? [{ box, drain, index, solved: drains[index]! }] : [],
  )
  return [...gather(own, ofDrain), ...blockedFindings(box, own)]
}

function ofDrain(one: DrainCase): Finding[] {
  return [...siphon(one), ...wetEmergency(one), ...loud(one), ...tooLevel(one), ...joined(one)]
}

function about(one: DrainCase, found: Found): Finding {
  return aboutStop('drains', found, { tankId: one.box.tank.id, drainId: one.drain.id })
}

/** What a siphon wants: its valve set, enough flow, and water over its inlet. */
function siphon(one: DrainCase): Finding[] {
  const { drain, solved } = one
  if (drain.role !== 'siphon' || solved.flowM3PerS <= 0) return []
  const { match } = solved
  if (match && match.opening === null && solved.state === 'full') return [cannotMatch(one)]
  if (solved.state === 'gulps') return [untuned(one)]
  const least = solved.leastOverInletM ?? 0
  return solved.overInletM < least ? [nearAir(one, least)] : []
}

function untuned(one: DrainCase): Finding {
  const { drain, solved } = one
  return about(one, {
    code: 'siphon-untuned',
    severity: 'watch',
    title: sentence(`${drain.name} takes more than comes: it gulps`),
    reason: sentence(
      'It gets {flow}; full, it would carry {primed}. It empties its box to the inlet, draws air, lets go and starts again, loudly. Its valve makes it match.',
      { primed: ['flow', solved.primedM3PerS], flow: ['flow', solved.flowM3PerS] },
    ),
    fixes: () => tuneFix(one),
  })
}

/** Sets the valve to what matches, and says where the box then stands. */
function tuneFix(one: DrainCase): Fix[] {
  const { solved, drain, index, box } = one
  const { match } = solved
  if (!match || match.opening === null) return []
  const edits = tuneValve(box.solving.design, index, match)
  const { tankLevels } = steadyWith(box.solving.steady, edits)
  const boxM = tankLevels[box.index]?.boxM ?? null
  return [
    {
      label: sentence('Set its valve {open} open', { open: ['share', match.opening] }),
      brings:
        boxM === null
          ? sentence('Makes it match the flow.')
          : sentence('Holds {over} of water over its inlet.', {
              over: ['length', boxM - drain.inlet.place.zM],
            }),
      edits,
    },
  ]
}

function cannotMatch(one: DrainCase): Finding {
  const { drain, solved, index } = one
  const size = drainSize(drain.run.size.series, 'siphon', solved.match!.flowM3PerS * 1.15)
  return about(one, {
    code: 'siphon-cannot-match',
    severity: 'watch',
    title: sentence(`${drain.name} can’t carry its share, even wide open`),
    reason: sentence(
      'It should carry {wanted} and takes {open}. The rest goes down pipes that are there for something else.',
      { wanted: ['flow', solved.match!.flowM3PerS], open: ['flow', solved.openPrimedM3PerS] },
    ),
    fixes: () =>
      size.size === drain.run.size.size
        ? []
        : [
            {
              label: sentence(`Lay it in ${size.size}`),
              brings: sentence('Carries it full, with the valve to spare.'),
              edits: [{ op: 'set', path: ['drains', index, 'run', 'size'], to: size }],
            },
          ],
  })
}

function nearAir(one: DrainCase, leastM: number): Finding {
  const { drain, solved } = one
  const how: Readonly<Record<Drain['inlet']['form'], string>> = {
    flush: 'A strainer or a turned-down elbow lets it run with less.',
    open: 'A strainer or a turned-down elbow lets it run with less.',
    strainer: 'The strainer helps; listen for it all the same.',
    'turned-down': 'The turned-down elbow helps; listen for it all the same.',
    capped: 'The cap helps; listen for it all the same.',
  }
  return about(one, {
    code: 'siphon-near-air',
    severity: 'watch',
    title: sentence(`${drain.name} has {over} of water over its inlet`, {
      over: ['length', solved.overInletM],
    }),
    reason: sentence(
      `An open pipe wants {least} so that no vortex draws air; many boxes run with less. ${how[drain.inlet.form]}`,
      { least: ['length', leastM] },
    ),
  })
}

function wetEmergency(one: DrainCase): Finding[] {
  const { drain, solved, box } = one
  if (drain.role !== 'emergency' || solved.flowM3PerS <= 0) return []
  const siphons = gather(box.solving.design.drains, (other, index): DrainCase[] => {
    const own = box.solving.drains[index]!
    const tuned = other.tankId === box.tank.id && other.role === 'siphon' && own.match?.opening
    return tuned ? [{ box, drain: other, index, solved: own }] : []
  })
  return [
    about(one, {
      code: 'emergency-wet',
      severity: 'watch',
      title: sentence(`${drain.name} carries {flow} in normal use`, {
        flow: ['flow', solved.flowM3PerS],
      }),
      reason: sentence(
        'Dry, it is an alarm and a reserve. Wet, it is neither: what it should catch has no other way.',
      ),
      fixes: () => gather(siphons, tuneFix),
    }),
  ]
}

function loud(one: DrainCase): Finding[] {
  const { drain, solved, index } = one
  if (solved.noise !== 'over') return []
  const size = drainSize(drain.run.size.series, 'vented', solved.flowM3PerS)
  const wider = size.size !== drain.run.size.size
  return [
    about(one, {
      code: 'vented-loud',
      severity: 'watch',
      title: sentence(`${drain.name} is too narrow: it gulps and is loud`),
      reason: sentence(
        'Water fills {filled} of its section. Past a third the air can’t get out: it surges between full and empty. A vented pipe of this bore takes {most} at the most.',
        { filled: ['share', solved.filledShare ?? 0], most: ['flow', solved.vented!.mostM3PerS] },
      ),
      fixes: () =>
        wider
          ? [
              {
                label: sentence(`Lay it in ${size.size}`),
                brings: sentence('Leaves its core open at this flow.'),
                edits: [{ op: 'set', path: ['drains', index, 'run', 'size'], to: size }],
              },
            ]
          : [],
    }),
  ]
}

function tooLevel(one: DrainCase): Finding[] {
  const { drain, solved } = one
  const runsDown = drain.role === 'vented' || drain.role === 'trickle'
  if (!runsDown || solved.leastSlope === null || solved.leastSlope >= LEAST_SLOPE) return []
  return [
    about(one, {
      code: 'drain-too-level',
      severity: 'watch',
      title: sentence(`${drain.name} runs too level`),
      reason: sentence(
        solved.nearLevelM3PerS === null
          ? 'Water that shares a pipe with air needs a fall of at least 1 in 48; a level stretch fills up, and the air above it is caught.'
          : 'Water that shares a pipe with air needs a fall of at least 1 in 48. Half full, its flattest stretch takes {half}.',
        solved.nearLevelM3PerS === null ? {} : { half: ['flow', solved.nearLevelM3PerS] },
      ),
    }),
  ]
}

function joined(one: DrainCase): Finding[] {
  const { drain, box } = one
  if (drain.end.at !== 'tee') return []
  const trunk = box.solving.design.drains.find(({ run }) =>
    run.pieces.some(({ id }) => id === drain.end.id),
  )!
  const both = box.solved.blocked.find(({ drainIds }) => drainIds.length > 1)
  const holds = both?.carries || both?.sensorStops
  return [
    about(one, {
      code: 'joined-drains',
      severity: holds ? 'watch' : 'stop',
      title: sentence(`${drain.name} joins ${trunk.name} below the box`),
      reason: sentence(
        holds
          ? 'One blockage below the join takes both: they count as one pipe for safety. What is left still carries the flow here.'
          : 'One blockage below the join takes both, and what is left can’t carry the flow.',
      ),
    }),
  ]
}

/** What one blocked pipe does: the line a keeper asks for first. */
function blockedFindings(box: OverflowCase, own: readonly DrainCase[]): Finding[] {
  const { blocked } = box.solved
  if (own.length === 0 || blocked.length === 0) return []
  const alone = blocked.filter(({ drainIds }) => drainIds.length === 1)
  const failing = alone.filter(({ carries }) => !carries)
  const [worst] = failing
  if (!worst) return [held(box, alone)]
  const sensor = failing.every(({ sensorStops }) => sensorStops)
  return [
    aboutStop('drains', {
      code: 'emergency-cannot-carry',
      severity: sensor ? 'watch' : 'stop',
      title: sentence(`${box.words}${whoFails(failing)} blocked, the water comes over the rim`),
      reason: reasonOf(box, own, sensor),
      tankId: box.tank.id,
      drainId: worst.drainIds[0] ?? null,
    }),
  ]
}

function whoFails(failing: readonly BlockedRow[]): string {
  return failing.length === 1 ? `With ${failing[0]!.name}` : `With any of ${failing.length} pipes`
}

function reasonOf(box: OverflowCase, own: readonly DrainCase[], sensor: boolean): Sentence {
  const emergency = own.find(({ drain }) => drain.role === 'emergency')?.solved.emergency
  if (sensor) {
    return sentence(
      'Only the level sensor that stops the pump is between this and the floor, and a sensor can fail. Give the box an emergency pipe that carries it all.',
    )
  }
  if (!emergency) {
    return sentence(
      'There is no pipe left that takes {flow}. Add an emergency pipe: an open one, a little above the running water, that carries it all.',
      { flow: ['flow', box.solved.flowM3PerS] },
    )
  }
  return emergency.riseM === null
    ? sentence('The emergency pipe is shut.')
    : sentence(
        'To take it all, water must rise {rise} over the emergency’s lip. Set the lip lower, or lay it wider.',
        { rise: ['length', emergency.riseM] },
      )
}

function held(box: OverflowCase, rows: readonly BlockedRow[]): Finding {
  const leastM = Math.min(...rows.map(({ marginM }) => marginM))
  return aboutStop('drains', {
    code: 'blocked-pipe-held',
    severity: 'fine',
    title: sentence(`${box.words}Any one pipe may block: nothing reaches the floor`),
    reason: sentence('The worst leaves {left} to the rim it would come over.', {
      left: ['length', leastM],
    }),
    tankId: box.tank.id,
  })
}
