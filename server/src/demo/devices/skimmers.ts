import type { DevicePart, SkimmerForm } from '@yew-basin/core'
import { L_PER_H, LITRE, MM, part, type Printed, rounded } from './printed.ts'

interface PrintedSkimmer extends Printed {
  readonly form: SkimmerForm
  /** Litres of system, light, medium, heavy. */
  readonly rated: readonly [number, number, number]
  readonly water: number
  readonly air: number
  readonly bodyL: number
  readonly neckMm: number
  readonly depthMm?: readonly [number, number]
  readonly backL: number
  readonly cupMm: number
}

function skimmer(printed: PrintedSkimmer): DevicePart {
  const [light, medium, heavy] = printed.rated
  return {
    ...part('skimmer', printed),
    skimmer: {
      form: printed.form,
      ratedM3: { light: light * LITRE, medium: medium * LITRE, heavy: heavy * LITRE },
      flowM3PerS: rounded(printed.water * L_PER_H),
      airM3PerS: rounded(printed.air * L_PER_H),
      bodyM3: printed.bodyL * LITRE,
      neckBoreM: printed.neckMm * MM,
      wantsDepth: printed.depthMm
        ? { leastM: printed.depthMm[0] * MM, mostM: printed.depthMm[1] * MM }
        : null,
      givesBackM3: rounded(printed.backL * LITRE),
      cupLiftM: printed.cupMm * MM,
    },
  }
}

const PRINTED: readonly PrintedSkimmer[] = [
  internal({
    id: 'tansy-8',
    name: 'Tansy 8',
    mm: [72, 80, 360],
    w: 4,
    rated: [120, 90, 60],
    waterAndAir: [220, 70],
    bodyL: 0.9,
    neckMm: 46,
    depthMm: [300, 340],
    price: 2,
  }),
  internal({
    id: 'tansy-15',
    name: 'Tansy 15',
    mm: [110, 105, 390],
    w: 7,
    rated: [250, 180, 120],
    waterAndAir: [380, 150],
    bodyL: 1.8,
    neckMm: 58,
    depthMm: [150, 190],
    price: 2,
  }),
  internal({
    id: 'yarrow-30',
    name: 'Yarrow 30',
    mm: [165, 150, 440],
    w: 10,
    rated: [450, 320, 220],
    waterAndAir: [620, 260],
    bodyL: 3.2,
    neckMm: 75,
    depthMm: [160, 200],
    price: 3,
  }),
  internal({
    id: 'yarrow-60',
    name: 'Yarrow 60',
    mm: [195, 180, 500],
    w: 15,
    rated: [900, 700, 450],
    waterAndAir: [900, 420],
    bodyL: 5.2,
    neckMm: 90,
    depthMm: [220, 260],
    price: 3,
  }),
  {
    ...internal({
      id: 'campion-60',
      name: 'Campion 60',
      mm: [200, 185, 520],
      w: 13,
      rated: [950, 750, 500],
      waterAndAir: [950, 480],
      bodyL: 5.6,
      neckMm: 92,
      depthMm: [200, 240],
      price: 4,
    }),
    controllable: true,
    noise: 'silent',
  },
  {
    ...internal({
      id: 'campion-100',
      name: 'Campion 100',
      mm: [240, 225, 560],
      w: 22,
      rated: [1500, 1150, 800],
      waterAndAir: [1500, 800],
      bodyL: 9,
      neckMm: 115,
      depthMm: [220, 260],
      price: 5,
    }),
    controllable: true,
  },
  internal({
    id: 'yarrow-100',
    name: 'Yarrow 100',
    mm: [250, 230, 570],
    w: 28,
    rated: [1500, 1100, 750],
    waterAndAir: [1700, 760],
    bodyL: 9.5,
    neckMm: 115,
    depthMm: [220, 270],
    price: 4,
  }),
  outside({
    id: 'bryony-80',
    name: 'Bryony 80',
    form: 'external',
    mm: [320, 230, 560],
    w: 30,
    rated: [1200, 900, 600],
    waterAndAir: [1500, 700],
    bodyL: 12,
    neckMm: 120,
    price: 5,
    backL: 1.5,
  }),
  outside({
    id: 'bryony-160',
    name: 'Bryony 160',
    form: 'external',
    mm: [380, 290, 700],
    w: 55,
    rated: [2400, 1800, 1200],
    waterAndAir: [2600, 1300],
    bodyL: 24,
    neckMm: 150,
    price: 5,
    backL: 3,
  }),
  outside({
    id: 'sorrel-hung-12',
    name: 'Sorrel 12, hung',
    form: 'hung',
    mm: [140, 95, 380],
    w: 6,
    rated: [180, 130, 90],
    waterAndAir: [400, 120],
    bodyL: 2.1,
    neckMm: 52,
    price: 2,
    backL: 1.4,
  }),
  outside({
    id: 'sorrel-hung-25',
    name: 'Sorrel 25, hung',
    form: 'hung',
    mm: [185, 120, 420],
    w: 12,
    rated: [380, 280, 190],
    waterAndAir: [700, 240],
    bodyL: 3.6,
    neckMm: 66,
    price: 3,
    backL: 2.2,
  }),
]

function internal({
  id,
  name,
  mm,
  w,
  rated,
  waterAndAir: [water, air],
  bodyL,
  neckMm,
  depthMm,
  price,
}: {
  readonly id: string
  readonly name: string
  readonly mm: readonly [number, number, number]
  readonly w: number
  readonly rated: readonly [number, number, number]
  readonly waterAndAir: readonly [number, number]
  readonly bodyL: number
  readonly neckMm: number
  readonly depthMm: readonly [number, number]
  readonly price: number
}): PrintedSkimmer {
  const backL = Math.round(bodyL * 3) / 20
  const cupMm = Math.round(mm[2] * 0.18)
  const form = 'internal'
  return {
    id,
    name,
    mm,
    w,
    rated,
    water,
    air,
    bodyL,
    neckMm,
    depthMm,
    price,
    backL,
    cupMm,
    form,
    noise: 'heard-near',
  }
}

function outside({
  id,
  name,
  form,
  mm,
  w,
  rated,
  waterAndAir: [water, air],
  bodyL,
  neckMm,
  price,
  backL,
}: {
  readonly id: string
  readonly name: string
  readonly form: 'external' | 'hung'
  readonly mm: readonly [number, number, number]
  readonly w: number
  readonly rated: readonly [number, number, number]
  readonly waterAndAir: readonly [number, number]
  readonly bodyL: number
  readonly neckMm: number
  readonly price: number
  readonly backL: number
}): PrintedSkimmer {
  const cupMm = Math.round(mm[2] * 0.18)
  return {
    id,
    name,
    mm,
    w,
    rated,
    water,
    air,
    bodyL,
    neckMm,
    price,
    backL,
    cupMm,
    form,
    noise: 'heard-across',
  }
}

/** The made-up skimmers of the sample library. */
export const SKIMMERS: readonly DevicePart[] = PRINTED.map(skimmer)
