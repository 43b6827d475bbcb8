import type { BasinDesign } from '../design/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import type { DrillFault } from './fault.ts'
import type { DrillEvent } from './plant-detectors.ts'
import type { LogEntry } from './run-drill.ts'
import type { VesselOf } from './vessel.ts'

/** What a line of a drill's log says. */
export function logWords(design: BasinDesign, { what }: LogEntry): Sentence {
  return 'fault' in what ? faultWords(design, what.fault) : eventWords(design, what.event)
}

const named = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((one) => one.id === id)?.name ?? id

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
      return sentence(`${pumpName(design, fault.placedId)} is stopped`)
    case 'pump-fouled':
      return sentence(`${pumpName(design, fault.placedId)} gives {share} of its flow`, {
        share: ['share', fault.share],
      })
    case 'drains-blocked': {
      const names = fault.drainIds.map((id) => named(design.drains, id)).join(' and ')
      return sentence(fault.share < 1 ? `${names} half blocked` : `${names} blocked`)
    }
    case 'sensor-stuck':
      return sentence('The level sensor no longer stops anything')
    case 'sock-blocked':
      return sentence(`${chamber(fault.chamberId)} passes nothing but over its wall`)
    case 'teeth-fouled':
      return sentence('Half of the open teeth foul')
    case 'top-off-open':
      return sentence('The top-off runs and does not stop')
    case 'top-off-shut':
      return sentence('The top-off gives nothing')
    case 'check-open':
      return sentence(`The check valve of ${line(fault.lineId)} stays open`)
    case 'check-shut':
      return sentence(`The check valve of ${line(fault.lineId)} stays shut`)
    case 'break-hole-grown':
      return sentence(`The break hole of ${line(fault.lineId)} is grown over`)
    case 'valve-shut':
      return sentence(`A valve of ${line(fault.lineId)} is shut`)
    case 'takeoff-open':
      return sentence(`${line(fault.lineId)} stands wide open`)
    case 'prime-lost':
      return sentence('The hung box’s tubes draw air')
    case 'object-out':
      return sentence(`What stands in ${chamber(fault.chamberId)} is lifted out`)
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
  }
}

function eventWords(design: BasinDesign, event: DrillEvent): Sentence {
  switch (event.kind) {
    case 'sensor-stops-pumps':
      return sentence(`The sensor of ${named(design.tanks, event.tankId)} stops the pump`)
    case 'pump-draws-air':
      return sentence(`${pumpName(design, event.placedId)} draws air and stops`)
    case 'siphon-primes':
      return sentence(`${named(design.drains, event.drainId)} runs full again`)
    case 'siphon-drops':
      return sentence(`${named(design.drains, event.drainId)} draws air`)
    case 'back-siphon-breaks':
      return sentence(`${named(design.returnSide.lines, event.lineId)} lets air in`)
    case 'top-off-starts':
      return sentence('The top-off starts')
    case 'top-off-stops':
      return sentence('The top-off stops')
    case 'top-off-empty':
      return sentence('The top-off has nothing left')
    case 'runs-over':
      return sentence(`${vesselName(design, event.vessel)} runs over`)
  }
}

function vesselName({ tanks, sump }: BasinDesign, { kind, id }: VesselOf): string {
  if (kind === 'box') return `The overflow box of ${named(tanks, id)}`
  return named([...tanks, ...sump.chambers], id)
}
