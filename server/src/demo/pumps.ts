import type { PumpPart } from '@yew-basin/core'

/** The made-up sample library: curves as a maker would print them, in L/h and m. */
interface Printed {
  readonly id: string
  readonly name: string
  readonly control: PumpPart['control']
  readonly mounting: PumpPart['mounting']
  /** [L/h, m] */
  readonly curve: readonly (readonly [number, number])[]
  /** Only for a pump that prints no curve: [most L/h, most m]. */
  readonly twoNumbers?: readonly [number, number]
  readonly ratedW: number
  /** [L/h, W] */
  readonly power?: readonly (readonly [number, number])[]
  readonly outletMm: number
  readonly leastSpeed?: number
  /** 1 little to 5 much. */
  readonly price: number
  /** The box around it: length, width, height. */
  readonly sizeMm: readonly [number, number, number]
}

const LITRES_AN_HOUR = 3.6e6

/** Rounded to 1e-12 m³/s, so that a stored curve reads cleanly. */
function m3PerS(litresAnHour: number): number {
  return Number((litresAnHour / LITRES_AN_HOUR).toFixed(12))
}

function sizeOf({ sizeMm: [length, width, height] }: Printed) {
  return { lengthM: length / 1000, widthM: width / 1000, heightM: height / 1000 }
}

function part(printed: Printed): PumpPart {
  const { twoNumbers, power = [], leastSpeed = 1 } = printed
  return {
    id: printed.id,
    partId: printed.id,
    name: printed.name,
    control: printed.control,
    mounting: printed.mounting,
    curve: printed.curve.map(([flow, headM]) => ({ flowM3PerS: m3PerS(flow), headM })),
    shutOffHeadM: twoNumbers ? twoNumbers[1] : null,
    maxFlowM3PerS: twoNumbers ? m3PerS(twoNumbers[0]) : null,
    ratedPowerW: printed.ratedW,
    power: power.map(([flow, powerW]) => ({ flowM3PerS: m3PerS(flow), powerW })),
    outletBoreM: printed.outletMm / 1000,
    inletBoreM: null,
    leastDepthM: null,
    leastSpeed,
    priceClass: printed.price,
    size: sizeOf(printed),
  }
}

