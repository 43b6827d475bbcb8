import type { Plain } from './plain.ts'

/** A design without what format 10 added, to be held against one of before. */
export function withoutFormat10(design: object): Plain {
  const { pumps, sump, ...other }: Plain = JSON.parse(JSON.stringify(design))
  for (const pump of pumps) delete pump.size
  for (const device of sump.devices) delete device.pieceId
  return { ...other, pumps, sump }
}
