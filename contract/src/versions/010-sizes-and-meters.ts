import { asPlain, eachOf, isPlain } from './plain.ts'

/** Format 10 knows how large a pump is, and which pipe of its line a flow meter stands in. Neither was set before. */
export function sizesAndMeters(document: unknown): unknown {
  const { pumps, sump, ...other } = asPlain(document)
  return {
    ...other,
    pumps: eachOf(pumps, (pump) => ({ ...pump, size: null })),
    sump: isPlain(sump)
      ? { ...sump, devices: eachOf(sump.devices, (device) => ({ ...device, pieceId: null })) }
      : sump,
  }
}
