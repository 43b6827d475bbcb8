import type { DevicePart } from '@yew-basin/core'
import { L_PER_H, MM, part, type Printed, rounded } from './printed.ts'

const HOUR_S = 3600
const MJ_PER_CM2 = 10

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

const PRINTED: readonly PrintedSterilizer[] = [
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

/** The made-up sterilizers of the sample library. */
export const STERILIZERS: readonly DevicePart[] = PRINTED.map(sterilizer)
