import type { BasinDesign, Device } from '../../design/index.ts'
import { pieceOfDevice } from '../../layout/index.ts'
import { flowShareOf } from '../flow-share.ts'
import type { RunningSump } from '../gravity/solved-gravity.ts'
import { yearOf } from '../return/solve-pumps.ts'
import type { SolvedLine, SolvedReturn } from '../return/solved.ts'
import type { SolvedDevice, DeviceClearance } from './solved-treatment.ts'

/** The line a device is in; undefined: none. */
export function lineOfDevice(
  { lineId }: Device,
  { lines }: Pick<SolvedReturn, 'lines'>,
): SolvedLine | undefined {
  return lineId === null ? undefined : lines.find((line) => line.lineId === lineId)
}

/** What passes a device in its line: at its place among the pieces where that is given, else at the line's end. */
export function flowInLine({ returnSide }: BasinDesign, device: Device, line: SolvedLine): number {
  const { pieces } = returnSide.lines.find(({ id }) => id === line.lineId)!.run
  const id = pieces[pieceOfDevice(pieces, device)]?.id
  return line.pieces.find(({ pieceId }) => pieceId === id)?.flowM3PerS ?? line.flowM3PerS
}

/** Warms or cools the water by its own thermostat, so that its plate says nothing of its mean. */
export function isThermostatic({ part: { kind } }: Device): boolean {
  return kind === 'heater' || kind === 'chiller'
}

/** Power goes with the cube of a pump's speed; what has one speed draws what its plate says. */
export function devicePowerW({ part, speed }: Device): number {
  return part.powerW * (part.control === 'controllable' ? speed ** 3 : 1)
}

/** What passes a chamber: over its walls, or what pumps draw from it where drains end in it too. */
export function passesM3PerS(
  { returnSide: placed }: BasinDesign,
  sump: RunningSump,
  { pumps }: Pick<SolvedReturn, 'pumps'>,
  chamberId: string | null,
): number | null {
  const chamber = sump.chambers.find((solvedChamber) => solvedChamber.chamberId === chamberId)
  if (!chamber) return null
  const drawn = placed.pumps.reduce((sum, pump, i) => {
    const flow = pump.chamberId === chamberId ? pumps[i]!.flowM3PerS : 0
    return sum + Math.max(0, flow)
  }, 0)
  return Math.max(chamber.throughM3PerS, drawn)
}

/** A device in its place: what it draws, what it costs, how it fits. */
export function solveDevice(
  design: BasinDesign,
  device: Device,
  returnSide: SolvedReturn,
  { sump, clearance }: { readonly sump: RunningSump; readonly clearance: DeviceClearance | null },
): SolvedDevice {
  const line = lineOfDevice(device, returnSide)
  const flowM3PerS = line
    ? flowInLine(design, device, line)
    : passesM3PerS(design, sump, returnSide, device.chamberId)
  const { window } = device.part
  const powerW = devicePowerW(device)
  const year = isThermostatic(device) ? null : yearOf(powerW, design.tariff)
  return {
    deviceId: device.id,
    flowM3PerS,
    flowBandM3PerS: line ? (flowM3PerS ?? 0) * flowShareOf(line) : 0,
    window:
      window === null || flowM3PerS === null
        ? null
        : flowM3PerS < window.leastM3PerS
          ? 'below'
          : flowM3PerS > window.mostM3PerS
            ? 'above'
            : 'within',
    powerW,
    energyPerYearJ: year?.energyPerYearJ ?? null,
    costPerYear: year?.costPerYear ?? null,
    clearance,
  }
}
