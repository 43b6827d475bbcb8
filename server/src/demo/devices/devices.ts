import type { DevicePart } from '@yew-basin/core'
import { part } from './printed.ts'
import { SKIMMERS } from './skimmers.ts'
import { STERILIZERS } from './sterilizers.ts'

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

/** The made-up devices of the sample library. */
export const SAMPLE_DEVICES: readonly DevicePart[] = [...SKIMMERS, ...STERILIZERS, ...REST]

/** One of them by its id. */
export function sampleDevice(id: string): DevicePart {
  const found = SAMPLE_DEVICES.find((devicePart) => devicePart.id === id)
  if (!found) throw new RangeError(`the sample library has no device ${id}`)
  return found
}
