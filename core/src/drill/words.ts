import type { BasinDesign } from '../design/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import type { DrillFault } from './fault.ts'
import type { DrillEvent } from './drill-event.ts'
import type { LogEntry } from './simulate-drill.ts'
import type { VesselOf } from './vessel.ts'

/** What a line of a drill's log says. */
export function logWords(design: BasinDesign, { what }: LogEntry): Sentence {
  return 'fault' in what ? faultWords(design, what.fault) : eventWords(design, what.event)
}

const named = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((entry) => entry.id === id)?.name ?? id

function pumpName({ returnSide, pumps }: BasinDesign, placedId: string): string {
  return named(pumps, returnSide.pumps.find(({ id }) => id === placedId)?.pumpId ?? placedId)
}

function faultWords(design: BasinDesign, fault: DrillFault): Sentence {
  const line = (id: string) => named(design.returnSide.lines, id)
  const chamber = (id: string) => named(design.sump.chambers, id)
  switch (fault.kind) {
    case 'power-cut':
      return sentence('The power goes')
    case 'power-back':
      return sentence('The power is back')
    case 'pump-stops':
      return sentence('{pump} is stopped', { pump: pumpName(design, fault.placedId) })
    case 'pump-fouled':
      return sentence('{pump} gives {share} of its flow', {
        pump: pumpName(design, fault.placedId),
        share: ['share', fault.share],
      })
    case 'drains-blocked': {
      const names = fault.drainIds.map((id) => named(design.drains, id)).join(' and ')
      return sentence(fault.share < 1 ? '{names} half blocked' : '{names} blocked', { names })
    }
    case 'sensor-stuck':
      return sentence('The level sensor no longer stops anything')
    case 'sock-blocked':
      return sentence('{chamber} passes nothing but over its wall', {
        chamber: chamber(fault.chamberId),
      })
    case 'teeth-fouled':
      return sentence('Half of the open teeth foul')
    case 'top-off-open':
      return sentence('The top-off runs and does not stop')
    case 'top-off-welded':
      return sentence('The top-off runs, and its own limit does not stop it')
    case 'top-off-shut':
      return sentence('The top-off gives nothing')
    case 'check-open':
      return sentence('The check valve of {line} stays open', { line: line(fault.lineId) })
    case 'check-shut':
      return sentence('The check valve of {line} stays shut', { line: line(fault.lineId) })
    case 'break-hole-grown':
      return sentence('The break hole of {line} is grown over', { line: line(fault.lineId) })
    case 'valve-shut':
      return sentence('A valve of {line} is shut', { line: line(fault.lineId) })
    case 'takeoff-open':
      return sentence('{line} stands wide open', { line: line(fault.lineId) })
    case 'prime-lost':
      return sentence('The hung box’s tubes draw air')
    case 'object-out':
      return sentence('What stands in {chamber} is lifted out', {
        chamber: chamber(fault.chamberId),
      })
    case 'skimmers-stop':
      return sentence('The skimmer stops: its water falls back')
    case 'skimmers-start':
      return sentence('The skimmer runs again and fills')
    case 'water-taken':
      return sentence('Water is taken out of the tank, {flow}', {
        flow: ['flow', fault.flowM3PerS],
      })
    case 'water-kept':
      return sentence('No more water is taken')
    default:
      return slowFaultWords(design, fault)
  }
}

/** What goes wrong slowly, or by itself outside the way down. */
type SlowFault = Extract<
  DrillFault,
  {
    readonly kind:
      | 'leak'
      | 'hose-off'
      | 'cup-floods'
      | 'comb-matted'
      | 'controller-full'
      | 'top-off-siphons'
      | 'rock-out'
      | 'heater-on'
      | 'heater-off'
  }
>

function slowFaultWords(design: BasinDesign, fault: SlowFault): Sentence {
  switch (fault.kind) {
    case 'leak':
      return sentence(
        fault.at === 'line'
          ? 'A line drips: {flow}, while the pump runs'
          : 'The sump drips: {flow}',
        { flow: ['flow', fault.flowM3PerS] },
      )
    case 'hose-off':
      return sentence('The hose of {line} comes off: its water goes to the floor', {
        line: named(design.returnSide.lines, fault.lineId),
      })
    case 'cup-floods':
      return fault.collectorM3 > 0
        ? sentence('The skimmer’s cup runs over into a collector of {litres}', {
            litres: ['volume', fault.collectorM3],
          })
        : sentence('The skimmer’s cup runs over to the floor')
    case 'comb-matted':
      return sentence('The comb passes {share} of what it did', {
        share: ['share', 1 - fault.share],
      })
    case 'controller-full':
      return sentence('{pump} runs at full speed', { pump: pumpName(design, fault.placedId) })
    case 'top-off-siphons':
      return sentence('The top-off’s tube siphons its reservoir out')
    case 'rock-out':
      return sentence('Rock of {litres} is lifted out', { litres: ['volume', fault.volumeM3] })
    case 'heater-on':
      return sentence('The strongest heater is stuck on')
    case 'heater-off':
      return sentence('The strongest heater is off')
  }
}

function eventWords(design: BasinDesign, event: DrillEvent): Sentence {
  switch (event.kind) {
    case 'sensor-stops-pumps':
      return sentence('The sensor of {tank} stops the pump', {
        tank: named(design.tanks, event.tankId),
      })
    case 'pump-draws-air':
      return sentence(
        event.gasps
          ? '{pump} draws air and gasps on: it passes just what comes to it'
          : '{pump} draws air and stops',
        { pump: pumpName(design, event.placedId) },
      )
    case 'top-off-gives-up':
      return sentence('The top-off’s own limit stops it')
    case 'siphon-primes':
      return sentence('{drain} runs full again', { drain: named(design.drains, event.drainId) })
    case 'siphon-gulps':
      return sentence('{drain} gulps: it fills and breaks again and again', {
        drain: named(design.drains, event.drainId),
      })
    case 'siphon-stays':
      return sentence('{drain} does not fill: its air stays in it', {
        drain: named(design.drains, event.drainId),
      })
    case 'siphon-drops':
      return sentence('{drain} draws air', { drain: named(design.drains, event.drainId) })
    case 'back-siphon-breaks':
      return sentence('{line} lets air in', { line: named(design.returnSide.lines, event.lineId) })
    case 'top-off-starts':
      return sentence('The top-off starts')
    case 'top-off-stops':
      return sentence('The top-off stops')
    case 'top-off-empty':
      return sentence('The top-off has nothing left')
    case 'collector-full':
      return sentence('The collector is full and runs over')
    case 'cup-stops':
      return sentence('The skimmer has too little water left to foam')
    case 'tank-empty':
      return sentence('{tank} is empty: no more can be taken', {
        tank: named(design.tanks, event.tankId),
      })
    case 'sump-empty':
      return sentence('{chamber} is empty', {
        chamber: named(design.sump.chambers, event.chamberId),
      })
    case 'runs-over':
      return sentence('{vessel} runs over', { vessel: vesselName(design, event.vessel) })
  }
}

function vesselName({ tanks, sump }: BasinDesign, { kind, id }: VesselOf): string {
  if (kind === 'box') return `The overflow box of ${named(tanks, id)}`
  return named([...tanks, ...sump.chambers], id)
}
