import type { Device } from '../design/index.ts'
import { NEW_LAMP, type SolvedSkimmer, type SolvedSterilizer } from '../figures/index.ts'
import { measured, sentence } from '../quantity/index.ts'
import { HEAVY_FROM_KG_PER_M3, MEDIUM_FROM_KG_PER_M3 } from '../skimmer/index.ts'
import {
  chamberVolumeM3,
  meanIrradianceWPerM2,
  residenceS,
  type SterilizerSpec,
} from '../uv/index.ts'
import type { About } from './about.ts'
import { NO_NOTE, term, type Term, type Working } from './working.ts'

const LOAD_SOURCE =
  'By definition. Frozen food counts by its dry fifth, dry food and sheets by nine tenths; the limits of the classes are a choice of ours.'
const RATIO_SOURCE = 'By definition, from what its maker prints.'
const QUOTED =
  'Doses are quoted in aquaculture extension literature, not guaranteed. A sterilizer is no treatment plan.'
const HOUR_S = 3600

interface Skimming {
  readonly device: Device
  readonly skimmer: SolvedSkimmer
}

function skimming({ design, solved: { treatment }, deviceId }: About): Skimming | null {
  const skimmer = treatment.skimmers.find((solvedSkimmer) => solvedSkimmer.deviceId === deviceId)
  const device = design.sump.devices.find(({ id }) => id === deviceId)
  return skimmer && device ? { device, skimmer } : null
}

interface Lit {
  readonly device: Device
  readonly spec: SterilizerSpec
  readonly lit: SolvedSterilizer
}

function lighting({ design, solved: { treatment }, deviceId }: About): Lit | null {
  const lit = treatment.sterilizers.find((sterilizer) => sterilizer.deviceId === deviceId)
  const device = design.sump.devices.find(({ id }) => id === deviceId)
  const spec = device?.part.sterilizer
  return lit && device && spec ? { device, spec, lit } : null
}

/** All water of the system, running. */
export function systemVolume({ solved: { treatment, tanks, sump } }: About): Working {
  const sum = (of: 'grossVolumeM3' | 'rockVolumeM3' | 'sandVolumeM3') =>
    tanks.reduce((total, tank) => total + tank[of], 0)
  const { systemVolumeM3 } = treatment.load
  const inSump = sump.volumeM3 ?? 0
  const boxes =
    systemVolumeM3 - sum('grossVolumeM3') - inSump + sum('rockVolumeM3') + sum('sandVolumeM3')
  return {
    title: 'Water in the system',
    answer: measured('volume', systemVolumeM3),
    band: null,
    formula: 'V = V_display + V_box + V_sump − rock − sand − equipment',
    filled: sentence('{V} = {display} + {box} + {sump} − {rock} − {sand}', {
      V: ['volume', systemVolumeM3],
      display: ['volume', sum('grossVolumeM3')],
      box: ['volume', boxes],
      sump: ['volume', inSump],
      rock: ['volume', sum('rockVolumeM3')],
      sand: ['volume', sum('sandVolumeM3')],
    }),
    terms: [
      term('V_display', 'all tanks at their running levels', 'volume', sum('grossVolumeM3')),
      term('V_box', 'overflow boxes; one inside a tank takes its room there', 'volume', boxes),
      term('V_sump', 'all chambers as they run, less what stands in them', 'volume', inSump),
    ],
    source: 'Geometry, on inside sizes, at running levels.',
    note:
      sump.volumeM3 === null
        ? sentence('The sump has no sizes yet, so its water is not counted.')
        : NO_NOTE,
    rules: [],
  }
}

