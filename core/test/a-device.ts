import { L_PER_H } from './tables.ts'
import type { BasinDesign, Device, DevicePart, SkimmerSpec } from '../src/index.ts'

const PART: DevicePart = {
  id: 'part',
  name: 'A device',
  kind: 'reactor',
  lengthM: 0.12,
  widthM: 0.1,
  heightM: 0.4,
  sectionM2: 0.008,
  handM: 0.04,
  control: 'fixed-speed',
  powerW: 10,
  noise: 'silent',
  priceClass: 2,
  window: null,
  skimmer: null,
  sterilizer: null,
}

const SKIMMER: SkimmerSpec = {
  form: 'internal',
  ratedM3: { light: 0.5, medium: 0.4, heavy: 0.3 },
  flowM3PerS: 400 * L_PER_H,
  airM3PerS: 200 * L_PER_H,
  bodyM3: 0.003,
  neckBoreM: 0.07,
  wantsDepth: { leastM: 0.14, mostM: 0.18 },
  givesBackM3: 0.001,
  cupLiftM: 0.08,
}

type More = Partial<Device> & { readonly made?: Partial<DevicePart> }

/** A device in a chamber, or in a line. */
export function aDevice({ made = {}, ...more }: More = {}): Device {
  return {
    id: 'device',
    name: 'Device',
    part: { ...PART, ...made },
    chamberId: null,
    xM: 0,
    yM: 0,
    turned: false,
    standM: 0,
    speed: 1,
    lineId: null,
    pieceId: null,
    lamp: null,
    ...more,
  }
}

export function aSkimmer(spec: Partial<SkimmerSpec> = {}, more: More = {}): Device {
  const made = { kind: 'skimmer', skimmer: { ...SKIMMER, ...spec }, ...more.made } as const
  return aDevice({ id: 'skimmer', name: 'Skimmer', ...more, made })
}

export function aSterilizer(more: More = {}): Device {
  return aDevice({
    id: 'sterilizer',
    name: 'Sterilizer',
    lamp: {
      burnedS: 0,
      waterFactor: 0.95,
      sleeveFactor: 1,
      lampSince: null,
      sleeveSince: null,
      hoursPerDay: 24,
      burnedOn: null,
    },
    ...more,
    made: {
      kind: 'sterilizer',
      sterilizer: {
        by: 'maker',
        ratedDoseJPerM2: 450,
        ratedFlowM3PerS: 1500 * L_PER_H,
        uvcPowerW: 8,
        arcLengthM: 0.3,
        sleeveDiameterM: 0.025,
        chamberBoreM: 0.06,
        transmittancePerCm: 0.95,
        mixingFactor: 0.7,
        ratedHoursS: 9000 * 3600,
        pullOutM: 0.4,
        portBoreM: 0.025,
      },
      ...more.made,
    },
  })
}

/** A design with these devices in its sump. */
export function withDevices(design: BasinDesign, ...devices: readonly Device[]): BasinDesign {
  return { ...design, sump: { ...design.sump, devices } }
}
