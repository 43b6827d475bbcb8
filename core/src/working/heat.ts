import type { PowerShare } from '../figures/index.ts'
import { measured, sentence } from '../quantity/index.ts'
import type { About } from './about.ts'
import { NO_NOTE, term, type Working } from './working.ts'

const U_SOURCE =
  'U 4.5 W/m²K through glass and thin acrylic, 4 through thick, 6 from an open surface (choices, still room); the band is ± 20 % of the losses.'

/** Watts of heater at the coldest room. */
export function heaterWorking({ design, solved: { heat } }: About): Working | null {
  if (!heat) return null
  const { coldest } = heat
  const byAir = design.heat!.humidity !== null
  return {
    title: 'Heat wanted in the coldest room',
    answer: measured('power', coldest.wantedW, coldest.wantedBandW),
    band: measured('power', coldest.wantedBandW),
    formula: byAir
      ? 'P = Σ U A (T − T_room) + 0.089 Fa A (e_w(T) − rh e_w(T_room)) − P_devices'
      : 'P = Σ U A (T − T_room) + L ρ E − P_devices',
    filled: sentence('{P} = {panels} + {air} − {devices}', {
      P: ['power', coldest.wantedW, coldest.wantedBandW],
      panels: ['power', coldest.throughPanelsW],
      air: ['power', coldest.byEvaporationW],
      devices: ['power', heat.devicesW],
    }),
    terms: [
      term('Σ U A', 'panels and open water', 'conductance', heat.conductanceWPerK),
      term('T', 'the water', 'temperature', design.water.temperatureC),
      term('T_room', 'the room at its coldest', 'temperature', coldest.roomC),
      term('E', 'that evaporates', 'flow', coldest.evaporationM3PerS),
      term('P_devices', 'pumps and what is under water', 'power', heat.devicesW),
    ],
    source: byAir
      ? `${U_SOURCE} Evaporation: ASHRAE Applications, natatoriums, × 0.93 over salt water.`
      : U_SOURCE,
    note: sentence('Lights are left out: the night is the case. Stand and cabinet keep some in.'),
    rules: [],
  }
}

const PLUGGED_IN: Readonly<Record<PowerShare['of'], readonly [string, string]>> = {
  return: ['P_r', 'return pumps'],
  circulation: ['P_c', 'circulation pumps'],
  devices: ['P_d', 'skimmer, lamps and other devices'],
  lights: ['P_l', 'lights, over the day'],
  warmth: ['P_h', 'heaters and chiller, over the year'],
}

/** Everything that is plugged in, and what it comes to in a year. */
export function allPowerWorking({ solved: { power, returnSide } }: About): Working {
  const { energyPerYearJ, costPerYear, meanW, bandW } = power
  return {
    title: 'Plugged in',
    answer: measured('power', meanW, bandW),
    band: measured('power', bandW),
    formula: 'P = Σ P of everything plugged in; E = P · 1 year',
    filled:
      costPerYear === null
        ? sentence('{E} a year', { E: ['energy', energyPerYearJ, power.energyPerYearBandJ] })
        : sentence('{E} a year, {cost} {currency} by your tariff', {
            E: ['energy', energyPerYearJ, power.energyPerYearBandJ],
            cost: ['money', costPerYear, power.costPerYearBand ?? 0],
            currency: power.currency,
          }),
    terms: power.shares.map(({ of, meanW: shareW }) => term(...PLUGGED_IN[of], 'power', shareW)),
    source:
      'Pumps by the cube of their speed. Heaters and chiller as the mean of the coldest and the warmest room (choice), a chiller moving three times what it draws (choice).',
    note: power.withoutWarmth
      ? sentence('Heaters and chiller are not in it: say how cold and how warm your room gets.')
      : returnSide.powerIsScaled
        ? sentence('A return pump is scaled from its rated power.')
        : NO_NOTE,
    rules: [],
  }
}