/** Dry mass fed a day, over the system's water. */
export function feedLoad({ design, solved: { treatment } }: About): Working | null {
  const { systemVolumeM3, least, most } = treatment.load
  const { loadKgPerM3, dryFeedKgPerDay } = most
  if (loadKgPerM3 === null) return null
  const { otherShare } = design.treatment
  return {
    title: 'Load in a day',
    answer: measured('food-load', loadKgPerM3),
    band: null,
    formula: 'load = m_dry (1 − s)/V',
    filled: sentence('{load} = {dry} · (1 − {other}) / {V}', {
      load: ['food-load', loadKgPerM3],
      dry: ['food', dryFeedKgPerDay],
      other: ['share', otherShare],
      V: ['volume', systemVolumeM3],
    }),
    terms: [
      term('m_dry', 'food without its water, in a day', 'food', dryFeedKgPerDay),
      term('s', 'share that other filtration takes', 'share', otherShare),
      term('V', 'water in the system', 'volume', systemVolumeM3),
      term('medium', 'from here on', 'food-load', MEDIUM_FROM_KG_PER_M3),
      term('heavy', 'from here on', 'food-load', HEAVY_FROM_KG_PER_M3),
      ...(least.loadKgPerM3 === null || least === most
        ? []
        : [term('least', 'on a day of least feeding', 'food-load', least.loadKgPerM3)]),
    ],
    source: LOAD_SOURCE,
    note: NO_NOTE,
    rules: [],
  }
}

/** Share of the sump's throughflow that the skimmer treats. */
export function shareOfThroughflow(about: About): Working | null {
  const found = skimming(about)
  const share = found?.skimmer.shareOfThroughflow ?? null
  if (!found || share === null) return null
  const { flowM3PerS } = found.skimmer
  return {
    title: 'Share of the chamber’s flow',
    answer: measured('share', share),
    band: null,
    formula: 's = q/Q',
    filled: sentence('{s} = {q} / {Q}', {
      s: ['share', share],
      q: ['flow', flowM3PerS],
      Q: ['flow', flowM3PerS / share],
    }),
    terms: [
      term('q', 'through the skimmer', 'flow', flowM3PerS),
      term('Q', 'through its chamber', 'flow', flowM3PerS / share),
    ],
    source: RATIO_SOURCE,
    note: sentence('The rest goes past it to the next chamber and comes round again.'),
    rules: [],
  }
}

/** System volumes that pass the skimmer in an hour. */
export function systemVolumes(about: About): Working | null {
  const { solved } = about
  const found = skimming(about)
  const perH = found?.skimmer.systemVolumesPerH ?? null
  if (!found || perH === null) return null
  const { systemVolumeM3 } = solved.treatment.load
  return {
    title: 'System volumes skimmed an hour',
    answer: measured('turnover', perH),
    band: null,
    formula: 'n = q/V',
    filled: sentence('{n} = {q} / {V}', {
      n: ['turnover', perH],
      q: ['flow', found.skimmer.flowM3PerS],
      V: ['volume', systemVolumeM3],
    }),
    terms: [
      term('q', 'through the skimmer', 'flow', found.skimmer.flowM3PerS),
      term('V', 'water in the system', 'volume', systemVolumeM3),
    ],
    source: RATIO_SOURCE,
    note: NO_NOTE,
    rules: [{ rule: sentence('Keepers quote 1–3 times an hour.'), offBy: null }],
  }
}

/** Time water stays in the skimmer's body. */
export function dwell(about: About): Working | null {
  const found = skimming(about)
  const dwellS = found?.skimmer.dwellS ?? null
  if (!found || dwellS === null) return null
  const { bodyM3 } = found.device.part.skimmer!
  return {
    title: 'Dwell in the body',
    answer: measured('duration', dwellS),
    band: null,
    formula: 't = V_body/q',
    filled: sentence('{t} = {V} / {q}', {
      t: ['duration', dwellS],
      V: ['volume', bodyM3],
      q: ['flow', found.skimmer.flowM3PerS],
    }),
    terms: [
      term('V_body', 'water in its body', 'volume', bodyM3),
      term('q', 'through it', 'flow', found.skimmer.flowM3PerS),
    ],
    source: RATIO_SOURCE,
    note: NO_NOTE,
    rules: [],
  }
}

