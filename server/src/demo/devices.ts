import type { DeviceKind, DevicePart, NoiseClass, SkimmerForm } from '@yew-basin/core'

/** The made-up devices of the sample library: sizes in mm, flows in L/h, as a maker would print them. */
const L_PER_H = 1 / 3.6e6
const MM = 1e-3
const LITRE = 1e-3
const HOUR_S = 3600
const MJ_PER_CM2 = 10

const rounded = (si: number) => Number(si.toPrecision(9))

interface Printed {
  readonly id: string
  readonly name: string
  /** Length, width, height. */
  readonly mm: readonly [number, number, number]
  readonly w: number
  readonly controllable?: boolean
  readonly noise: NoiseClass
  readonly price: number
  /** Share of its box that stands in the water's surface. */
  readonly fills?: number
  readonly window?: readonly [number, number]
}

function part(kind: DeviceKind, printed: Printed): DevicePart {
  const [length, width, height] = printed.mm
  const { window } = printed
  return {
    id: printed.id,
    name: printed.name,
    kind,
    lengthM: length * MM,
    widthM: width * MM,
    heightM: height * MM,
    sectionM2: rounded(length * width * MM * MM * (printed.fills ?? 0.5)),
    handM: 0.04,
    control: printed.controllable ? 'controllable' : 'fixed-speed',
    powerW: printed.w,
    noise: printed.noise,
    priceClass: printed.price,
    window: window
      ? { leastM3PerS: rounded(window[0] * L_PER_H), mostM3PerS: rounded(window[1] * L_PER_H) }
      : null,
    skimmer: null,
    sterilizer: null,
  }
}

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

const SKIMMERS: readonly PrintedSkimmer[] = [
  internal(
    'tansy-8',
    'Tansy 8',
    [72, 80, 360],
    4,
    [120, 90, 60],
    [220, 70],
    0.9,
    46,
    [300, 340],
    2,
  ),
  internal(
    'tansy-15',
    'Tansy 15',
    [110, 105, 390],
    7,
    [250, 180, 120],
    [380, 150],
    1.8,
    58,
    [150, 190],
    2,
  ),
  internal(
    'yarrow-30',
    'Yarrow 30',
    [165, 150, 440],
    10,
    [450, 320, 220],
    [620, 260],
    3.2,
    75,
    [160, 200],
    3,
  ),
  internal(
    'yarrow-60',
    'Yarrow 60',
    [195, 180, 500],
    15,
    [900, 700, 450],
    [900, 420],
    5.2,
    90,
    [220, 260],
    3,
  ),
  {
    ...internal(
      'campion-60',
      'Campion 60',
      [200, 185, 520],
      13,
      [950, 750, 500],
      [950, 480],
      5.6,
      92,
      [200, 240],
      4,
    ),
    controllable: true,
    noise: 'silent',
  },
  {
    ...internal(
      'campion-100',
      'Campion 100',
      [240, 225, 560],
      22,
      [1500, 1150, 800],
      [1500, 800],
      9,
      115,
      [220, 260],
      5,
    ),
    controllable: true,
  },
  internal(
    'yarrow-100',
    'Yarrow 100',
    [250, 230, 570],
    28,
    [1500, 1100, 750],
    [1700, 760],
    9.5,
    115,
    [220, 270],
    4,
  ),
  outside(
    'bryony-80',
    'Bryony 80',
    'external',
    [320, 230, 560],
    30,
    [1200, 900, 600],
    [1500, 700],
    12,
    120,
    5,
    1.5,
  ),
  outside(
    'bryony-160',
    'Bryony 160',
    'external',
    [380, 290, 700],
    55,
    [2400, 1800, 1200],
    [2600, 1300],
    24,
    150,
    5,
    3,
  ),
  outside(
    'sorrel-hung-12',
    'Sorrel 12, hung',
    'hung',
    [140, 95, 380],
    6,
    [180, 130, 90],
    [400, 120],
    2.1,
    52,
    2,
    1.4,
  ),
  outside(
    'sorrel-hung-25',
    'Sorrel 25, hung',
    'hung',
    [185, 120, 420],
    12,
    [380, 280, 190],
    [700, 240],
    3.6,
    66,
    3,
    2.2,
  ),
]

