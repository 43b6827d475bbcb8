import { chamberContents, skimmersGiveBackM3 } from '../design/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { sentence } from '../quantity/index.ts'
import { atOnce, DAY_S, drill, HOUR_S, MOST_DAYS } from './drill-of.ts'
import type { Drill, DrillFault, FaultAt } from './fault.ts'
import { canDrill } from './plant.ts'
import { slowDrills } from './slow-drills.ts'

/** Power that comes back does so after everything has run down (choice). */
const BACK_AFTER_S = HOUR_S
/** What a keeper takes out with a hose in a water change, and how fast (choice). */
const CHANGE_SHARE = 0.15
const CHANGE_M3_PER_S = 20 / 60 / 1000
/** A pump that was never cleaned gives this share of its flow (hydraulics reference, §9). */
const CLOGGED_SHARE = 0.6

/** Every drill that applies to a design, in the order of the water's way; none where it can't be drilled. */
export function drillsOf(steady: SteadyState): Drill[] {
  if (!canDrill(steady.given)) return []
  return [
    ...power(steady),
    ...drains(steady),
    ...overflows(steady),
    ...sump(steady),
    ...returnSide(steady),
    ...slowDrills(steady),
    waterChange(steady),
  ]
}

function power({ design }: SteadyState): Drill[] {
  const cut: DrillFault = { kind: 'power-cut' }
  const back: DrillFault = { kind: 'power-back' }
  const { pumps } = design.returnSide
  return [
    drill('power-cut', sentence('Power cut'), atOnce(cut), { durationS: 2 * HOUR_S }),
    drill(
      'power-back',
      sentence('Power comes back after an hour'),
      [
        { atS: 0, fault: cut },
        { atS: BACK_AFTER_S, fault: back },
      ],
      { durationS: BACK_AFTER_S + HOUR_S, isSingle: false },
    ),
    ...pumps.map(({ id, pumpId }) =>
      drill(
        `pump-stops ${id}`,
        sentence(
          pumps.length > 1
            ? 'A controller stops one pump: {pump}'
            : 'A controller stops the return pump',
          { pump: nameOfPump(design, pumpId) },
        ),
        atOnce({ kind: 'pump-stops', placedId: id }),
      ),
    ),
  ]
}

function nameOfPump(design: SteadyState['design'], pumpId: string): string {
  return design.pumps.find(({ id }) => id === pumpId)?.name ?? pumpId
}

function drains({ design, drains: laid, tankLevels }: SteadyState): Drill[] {
  const tankOf = (tankId: string) => {
    const tank = design.tanks.find(({ id }) => id === tankId)!
    return design.tanks.length > 1 ? ` of ${tank.name}` : ''
  }
  const blocked = (ids: readonly string[], share: number): DrillFault => ({
    kind: 'drains-blocked',
    drainIds: ids,
    share,
  })
  const single = laid.flatMap(({ drain }) => [
    drill(
      `blocked ${drain.id}`,
      sentence('{drain}{tankOf} blocked', { drain: drain.name, tankOf: tankOf(drain.tankId) }),
      atOnce(blocked([drain.id], 1)),
    ),
    drill(
      `half ${drain.id}`,
      sentence('{drain}{tankOf} half blocked', { drain: drain.name, tankOf: tankOf(drain.tankId) }),
      atOnce(blocked([drain.id], 0.5)),
      { isSingle: false },
    ),
  ])
  const joined = laid.flatMap(({ drain, trunkId }) => {
    const trunk = laid.find((laidDrain) => laidDrain.drain.id === trunkId)
    if (!trunk) return []
    return [
      drill(
        `joined ${drain.id}`,
        sentence('{drain} and {drain2}{tankOf} blocked below their join', {
          drain: trunk.drain.name,
          drain2: drain.name,
          tankOf: tankOf(drain.tankId),
        }),
        atOnce(blocked([trunk.drain.id, drain.id], 1)),
      ),
    ]
  })
  // The pipe that carries most, and the emergency that should have taken over.
  const both = design.tanks.flatMap((tank, i) => {
    if (!tankLevels[i]) return []
    const own = laid.filter(({ drain }) => drain.tankId === tank.id)
    const main = own.find(({ drain }) => drain.role === 'siphon' || drain.role === 'vented')
    const emergency = own.find(({ drain }) => drain.role === 'emergency')
    if (!main || !emergency) return []
    return [
      drill(
        `both ${tank.id}`,
        sentence('{drain} and {drain2}{tankOf} blocked at once', {
          drain: main.drain.name,
          drain2: emergency.drain.name,
          tankOf: tankOf(tank.id),
        }),
        atOnce(blocked([main.drain.id, emergency.drain.id], 1)),
        { isSingle: false },
      ),
    ]
  })
  return [...single, ...joined, ...both]
}

