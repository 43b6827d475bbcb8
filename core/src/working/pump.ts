import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { measured, sentence } from '../quantity/index.ts'
import { NO_NOTE, term, type Worked, type Working } from './working.ts'

/** Power from the wire, and what it comes to in a year. */
export function wirePowerWorking(worked: Worked): Working {
  const { line: side } = worked
  const scaled = side.pump.powerIsScaled
  return {
    title: 'Pump power',
    answer: measured('power', side.pump.wirePowerW),
    band: null,
    formula: scaled ? 'P = n³ · P_rated' : 'P = n³ · P₁(Q/n)',
    filled: sentence(scaled ? '{P} = ({n})³ · {rated}' : '{P} = ({n})³ · P₁({Q} / {n})', {
      P: ['power', side.pump.wirePowerW],
      n: ['share', side.pump.speed],
      rated: ['power', worked.part.ratedPowerW],
      Q: ['flow', side.pump.flowM3PerS, side.pump.flowBandM3PerS],
    }),
    terms: [
      term('n', 'speed of the pump', 'share', side.pump.speed),
      term('P_rated', 'on the pump’s plate', 'power', worked.part.ratedPowerW),
      term('E', 'in a year, running without a break', 'energy', side.pump.energyPerYearJ),
      term('heat', 'that reaches the water', 'power', side.pump.heatToWaterW),
    ],
    source: 'Affinity laws: P ∝ n³.',
    note: scaled
      ? sentence('Scaled from the rated power: the maker gives no power curve.')
      : NO_NOTE,
    rules: [],
  }
}

/** Share of the wire's power that lifts water. */
export function wireToWaterWorking(worked: Worked): Working {
  const { line: side, water } = worked
  return {
    title: 'Wire to water',
    answer: measured('share', side.pump.wireToWater),
    band: null,
    formula: 'η = ρ g Q H / P',
    filled: sentence('{eta} = {rho} · {g} · {Q} · {H} / {P}', {
      eta: ['share', side.pump.wireToWater],
      rho: ['density', water.densityKgPerM3],
      g: ['acceleration', GRAVITY_M_PER_S2],
      Q: ['flow', side.pump.flowM3PerS, side.pump.flowBandM3PerS],
      H: ['head', side.pump.headM],
      P: ['power', side.pump.wirePowerW],
    }),
    terms: [
      term('ρ g Q H', 'power in the water', 'power', side.pump.hydraulicPowerW),
      term('P', 'power from the wire', 'power', side.pump.wirePowerW),
    ],
    source: 'Hydraulic power over wire power.',
    note: side.pump.powerIsScaled
      ? sentence('The wire power is scaled from the rated power.')
      : NO_NOTE,
    rules: [],
  }
}

/** The speed at which the pump just lifts water to the end. */
export function leastSpeedWorking(worked: Worked): Working {
  const { line: side } = worked
  const fullM = side.pump.shutOffHeadM / side.pump.speed ** 2
  return {
    title: 'Least speed to lift',
    answer: measured('share', side.leastSpeedToLift, side.leastSpeedBand),
    band: measured('share', side.leastSpeedBand),
    formula: 'n = √(z / H₀)',
    filled: sentence('{n} = √({z} / {H0})', {
      n: ['share', side.leastSpeedToLift, side.leastSpeedBand],
      z: ['head', side.liftM],
      H0: ['head', fullM],
    }),
    terms: [
      term('z', 'static lift', 'head', side.liftM),
      term('H₀', 'shut-off head at full speed', 'head', fullM),
    ],
    source: 'Affinity laws: H ∝ n².',
    note: sentence('Below it nothing flows.'),
    rules: [],
  }
}