const PRINTED: readonly Printed[] = [
  {
    id: 'teasel-4',
    name: 'Teasel 4',
    control: 'fixed-speed',
    mounting: 'under-water',
    curve: [
      [0, 0.85],
      [100, 0.77],
      [200, 0.62],
      [300, 0.38],
      [400, 0],
    ],
    ratedW: 4.5,
    price: 1,
    sizeMm: [55, 42, 50],
    outletMm: 12,
  },
  {
    id: 'teasel-7',
    name: 'Teasel 7',
    control: 'fixed-speed',
    mounting: 'under-water',
    curve: [
      [0, 1.2],
      [200, 1.09],
      [400, 0.85],
      [550, 0.52],
      [700, 0],
    ],
    ratedW: 8,
    price: 1,
    sizeMm: [62, 46, 56],
    outletMm: 13,
  },
  {
    id: 'sorrel-10',
    name: 'Sorrel 10',
    control: 'fixed-speed',
    mounting: 'under-water',
    curve: [
      [0, 1.5],
      [300, 1.36],
      [600, 1.02],
      [800, 0.62],
      [1000, 0],
    ],
    ratedW: 14,
    price: 1,
    sizeMm: [78, 56, 66],
    outletMm: 16,
  },
  {
    id: 'sorrel-12',
    name: 'Sorrel 12 with controller',
    control: 'controllable',
    mounting: 'under-water',
    curve: [
      [0, 1.7],
      [300, 1.58],
      [600, 1.32],
      [900, 0.86],
      [1200, 0.05],
    ],
    ratedW: 12,
    power: [
      [0, 7],
      [400, 9],
      [800, 11],
      [1200, 12],
    ],
    price: 2,
    sizeMm: [82, 58, 70],
    outletMm: 16,
    leastSpeed: 0.3,
  },
  {
    id: 'sedge-20',
    name: 'Sedge 20 with controller',
    control: 'controllable',
    mounting: 'under-water',
    curve: [],
    twoNumbers: [2000, 2.2],
    ratedW: 20,
    price: 2,
    sizeMm: [96, 66, 80],
    outletMm: 19,
    leastSpeed: 0.3,
  },
  {
    id: 'hazel-25',
    name: 'Hazel 25',
    control: 'fixed-speed',
    mounting: 'under-water',
    curve: [
      [0, 2.6],
      [600, 2.42],
      [1200, 2.05],
      [1800, 1.4],
      [2300, 0.45],
      [2500, 0],
    ],
    ratedW: 38,
    power: [
      [0, 26],
      [1000, 32],
      [2000, 37],
      [2500, 38],
    ],
    price: 2,
    sizeMm: [120, 76, 96],
    outletMm: 20,
  },
  {
    id: 'rowan-30',
    name: 'Rowan 30 with controller',
    control: 'controllable',
    mounting: 'either',
    curve: [
      [0, 3.1],
      [800, 2.95],
      [1600, 2.5],
      [2400, 1.62],
      [3000, 0.4],
    ],
    ratedW: 32,
    power: [
      [0, 17],
      [1000, 23],
      [2000, 29],
      [3000, 32],
    ],
    price: 3,
    sizeMm: [118, 82, 100],
    outletMm: 21,
    leastSpeed: 0.3,
  },
  {
    id: 'hazel-40',
    name: 'Hazel 40',
    control: 'fixed-speed',
    mounting: 'either',
    curve: [
      [0, 3.3],
      [1000, 3.08],
      [2000, 2.6],
      [3000, 1.75],
      [3700, 0.6],
      [4000, 0],
    ],
    ratedW: 65,
    power: [
      [0, 44],
      [1500, 53],
      [3000, 62],
      [4000, 65],
    ],
    price: 2,
    sizeMm: [150, 92, 118],
    outletMm: 25,
  },
  {
    id: 'rowan-50',
    name: 'Rowan 50 with controller',
    control: 'controllable',
    mounting: 'either',
    curve: [
      [0, 4.2],
      [1200, 4.0],
      [2400, 3.45],
      [3600, 2.45],
      [4500, 1.2],
      [5100, 0.2],
    ],
    ratedW: 55,
    power: [
      [0, 27],
      [1500, 38],
      [3000, 48],
      [4500, 54],
      [5100, 55],
    ],
    price: 3,
    sizeMm: [142, 96, 122],
    outletMm: 27,
    leastSpeed: 0.3,
  },
  {
    id: 'alder-60',
    name: 'Alder 60',
    control: 'fixed-speed',
    mounting: 'either',
    curve: [
      [0, 4.4],
      [1500, 4.12],
      [3000, 3.45],
      [4500, 2.3],
      [5500, 1.0],
      [6100, 0],
    ],
    ratedW: 98,
    power: [
      [0, 66],
      [2000, 79],
      [4000, 92],
      [6000, 98],
    ],
    price: 3,
    sizeMm: [200, 110, 140],
    outletMm: 32,
  },
  {
    id: 'rowan-80',
    name: 'Rowan 80 with controller',
    control: 'controllable',
    mounting: 'either',
    curve: [
      [0, 5.2],
      [2000, 4.92],
      [4000, 4.2],
      [6000, 2.9],
      [7500, 1.25],
      [8400, 0.1],
    ],
    ratedW: 88,
    power: [
      [0, 40],
      [2500, 59],
      [5000, 77],
      [7500, 87],
      [8400, 88],
    ],
    price: 4,
    sizeMm: [168, 112, 142],
    outletMm: 34,
    leastSpeed: 0.25,
  },
  {
    id: 'alder-100',
    name: 'Alder 100',
    control: 'fixed-speed',
    mounting: 'dry',
    curve: [
      [0, 5.8],
      [2500, 5.4],
      [5000, 4.5],
      [7500, 3.0],
      [9000, 1.5],
      [10200, 0],
    ],
    ratedW: 175,
    power: [
      [0, 112],
      [3000, 140],
      [6000, 163],
      [9000, 174],
      [10200, 175],
    ],
    price: 4,
    sizeMm: [255, 130, 165],
    outletMm: 40,
  },
  {
    id: 'rowan-120',
    name: 'Rowan 120 with controller',
    control: 'controllable',
    mounting: 'either',
    curve: [
      [0, 6.4],
      [3000, 6.05],
      [6000, 5.1],
      [9000, 3.4],
      [11000, 1.6],
      [12400, 0.1],
    ],
    ratedW: 140,
    power: [
      [0, 58],
      [3500, 90],
      [7000, 120],
      [10500, 138],
      [12400, 140],
    ],
    price: 5,
    sizeMm: [196, 128, 166],
    outletMm: 41,
    leastSpeed: 0.25,
  },
  {
    id: 'alder-150',
    name: 'Alder 150',
    control: 'fixed-speed',
    mounting: 'dry',
    curve: [
      [0, 7.8],
      [4000, 7.25],
      [8000, 5.9],
      [11000, 4.1],
      [13500, 1.9],
      [15200, 0],
    ],
    ratedW: 275,
    power: [
      [0, 168],
      [4000, 212],
      [8000, 248],
      [12000, 270],
      [15200, 275],
    ],
    price: 4,
    sizeMm: [310, 150, 190],
    outletMm: 52,
  },
]

/** Small to large. */
export const SAMPLE_PUMPS: readonly PumpPart[] = PRINTED.map(part)

/** A pump of the made-up world by its id. */
export function samplePump(id: string): PumpPart {
  const found = SAMPLE_PUMPS.find((pump) => pump.id === id)
  if (!found) throw new Error(`the sample library has no pump ${id}`)
  return found
}