function internal(
  id: string,
  name: string,
  mm: readonly [number, number, number],
  w: number,
  rated: readonly [number, number, number],
  [water, air]: readonly [number, number],
  bodyL: number,
  neckMm: number,
  depthMm: readonly [number, number],
  price: number,
): PrintedSkimmer {
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

function outside(
  id: string,
  name: string,
  form: 'external' | 'hung',
  mm: readonly [number, number, number],
  w: number,
  rated: readonly [number, number, number],
  [water, air]: readonly [number, number],
  bodyL: number,
  neckMm: number,
  price: number,
  backL: number,
): PrintedSkimmer {
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

interface PrintedSterilizer extends Printed {
  /** [mJ/cm², L/h]; left out: from lamp and chamber. */
  readonly dose?: readonly [number, number]
  readonly uvcW: number
  readonly arcMm: number
  readonly sleeveMm: number
  readonly chamberMm: number
  readonly pullMm: number
  readonly portMm: number
}

function sterilizer(printed: PrintedSterilizer): DevicePart {
  const { dose } = printed
  return {
    ...part('sterilizer', printed),
    sterilizer: {
      by: dose ? 'maker' : 'lamp',
      ratedDoseJPerM2: (dose?.[0] ?? 30) * MJ_PER_CM2,
      ratedFlowM3PerS: rounded((dose?.[1] ?? 1000) * L_PER_H),
      uvcPowerW: printed.uvcW,
      arcLengthM: printed.arcMm * MM,
      sleeveDiameterM: printed.sleeveMm * MM,
      chamberBoreM: printed.chamberMm * MM,
      transmittancePerCm: 0.95,
      mixingFactor: 0.7,
      ratedHoursS: 9000 * HOUR_S,
      pullOutM: printed.pullMm * MM,
      portBoreM: printed.portMm * MM,
    },
  }
}

const STERILIZERS: readonly PrintedSterilizer[] = [
  {
    id: 'saxifrage-9',
    name: 'Saxifrage 9',
    mm: [340, 85, 95],
    w: 11,
    noise: 'silent',
    price: 2,
    window: [100, 900],
    dose: [25, 600],
    uvcW: 2.4,
    arcMm: 130,
    sleeveMm: 23,
    chamberMm: 54,
    pullMm: 300,
    portMm: 16,
  },
  {
    id: 'saxifrage-25',
    name: 'Saxifrage 25',
    mm: [520, 95, 110],
    w: 28,
    noise: 'silent',
    price: 3,
    window: [200, 2000],
    dose: [45, 1500],
    uvcW: 8,
    arcMm: 300,
    sleeveMm: 25,
    chamberMm: 68,
    pullMm: 480,
    portMm: 16,
  },
  {
    id: 'saxifrage-40',
    name: 'Saxifrage 40',
    mm: [820, 100, 115],
    w: 44,
    noise: 'silent',
    price: 4,
    window: [400, 4000],
    dose: [60, 2500],
    uvcW: 13,
    arcMm: 560,
    sleeveMm: 25,
    chamberMm: 76,
    pullMm: 780,
    portMm: 20,
  },
  {
    id: 'comfrey-55',
    name: 'Comfrey 55',
    mm: [900, 130, 150],
    w: 60,
    noise: 'silent',
    price: 5,
    window: [800, 7000],
    uvcW: 17,
    arcMm: 700,
    sleeveMm: 28,
    chamberMm: 102,
    pullMm: 860,
    portMm: 40,
  },
]

const REST: readonly DevicePart[] = [
  part('flow-meter', {
    id: 'float-meter-1000',
    name: 'Float meter 100 to 1 000 L/h',
    mm: [45, 45, 240],
    w: 0,
    noise: 'silent',
    price: 2,
    window: [100, 1000],
  }),
  part('flow-meter', {
    id: 'float-meter-4000',
    name: 'Float meter 400 to 4 000 L/h',
    mm: [60, 60, 320],
    w: 0,
    noise: 'silent',
    price: 3,
    window: [400, 4000],
  }),
  part('heater', {
    id: 'ember-150',
    name: 'Ember rod 150',
    mm: [35, 35, 330],
    w: 150,
    noise: 'silent',
    price: 1,
    fills: 0.78,
  }),
  part('heater', {
    id: 'ember-300',
    name: 'Ember rod 300',
    mm: [40, 40, 400],
    w: 300,
    noise: 'silent',
    price: 2,
    fills: 0.78,
  }),
  part('chiller', {
    id: 'rime-150',
    name: 'Rime 150',
    mm: [430, 300, 420],
    w: 180,
    noise: 'heard-across',
    price: 5,
    window: [800, 2500],
  }),
  part('reactor', {
    id: 'burdock-1',
    name: 'Burdock 1, media reactor',
    mm: [120, 120, 400],
    w: 0,
    noise: 'silent',
    price: 2,
    fills: 0.78,
    window: [60, 300],
  }),
  part('reactor', {
    id: 'burdock-3',
    name: 'Burdock 3, media reactor',
    mm: [160, 160, 520],
    w: 0,
    noise: 'silent',
    price: 3,
    fills: 0.78,
    window: [150, 700],
  }),
  part('scrubber', {
    id: 'moss-20',
    name: 'Moss 20, algae scrubber',
    mm: [260, 160, 220],
    w: 24,
    noise: 'heard-near',
    price: 3,
    window: [300, 700],
  }),
]

export const SAMPLE_DEVICES: readonly DevicePart[] = [
  ...SKIMMERS.map(skimmer),
  ...STERILIZERS.map(sterilizer),
  ...REST,
]

/** One of them by its id. */
export function sampleDevice(id: string): DevicePart {
  const found = SAMPLE_DEVICES.find((one) => one.id === id)
  if (!found) throw new RangeError(`the sample library has no device ${id}`)
  return found
}
