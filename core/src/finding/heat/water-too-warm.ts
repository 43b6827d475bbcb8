import { sentence } from '../../quantity/index.ts'
import type { HeatCase } from '../case/heat-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** The warmest room: pumps and lights heat the water past what lives there. */
export const waterTooWarm = rule({
  code: 'water-too-warm',
  station: 'skimmer',
  severities: ['watch'],
  holds: 'In the warmest room the water gets too warm, and no chiller takes that out.',
  condition: ({ heat: { levelsOffC, tooWarmC, coolingW }, plan }: HeatCase) =>
    holdsFor(levelsOffC !== null && levelsOffC > tooWarmC && (plan.chillerW ?? 0) < coolingW),
  title: ({ heat }) =>
    sentence('In a room of {room} the water climbs towards {top}', {
      room: ['temperature', heat.warmest.roomC],
      top: ['temperature', heat.levelsOffC ?? heat.tooWarmC],
    }),
  reason: ({ heat, plan, whole }) =>
    sentence(
      plan.chillerW === null
        ? 'Pumps, devices and lights put {devices} into it. To hold {water} takes a chiller of {cooling}; a fan over the surface helps, and evaporates more.'
        : 'Pumps, devices and lights put {devices} into it. To hold {water} takes {cooling} of cooling; the chiller takes out {chiller}.',
      {
        devices: ['power', heat.devicesW + heat.lightsW],
        water: ['temperature', whole.design.water.temperatureC],
        cooling: ['power', heat.coolingW, heat.warmest.wantedBandW],
        chiller: ['power', plan.chillerW ?? 0],
      },
    ),
})
