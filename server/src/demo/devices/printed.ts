import type { DeviceKind, DevicePart, NoiseClass } from '@yew-basin/core'

/** Sizes in mm, flows in L/h, as a maker would print them. */
export const L_PER_H = 1 / 3.6e6
/** A millimetre in m. */
export const MM = 1e-3
/** A litre in m³. */
export const LITRE = 1e-3

/** As exact as it is printed: nine figures. */
export const rounded = (si: number) => Number(si.toPrecision(9))

/** A device as its maker prints it. */
export interface Printed {
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

/** A device of the made-up world, from what its box prints. */
export function part(kind: DeviceKind, printed: Printed): DevicePart {
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