function overflows({ design, overflows: laid, drains: pipes }: SteadyState): Drill[] {
  return laid.flatMap((overflowing) => {
    if (!overflowing) return []
    const { tank, overflow } = overflowing
    const of = design.tanks.length > 1 ? ` of ${tank.name}` : ''
    const list: Drill[] = []
    if (overflow.teeth) {
      list.push(
        drill(
          `teeth ${tank.id}`,
          sentence('Half of the teeth{of} fouled', { of }),
          atOnce({ kind: 'teeth-fouled', tankId: tank.id, share: 0.5 }),
        ),
      )
    }
    if (overflow.passage?.kind === 'siphon') {
      list.push(
        drill(
          `prime ${tank.id}`,
          sentence('The hung box{of} loses its prime', { of }),
          atOnce({ kind: 'prime-lost', tankId: tank.id }),
        ),
      )
    }
    const own = pipes.filter(({ drain }) => drain.tankId === tank.id)
    if (overflow.sensorM !== null && own.length > 0) {
      list.push(
        drill(
          `sensor ${tank.id}`,
          sentence('Level sensor{of} stuck while all drains block', { of }),
          [
            { atS: 0, fault: { kind: 'sensor-stuck' } },
            {
              atS: 0,
              fault: {
                kind: 'drains-blocked',
                drainIds: own.map(({ drain }) => drain.id),
                share: 1,
              },
            },
          ],
          { isSingle: false },
        ),
      )
    }
    return list
  })
}

function sump({ design }: SteadyState): Drill[] {
  const { chambers, topOff } = design.sump
  const contents = chamberContents(design.sump)
  const list = chambers.flatMap(({ id, name, use }, i): Drill[] => {
    if (use === 'socks' || use === 'roller') {
      const what = use === 'socks' ? 'Socks full' : 'Roller jammed'
      const fault: DrillFault = { kind: 'sock-blocked', chamberId: id }
      return [drill(`sock ${id}`, sentence('{what} in {name}', { what, name }), atOnce(fault))]
    }
    const { footprintM2, submergedM3 } = contents[i]!
    if (use !== 'skimmer' || footprintM2 + submergedM3 <= 0) return []
    const fault: DrillFault = { kind: 'object-out', chamberId: id }
    return [
      drill(`out ${id}`, sentence('The skimmer is lifted out of {name}', { name }), atOnce(fault)),
    ]
  })
  if (skimmersGiveBackM3(design.sump) > 0) {
    list.push(
      drill(
        'skimmer-off',
        sentence('The skimmer stops, and starts again after an hour'),
        [
          { atS: 0, fault: { kind: 'skimmers-stop' } },
          { atS: BACK_AFTER_S, fault: { kind: 'skimmers-start' } },
        ],
        { durationS: BACK_AFTER_S + HOUR_S },
      ),
    )
  }
  if (!topOff) return list
  const days = { durationS: MOST_DAYS * DAY_S }
  return [
    ...list,
    drill('top-off-open', sentence('Top-off stuck open'), atOnce({ kind: 'top-off-open' }), {
      durationS: DAY_S,
    }),
    // Without a limit of its own it makes no difference what is stuck.
    ...(topOff.runLimitS === null
      ? []
      : [
          drill(
            'top-off-welded',
            sentence('Top-off’s relay welded: it runs past its limit'),
            atOnce({ kind: 'top-off-welded' }),
            { durationS: DAY_S },
          ),
        ]),
    ...(design.allowances.topOffTubeSiphons
      ? [
          drill(
            'top-off-siphons',
            sentence('The top-off’s tube siphons its reservoir out'),
            atOnce({ kind: 'top-off-siphons' }),
            { durationS: DAY_S },
          ),
        ]
      : []),
    drill('top-off-shut', sentence('Top-off stuck shut'), atOnce({ kind: 'top-off-shut' }), {
      ...days,
      evaporates: true,
    }),
  ]
}

