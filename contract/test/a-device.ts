import type { Plain } from './plain.ts'

const box = { lengthM: 0.2, widthM: 0.18, heightM: 0.5, sectionM2: 0.02, handM: 0.05 }
const bought = { noise: 'heard-near', priceClass: 3 }

/** Stands in the skimmer's chamber. */
export function aSkimmer(): Plain {
  return {
    id: 'skimmer',
    name: 'Skimmer',
    part: {
      id: 'a-skimmer',
      name: 'A skimmer',
      kind: 'skimmer',
      ...box,
      ...bought,
      control: 'controllable',
      powerW: 12,
      window: null,
      skimmer: {
        form: 'internal',
        ratedM3: { light: 0.8, medium: 0.6, heavy: 0.4 },
        flowM3PerS: 0.0002,
        airM3PerS: 0.0001,
        bodyM3: 0.004,
        neckBoreM: 0.08,
        wantsDepth: { leastM: 0.18, mostM: 0.22 },
        givesBackM3: 0.002,
        cupLiftM: 0.08,
      },
      sterilizer: null,
    },
    chamberId: 'entry',
    xM: 0.1,
    yM: 0.1,
    turned: true,
    standM: 0.03,
    speed: 0.9,
    lineId: null,
    pieceId: null,
    lamp: null,
  }
}

/** In the main line. */
export function aSterilizer(): Plain {
  return {
    id: 'sterilizer',
    name: 'Sterilizer',
    part: {
      id: 'a-sterilizer',
      name: 'A sterilizer',
      kind: 'sterilizer',
      ...box,
      ...bought,
      control: 'fixed-speed',
      powerW: 25,
      window: { leastM3PerS: 0.0001, mostM3PerS: 0.0005 },
      skimmer: null,
      sterilizer: {
        by: 'maker',
        ratedDoseJPerM2: 450,
        ratedFlowM3PerS: 0.0004,
        uvcPowerW: 8,
        arcLengthM: 0.3,
        sleeveDiameterM: 0.025,
        chamberBoreM: 0.06,
        transmittancePerCm: 0.95,
        mixingFactor: 0.7,
        ratedHoursS: 32_400_000,
        pullOutM: 0.45,
        portBoreM: 0.025,
      },
    },
    chamberId: null,
    xM: 1,
    yM: 0,
    turned: false,
    standM: 0,
    speed: 1,
    lineId: 'main',
    pieceId: null,
    lamp: {
      burnedS: 7_200_000,
      waterFactor: 0.95,
      sleeveFactor: 0.9,
      lampSince: '2026-06-01',
      sleeveSince: null,
      hoursPerDay: 12,
      burnedOn: '2026-11-01',
    },
  }
}
