import { measured, sentence } from '../quantity/index.ts'
import { NO_NOTE, term, type Worked, type Working } from './working.ts'

/** Water between the panels, nothing in it. */
export function grossVolumeWorking(worked: Worked): Working {
  const { tank, solvedTank } = worked
  return {
    title: 'Gross water',
    answer: measured('volume', solvedTank.grossVolumeM3),
    band: null,
    formula: 'V = L · W · h',
    filled: sentence('{V} = {L} · {W} · {h}', {
      V: ['volume', solvedTank.grossVolumeM3],
      L: ['length', tank.lengthM],
      W: ['length', tank.widthM],
      h: ['length', tank.waterLevelM],
    }),
    terms: [
      term('L', 'inside length', 'length', tank.lengthM),
      term('W', 'inside width', 'length', tank.widthM),
      term('h', 'running water level over the inside floor', 'length', tank.waterLevelM),
    ],
    source: 'Geometry, on inside sizes.',
    note: NO_NOTE,
    rules: [],
  }
}

/** Water less what rock and sand displace. */
export function netVolumeWorking(worked: Worked): Working {
  const { solvedTank: tank } = worked
  const { displacement } = worked.tank
  return {
    title: 'Net water',
    answer: measured('volume', tank.netVolumeM3),
    band: null,
    formula: 'V = V_gross − m_r/ρ_r − m_s/ρ_s',
    filled: sentence('{V} = {gross} − {rock} − {sand}', {
      V: ['volume', tank.netVolumeM3],
      gross: ['volume', tank.grossVolumeM3],
      rock: ['volume', tank.rockVolumeM3],
      sand: ['volume', tank.sandVolumeM3],
    }),
    terms: [
      term('m_r', 'rock', 'mass', displacement.rockMassKg),
      term(
        'ρ_r',
        'rock’s mass over the water it pushes aside',
        'density',
        displacement.rockDensityKgPerM3,
      ),
      term('m_s', 'sand', 'mass', displacement.sandMassKg),
      term('ρ_s', 'of the sand’s grains', 'density', displacement.sandGrainDensityKgPerM3),
      term('d', 'depth of the sand bed, raked level (40 % water)', 'length', tank.sandDepthM),
    ],
    source: 'Displacement; sand counts by its grains, the water between them stays water.',
    note: sentence(
      'Rock’s density is the doubtful one: porous reef rock runs from 1 600 to 2 300 kg/m³.',
    ),
    rules: [],
  }
}

/** Mass of water, rock and sand on the stand. */
export function contentsMassWorking(worked: Worked): Working {
  const { solvedTank: tank, water } = worked
  return {
    title: 'Weight of the contents',
    answer: measured('mass', tank.contentsMassKg),
    band: null,
    formula: 'm = ρ V + m_r + m_s',
    filled: sentence('{m} = {rho} · {V} + {rock} + {sand}', {
      m: ['mass', tank.contentsMassKg],
      rho: ['density', water.densityKgPerM3],
      V: ['volume', tank.netVolumeM3],
      rock: ['mass', worked.tank.displacement.rockMassKg],
      sand: ['mass', worked.tank.displacement.sandMassKg],
    }),
    terms: [
      term('ρ', 'density of this water', 'density', water.densityKgPerM3),
      term('V', 'net water', 'volume', tank.netVolumeM3),
    ],
    source: 'Density: Millero & Poisson 1981 (EOS-80).',
    note: sentence(
      'The tank, its stand and a full sump come on top. Ask a licensed person what the floor bears.',
    ),
    rules: [],
  }
}

/** Flow wanted by the turnover that is set. */
export function wantedFlowWorking(worked: Worked): Working {
  const { solvedTank } = worked
  const range = worked.rules.turnoverRangePerH
  return {
    title: 'Wanted flow',
    answer: measured('flow', solvedTank.wantedFlowM3PerS),
    band: null,
    formula: 'Q = n · V_net',
    filled: sentence('{Q} = {n} · {V}', {
      Q: ['flow', solvedTank.wantedFlowM3PerS],
      n: ['turnover', worked.tank.turnoverPerH],
      V: ['volume', solvedTank.netVolumeM3],
    }),
    terms: [
      term('n', 'wanted turnover', 'turnover', worked.tank.turnoverPerH),
      term('V_net', 'net water of the display', 'volume', solvedTank.netVolumeM3),
    ],
    source: 'Your own choice of turnover.',
    note: NO_NOTE,
    rules: [
      {
        rule: sentence(
          range
            ? 'Keepers quote 3–5, 5–7, 7–10 and 10–12 volumes an hour; this loop runs in the {from}–{to} range.'
            : 'Keepers quote 3–5, 5–7, 7–10 and 10–12 volumes an hour; this loop runs outside all of them.',
          range ? { from: String(range[0]), to: String(range[1]) } : {},
        ),
        offBy: null,
      },
    ],
  }
}

/** The water's density, by its salinity and temperature. */
export function waterWorking(worked: Worked): Working {
  const { water } = worked
  return {
    title: 'This water',
    answer: measured('density', water.densityKgPerM3),
    band: null,
    formula: 'ρ(S, T), μ(S, T), ν = μ/ρ',
    filled: sentence('{nu} = {mu} / {rho}', {
      nu: ['kinematic-viscosity', water.kinematicM2PerS],
      mu: ['viscosity', water.viscosityPaS],
      rho: ['density', water.densityKgPerM3],
    }),
    terms: [
      term('S', 'salinity', 'salinity', worked.design.water.salinityPpt),
      term('T', 'temperature', 'temperature', worked.design.water.temperatureC),
      term('SG', 'ρ(S, T)/ρ(0, T), at this temperature', 'number', water.specificGravity),
      ...(water.conductivityMSPerCm === null
        ? []
        : [term('C', 'conductivity', 'conductivity', water.conductivityMSPerCm)]),
    ],
    source:
      'ρ: Millero & Poisson 1981 (EOS-80). μ: Sharqawy, Lienhard & Zubair 2010, eq. 22–23. C: PSS-78 (Lewis 1980).',
    note: NO_NOTE,
    rules: [],
  }
}
