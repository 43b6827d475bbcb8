import type { Plain } from './plain.ts'

/** A design without what formats 10 and 11 added, to be held against one of before. */
export function withoutLater(design: object): Plain {
  const { pumps, sump, assumed, ...other }: Plain = JSON.parse(JSON.stringify(design))
  for (const pump of pumps) delete pump.size
  for (const device of sump.devices) delete device.pieceId
  return { ...other, pumps, sump }
}
