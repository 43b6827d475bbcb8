import { sentence } from '../../quantity/index.ts'
import type { HeatCase } from '../case/heat-case.ts'
import { factIf, rule } from '../rule.ts'

/** A thermostat that sticks leaves the keeper so long. */
export const heaterCouldCook = rule({
  code: 'heater-could-cook',
  station: 'skimmer',
  severities: ['watch'],
  holds: 'Stuck on, the strongest heater has the water too warm sooner than the keeper would know.',
  condition: ({ heat, plan }: HeatCase) => {
    const untilS = heat.stuckOn?.untilS ?? null
    return factIf(untilS !== null && untilS < plan.warningS && { untilS })
  },
  title: ({ heat }, { untilS }) =>
    sentence('Stuck on, a heater has the water at {limit} in {time}', {
      limit: ['temperature', heat.tooWarmC],
      time: ['duration', untilS],
    }),
  reason: ({ heat, plan }) =>
    sentence(
      'In a room of {room}, lights on, {power} more warms it by {rate} at first; you want {warning}. Two smaller heaters, or a second thermostat that cuts both off, give time.',
      {
        room: ['temperature', heat.warmest.roomC],
        power: ['power', heat.strongestW],
        rate: ['warming', heat.stuckOn?.warmsKPerS ?? 0],
        warning: ['duration', plan.warningS],
      },
    ),
})
