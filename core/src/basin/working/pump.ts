import { GRAVITY_M_PER_S2 } from '../../fluid/water.ts'
import { measured } from '../../quantity/format.ts'
import { sentence } from '../../quantity/sentence.ts'
import { NO_NOTE, term, type Worked, type Working } from './working.ts'

export function wirePowerWorking({ solved, layout }: Worked): Working {
  const { returnSide: side } = solved
  const scaled = side.powerIsScaled
  return {
    title: 'Pump power',
    answer: measured('power', side.wirePowerW),
    band: null,
    formula: scaled ? 'P = n³ · P_rated' : 'P = n³ · P₁(Q/n)',
    filled: sentence(scaled ? '{P} = ({n})³ · {rated}' : '{P} = ({n})³ · P₁({Q} / {n})', {
      P: ['power', side.wirePowerW],
      n: ['share', side.speed],
      rated: ['power', layout.part.ratedPowerW],
      Q: ['flow', side.flowM3PerS],
    }),
    terms: [
      term('n', 'speed of the pump', 'share', side.speed),
      term('P_rated', 'on the pump’s plate', 'power', layout.part.ratedPowerW),
      term('E', 'in a year, running without a break', 'energy', side.energyPerYearJ),
      term('heat', 'that reaches the water', 'power', side.heatToWaterW),
    ],
    source: 'Affinity laws: P ∝ n³.',
    note: scaled
      ? sentence('Scaled from the rated power: the maker gives no power curve.')
      : NO_NOTE,
    rules: [],
  }
}

export function wireToWaterWorking({ solved }: Worked): Working {
  const { returnSide: side, water } = solved
  return {
    title: 'Wire to water',
    answer: measured('share', side.wireToWater),
    band: null,
    formula: 'η = ρ g Q H / P',
    filled: sentence('{eta} = {rho} · {g} · {Q} · {H} / {P}', {
      eta: ['share', side.wireToWater],
      rho: ['density', water.densityKgPerM3],
      g: ['acceleration', GRAVITY_M_PER_S2],
      Q: ['flow', side.flowM3PerS],
      H: ['head', side.headM],
      P: ['power', side.wirePowerW],
    }),
    terms: [
      term('ρ g Q H', 'power in the water', 'power', side.hydraulicPowerW),
      term('P', 'power from the wire', 'power', side.wirePowerW),
    ],
    source: 'Hydraulic power over wire power.',
    note: side.powerIsScaled ? sentence('The wire power is scaled from the rated power.') : NO_NOTE,
    rules: [],
  }
}

export function leastSpeedWorking({ solved }: Worked): Working {
  const { returnSide: side } = solved
  const fullM = side.shutOffHeadM / side.speed ** 2
  return {
    title: 'Least speed to lift',
    answer: measured('share', side.leastSpeedToLift),
    band: null,
    formula: 'n = √(z / H₀)',
    filled: sentence('{n} = √({z} / {H0})', {
      n: ['share', side.leastSpeedToLift],
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