/** Air drawn, over the water pumped. */
export function air(about: About): Working | null {
  const found = skimming(about)
  const { airToWater = null } = found?.skimmer ?? {}
  if (!found || airToWater === null) return null
  const { neckBoreM } = found.device.part.skimmer!
  return {
    title: 'Air over the neck',
    answer: measured('air-per-neck', found.skimmer.airPerNeckMPerS),
    band: null,
    formula: 'a = A/(π d²/4); air to water = A/q',
    filled: sentence('{a} = {A} over a neck of {d}; air to water {ratio}', {
      a: ['air-per-neck', found.skimmer.airPerNeckMPerS],
      A: ['flow', found.skimmer.airM3PerS],
      d: ['length', neckBoreM],
      ratio: ['number', airToWater],
    }),
    terms: [
      term('A', 'air it draws', 'flow', found.skimmer.airM3PerS),
      term('d', 'bore of its neck', 'length', neckBoreM),
      term('q', 'water through it', 'flow', found.skimmer.flowM3PerS),
    ],
    source: RATIO_SOURCE,
    note: sentence(
      'More air over the neck carries wetter foam up; makers measure air differently.',
    ),
    rules: [],
  }
}

/** Water over the skimmer's foot, beside what its maker wants. */
export function skimmerDepthWorking(about: About): Working | null {
  const skimmed = skimming(about)
  const found = skimmed?.skimmer.depth
  if (!skimmed || !found) return null
  return {
    title: 'Water over its foot',
    answer: measured('length', found.depthM),
    band: null,
    formula: 'd = level − stand',
    filled: sentence('{d} = {level} − {stand}', {
      d: ['length', found.depthM],
      level: ['length', found.depthM + skimmed.device.standM],
      stand: ['length', skimmed.device.standM],
    }),
    terms: [
      term('least', 'that it works in', 'length', found.leastM),
      term('most', 'that it works in', 'length', found.mostM),
      term('stand', 'for the middle of that', 'length', found.standM),
      term(
        'level',
        'of the chamber for the middle, on this stand',
        'length',
        found.wantedChamberDepthM,
      ),
    ],
    source: 'The chamber’s level at its flow, over the sump’s floor.',
    note: NO_NOTE,
    rules: [],
  }
}

function lampTerms({ device, lit, spec }: Lit): Term[] {
  const lamp = device.lamp ?? NEW_LAMP
  const both = [
    term('a', 'what the lamp has left of its first light', 'share', lit.ageing),
    term('f', 'what the sleeve’s film lets through', 'share', lamp.sleeveFactor),
    term('Q', 'the branch’s own flow', 'flow', lit.flowM3PerS),
  ]
  if (spec.by === 'maker') {
    return [
      term('D₀', 'printed dose', 'dose', spec.ratedDoseJPerM2),
      term('Q₀', 'flow it is printed at', 'flow', spec.ratedFlowM3PerS),
      term('u', 'clarity of this water over the rating’s', 'share', lamp.waterFactor),
      ...both,
    ]
  }
  return [
    term('Ē', 'mean over the water round the sleeve', 'irradiance', meanIrradianceWPerM2(spec)),
    term('V', 'of that water', 'volume', chamberVolumeM3(spec)),
    term('m', 'mixing', 'share', spec.mixingFactor),
    ...(lit.flowM3PerS > 0
      ? [term('t', 'time it is lit, V/Q', 'duration', residenceS(spec, lit.flowM3PerS))]
      : []),
    ...both,
  ]
}

