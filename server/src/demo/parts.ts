import type { PartSpec } from '@yew-basin/contract'
import { BULKHEADS, type Bulkhead } from '@yew-basin/core'
import { SAMPLE_CIRCULATION } from './circulation.ts'
import { SAMPLE_DEVICES } from './devices/devices.ts'
import { SAMPLE_PUMPS } from './pumps.ts'

type SamplePart = PartSpec & { readonly id: string; readonly name: string }

/** Made-up parts beside the pumps: what a keeper finds at a shop, with figures a maker would print. */
const OTHERS: readonly SamplePart[] = [
  pipe('pipe-25-measured', 'Pressure pipe 25, bore as measured', {
    series: 'pn-16',
    size: '25',
    mm: 20.8,
  }),
  pipe('pipe-32-measured', 'Pressure pipe 32, bore as measured', {
    series: 'pn-16',
    size: '32',
    mm: 26.7,
  }),
  pipe('pipe-1-thick', '1″ thick-walled pipe, mean bore', {
    series: 'schedule-80',
    size: '1',
    mm: 23.8,
  }),
  hose('hose-soft-20', 'Soft clear hose 20', { series: 'smooth-hose', size: '20', mm: 20 }),
  hose('hose-ribbed-25', 'Ribbed hose 25', { series: 'ribbed-hose', size: '25', mm: 24.5 }),
  fitting('flow-meter', 'Paddle flow meter', 2.5),
  fitting('strainer-basket', 'Basket strainer, clean', 4),
  fitting('y-piece', 'Y-piece, one leg', 1.1),
  valve('gate-20', 'Gate valve 20', 'gate', 18),
  valve('gate-25', 'Gate valve 25', 'gate', 31),
  valve('ball-20', 'Ball valve 20, reduced bore', 'ball', 14),
  valve('ball-25', 'Ball valve 25, full bore', 'ball', 62),
  valve('diaphragm-25', 'Diaphragm valve 25', 'diaphragm', 11),
  nozzle('nozzle-flat', 'Flat fan nozzle', 17),
  nozzle('nozzle-round-20', 'Round nozzle 20', 20),
  nozzle('nozzle-round-26', 'Round nozzle 26', 26),
]

function pipe(
  id: string,
  name: string,
  {
    series,
    size,
    mm,
  }: { readonly series: 'pn-16' | 'schedule-80'; readonly size: string; readonly mm: number },
) {
  return { id, name, kind: 'pipe', spec: { series, size, boreM: mm / 1000 } } as const
}
function hose(
  id: string,
  name: string,
  {
    series,
    size,
    mm,
  }: { readonly series: 'smooth-hose' | 'ribbed-hose'; readonly size: string; readonly mm: number },
) {
  return { id, name, kind: 'hose', spec: { series, size, boreM: mm / 1000 } } as const
}
function fitting(id: string, name: string, k: number) {
  return { id, name, kind: 'fitting', spec: { k } } as const
}
function valve(id: string, name: string, form: 'gate' | 'ball' | 'diaphragm', kvM3PerH: number) {
  return { id, name, kind: 'valve', spec: { form, kvM3PerH } } as const
}
function nozzle(id: string, name: string, mm: number) {
  return { id, name, kind: 'nozzle', spec: { boreM: mm / 1000 } } as const
}

function bulkhead(size: string, spec: Omit<Bulkhead, 'size'>) {
  const id = `bulkhead-${size.replace(/[^0-9a-z]+/g, '-')}`
  return { id, name: size, kind: 'bulkhead', spec } as const
}

/** The whole sample library. */
export const SAMPLE_PARTS: readonly SamplePart[] = [
  ...SAMPLE_PUMPS.map((spec) => ({ id: spec.id, name: spec.name, kind: 'pump', spec }) as const),
  ...OTHERS,
  ...SAMPLE_DEVICES.map(
    (spec) => ({ id: spec.id, name: spec.name, kind: spec.kind, spec }) as const,
  ),
  ...SAMPLE_CIRCULATION.map(
    (spec) => ({ id: spec.id, name: spec.name, kind: 'circulation', spec }) as const,
  ),
  ...BULKHEADS.map(({ size, ...spec }) => bulkhead(size, spec)),
]
