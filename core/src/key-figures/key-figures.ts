import { leadOf } from '../figures/index.ts'
import type { Finding } from '../finding/index.ts'
import { type Judged, worstBlocked } from '../judge/index.ts'
import { measured } from '../quantity/index.ts'
import { COLOURED_BY } from './colours.ts'
import { type KeyFigure, keyFigureWords } from './key-figure.ts'

/** A solved design and what was found of it, the worst first. */
export interface Found extends Judged {
  readonly findings: readonly Finding[]
}

type Plain = Omit<KeyFigure, 'state' | 'finding'>

/** The figures a design is known by, each with its state, in the order of the water's way. */
export function keyFigures(solved: Found): KeyFigure[] {
  return [
    netVolume(solved),
    flow(solved),
    turnover(solved),
    head(solved),
    power(solved),
    drain(solved),
    outage(solved),
    ...skimmer(solved),
    ...dose(solved),
  ].map((figure) => coloured(figure, solved.findings))
}

function coloured(figure: Plain, findings: readonly Finding[]): KeyFigure {
  const codes = COLOURED_BY[figure.id]
  const finding = findings.find(({ code }) => codes.includes(code)) ?? null
  return { ...figure, state: finding?.severity ?? 'fine', finding }
}

function netVolume({ totals }: Found): Plain {
  return {
    id: 'netVolume',
    label: 'Net water',
    value: measured('volume', totals.netVolumeM3),
    beside: null,
    station: 'tank',
  }
}

function flow({ returnSide, tanks }: Found): Plain {
  return {
    id: 'flow',
    label: tanks.length > 1 ? 'At the tanks' : 'At the tank',
    value: measured('flow', returnSide.flowM3PerS, returnSide.flowBandM3PerS),
    beside: { is: 'band', si: returnSide.flowBandM3PerS },
    station: 'return',
  }
}

function turnover({ returnSide, totals }: Found): Plain {
  return {
    id: 'turnover',
    label: 'Turnover',
    value: measured(
      'turnover',
      returnSide.turnoverPerH ?? NaN,
      returnSide.turnoverBandPerH ?? undefined,
    ),
    beside: { is: 'of', value: measured('turnover', totals.wantedTurnoverPerH ?? NaN) },
    station: 'tank',
  }
}

function head(solved: Found): Plain {
  const { pump } = leadOf(solved)
  return {
    id: 'head',
    label: 'Duty head',
    value: measured('head', pump.headM, pump.headBandM),
    beside: { is: 'of', value: measured('head', pump.shutOffHeadM) },
    station: 'return',
  }
}

/** Everything that is plugged in. */
function power({ power: all }: Found): Plain {
  const { meanW, bandW, energyPerYearJ, energyPerYearBandJ, currency } = all
  const { costPerYear, costPerYearBand } = all
  return {
    id: 'power',
    label: 'Plugged in',
    value: measured('power', meanW, bandW),
    beside: {
      is: 'yearly',
      energy: measured('energy', energyPerYearJ, energyPerYearBandJ),
      cost:
        costPerYear === null ? null : measured('money', costPerYear, costPerYearBand ?? undefined),
      currency,
    },
    station: 'skimmer',
  }
}

/** With the worst pipe blocked; until drains are given, what is left below the rim. */
function drain({ overflows, totals }: Found): Plain {
  const left = worstBlocked(overflows)
  if (left === null) {
    return {
      id: 'freeboard',
      label: 'Below the rim',
      value: measured('length', totals.leastFreeboardM),
      beside: null,
      station: 'tank',
    }
  }
  return {
    id: 'drain',
    label: 'Drain margin',
    value: leftOf(left),
    beside: keyFigureWords(left.leftM === null ? 'spills with one blocked' : 'one blocked'),
    station: 'drains',
  }
}

/** A margin that counts; nil where it spills. */
const leftOf = ({ leftM, marginBandM }: Readonly<{ leftM: number | null; marginBandM: number }>) =>
  leftM === null ? measured('length', 0) : measured('length', leftM, marginBandM)

/** After a power cut; until the sump has sizes, the fastest water. */
function outage({ sump, totals }: Found): Plain {
  if (!sump.outage) {
    return {
      id: 'speed',
      label: 'Fastest water',
      value: measured('speed', totals.fastestMPerS),
      beside: null,
      station: 'return',
    }
  }
  return {
    id: 'outage',
    label: 'Outage margin',
    value: leftOf(sump.outage),
    beside: keyFigureWords(sump.outage.leftM === null ? 'spills' : 'to the rim'),
    station: 'sump',
  }
}

/** How the first skimmer is rated for the water, by the school in force. */
function skimmer({ treatment: { skimmers } }: Found): Plain[] {
  const ratio = skimmers[0]?.inForce.ratio ?? null
  if (ratio === null) return []
  return [
    {
      id: 'skimmer',
      label: 'Skimmer rated',
      value: measured('share', ratio),
      beside: keyFigureWords('of wanted'),
      station: 'skimmer',
    },
  ]
}

/** What the water gets from the first lamp. */
function dose({ treatment: { sterilizers } }: Found): Plain[] {
  const [first] = sterilizers
  if (!first || first.doseJPerM2 === null) return []
  return [
    {
      id: 'dose',
      label: 'Dose',
      value: measured('dose', first.doseJPerM2, first.doseBandJPerM2 ?? undefined),
      beside: { is: 'band', si: first.doseBandJPerM2 ?? 0 },
      station: 'sterilizer',
    },
  ]
}