/** Dose of the lamp, by its flow, age and the water's transmittance. */
export function dose(about: About): Working | null {
  const lit = lighting(about)
  if (!lit || lit.lit.doseJPerM2 === null) return null
  const maker = lit.spec.by === 'maker'
  return {
    title: 'Dose',
    answer: measured('dose', lit.lit.doseJPerM2),
    band: measured('dose', lit.lit.doseBandJPerM2 ?? 0),
    formula: maker
      ? 'D = D₀ (Q₀/Q) · a · u · f'
      : 'D = Ē · V/Q · m · a · f, E(r) = P/(2πrL) · T^((r−r₁)/1 cm)',
    filled: sentence('{D} at {Q}', {
      D: ['dose', lit.lit.doseJPerM2, lit.lit.doseBandJPerM2 ?? 0],
      Q: ['flow', lit.lit.flowM3PerS, lit.lit.flowBandM3PerS],
    }),
    terms: lampTerms(lit),
    source: `${maker ? 'From the maker’s figure, dose as 1/Q.' : 'Lamp as a line source in absorbing water, averaged over the annulus in closed form.'} Band: the flow’s own, and ± 30 % of clarity and mixing.`,
    note: sentence(
      'A lamp loses a fifth over its rated hours and keeps losing. What a maker prints is seldom measured the same way twice.',
    ),
    rules: [],
  }
}

/** Half-life of what the sterilizer kills, by its dose and the system's water. */
export function removal(about: About): Working | null {
  const { design, solved } = about
  const lit = lighting(about)
  const targetId = about.targetId ?? design.treatment.targetId
  const target = design.treatment.targets.find(({ id }) => id === targetId)
  const against = lit?.lit.targets.find((row) => row.targetId === targetId)
  if (!lit || !target || !against) return null
  const { systemVolumeM3 } = solved.treatment.load
  return {
    title: `Removal from the tank, ${target.organism}`,
    answer: measured('rate', against.removalPerS, against.removalBandPerS),
    band: measured('rate', against.removalBandPerS),
    formula:
      lit.lit.path === 'sump-to-display'
        ? 'λ² − (Qr/V₁ + Qr/V₂) λ + Qr q kill/(V₁V₂) = 0, kill = 1 − 10^(−D/D₁₀), D₁₀ = target/3'
        : 'λ² − (Qr/V₁ + Qr/V₂ + κ) λ + κ Qr/V₁ = 0, κ = q kill/V₂, kill = 1 − 10^(−D/D₁₀), D₁₀ = target/3',
    filled: sentence('λ = {k}, the smaller root', {
      k: ['rate', against.removalPerS, against.removalBandPerS],
    }),
    terms: [
      term('q', 'through the lamp', 'flow', lit.lit.flowM3PerS),
      term('Qr', 'over the overflow', 'flow', lit.lit.overflowM3PerS),
      term('V₁', 'water in the tanks', 'volume', solved.treatment.load.displayM3),
      term('V₂', 'water in the sump', 'volume', solved.treatment.load.sumpM3),
      term('k', 'were all of it one mixed volume', 'rate', against.mixedRemovalPerS),
      term('D', 'dose', 'dose', lit.lit.doseJPerM2 ?? 0),
      term('target', 'the most that is quoted', 'dose', target.mostJPerM2),
      term('kill', 'in one pass', 'share', against.killPerPass),
      ...(against.halfLifeS === null
        ? []
        : [
            {
              symbol: 't½',
              meaning: 'in which half are gone',
              value: measured('duration', against.halfLifeS, against.halfLifeBandS),
            },
          ]),
      ...(target.doublingS === null
        ? []
        : [term('t₂', 'in which they double', 'duration', target.doublingS)]),
    ],
    source: QUOTED,
    note: sentence('Only what passes the lamp is touched: what sits on rock and sand is not.'),
    rules: [
      {
        rule: sentence('Keepers quote 1–2 system volumes an hour; this is {n}.', {
          n: ['turnover', systemVolumeM3 > 0 ? (lit.lit.flowM3PerS * HOUR_S) / systemVolumeM3 : 0],
        }),
        offBy: null,
      },
    ],
  }
}
