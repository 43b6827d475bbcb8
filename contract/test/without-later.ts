import type { Plain } from './plain.ts'

/** A design without what formats 10 to 13 added, to be held against one of before. */
export function withoutLater(design: object): Plain {
  const old: Plain = JSON.parse(JSON.stringify(design))
  delete old.assumed
  delete old.build
  for (const pump of old.pumps) {
    delete pump.size
    delete pump.partId
  }
  for (const device of old.sump.devices) delete device.pieceId
  return old
}