function returnSide({ design, layout }: SteadyState): Drill[] {
  const { lines, pumps } = design.returnSide
  const cut: FaultAt = { atS: 0, fault: { kind: 'power-cut' } }
  const byLine = lines.flatMap((line, i): Drill[] => {
    const laid = layout.lines[i]!
    const list: Drill[] = []
    const has = (kind: string) => line.run.pieces.some((piece) => piece.kind === kind)
    const { id } = line
    if (has('check-valve')) {
      list.push(
        drill(
          `check-open ${id}`,
          sentence('Power cut with the check valve of {line} stuck open', { line: line.name }),
          [{ atS: 0, fault: { kind: 'check-open', lineId: id } }, cut],
          { durationS: 2 * HOUR_S },
        ),
        drill(
          `check-shut ${id}`,
          sentence('Check valve of {line} stuck shut', { line: line.name }),
          atOnce({ kind: 'check-shut', lineId: id }),
        ),
      )
    }
    if (line.end.at === 'tank' && laid.end === 'under-water' && line.end.breakDepthM !== null) {
      list.push(
        drill(
          `grown ${id}`,
          sentence('Power cut with the break hole of {line} grown over', { line: line.name }),
          [{ atS: 0, fault: { kind: 'break-hole-grown', lineId: id } }, cut],
          { durationS: 4 * HOUR_S },
        ),
      )
    }
    if (!has('valve')) return list
    if (line.end.at === 'tank') {
      list.push(
        drill(
          `shut ${id}`,
          sentence('A valve of {line} knocked shut', { line: line.name }),
          atOnce({ kind: 'valve-shut', lineId: id }),
        ),
      )
    } else if (line.end.at === 'chamber') {
      list.push(
        drill(
          `open ${id}`,
          sentence('{line} left wide open', { line: line.name }),
          atOnce({ kind: 'takeoff-open', lineId: id }),
        ),
      )
    }
    return list
  })
  const fouled = pumps.map(({ id, pumpId }) =>
    drill(
      `fouled ${id}`,
      sentence('{pump} fouled to 60 % of its flow', { pump: nameOfPump(design, pumpId) }),
      atOnce({ kind: 'pump-fouled', placedId: id, share: CLOGGED_SHARE }),
    ),
  )
  return [...byLine, ...fouled]
}

function waterChange({ design }: SteadyState): Drill {
  const litres = design.tanks.reduce(
    (total, tank) => total + tank.lengthM * tank.widthM * tank.waterLevelM,
    0,
  )
  const lastsS = (CHANGE_SHARE * litres) / CHANGE_M3_PER_S
  return drill(
    'water-change',
    sentence('Water change with the pump left on'),
    [
      { atS: 0, fault: { kind: 'water-taken', flowM3PerS: CHANGE_M3_PER_S } },
      { atS: lastsS, fault: { kind: 'water-kept' } },
    ],
    { durationS: lastsS + HOUR_S, isSingle: false },
  )
}
