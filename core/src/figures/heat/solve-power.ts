import { rootSumSquares } from '../../numeric/index.ts'
import type { BasinDesign } from '../../design/index.ts'
import type { SolvedReturn } from '../return/solved.ts'
import { yearOf } from '../return/solve-pumps.ts'
import { devicePowerW, isThermostatic } from '../treatment/solve-devices.ts'
import { circulationW } from './solve-heat.ts'
import type { PowerShare, SolvedHeat, SolvedPower } from './solved-heat.ts'

const DAY_H = 24
/** A chiller's heat over its wire power (choice: small ones move three to four times what they draw). */
const CHILLER_MOVES = 3

/** Everything that is plugged in, over the year. */
export function solvePower(
  design: BasinDesign,
  returnSide: SolvedReturn,
  heat: SolvedHeat | null,
): SolvedPower {
  const { sump, tanks, tariff } = design
  const devicesW = sump.devices.reduce(
    (sum, device) => (isThermostatic(device) ? sum : sum + devicePowerW(device)),
    0,
  )
  const plan = design.heat
  const lightsW = plan ? (plan.lightsW * plan.lightHoursPerDay) / DAY_H : 0
  const all: readonly PowerShare[] = [
    { of: 'return', meanW: returnSide.wirePowerW, bandW: returnSide.wirePowerBandW },
    { of: 'circulation', meanW: circulationW(tanks), bandW: 0 },
    { of: 'devices', meanW: devicesW, bandW: 0 },
    { of: 'lights', meanW: lightsW, bandW: 0 },
    warmth(design, heat),
  ]
  const meanW = all.reduce((sum, share) => sum + share.meanW, 0)
  const { energyPerYearJ, costPerYear } = yearOf(meanW, tariff)
  const bandW = rootSumSquares(all, (share) => share.bandW)
  const band = yearOf(bandW, tariff)
  return {
    shares: all.filter((share) => share.meanW > 0),
    meanW,
    bandW,
    energyPerYearJ,
    energyPerYearBandJ: band.energyPerYearJ,
    costPerYear,
    costPerYearBand: band.costPerYear,
    currency: tariff?.currency ?? '',
    withoutWarmth: !heat && sump.devices.some(isThermostatic),
  }
}

/**
 * Heaters and chiller over the year: the mean of the coldest and the warmest room (choice), a
 * chiller's only where there is one.
 */
function warmth({ heat: plan }: BasinDesign, heat: SolvedHeat | null): PowerShare {
  if (!plan || !heat) return { of: 'warmth', meanW: 0, bandW: 0 }
  const rooms = [heat.coldest, heat.warmest]
  const heating = heat.heatersW > 0 ? rooms.map(({ meanW }) => Math.max(0, meanW)) : []
  const cooling =
    plan.chillerW === null ? [] : rooms.map(({ meanW }) => Math.max(0, -meanW) / CHILLER_MOVES)
  const meanW = [...heating, ...cooling].reduce((sum, roomW) => sum + roomW / rooms.length, 0)
  // What is known of the losses is known alike in both rooms.
  const bandW = meanW > 0 ? (heat.coldest.wantedBandW + heat.warmest.wantedBandW) / 2 : 0
  return { of: 'warmth', meanW, bandW: Math.min(bandW, meanW) }
}
