import { sentence } from '../quantity/index.ts'
import { aboutDevice, type DeviceCase } from './device-case.ts'
import type { Finding } from './finding.ts'

/** Does a flow meter stand upright, and does its scale reach the flow? */
export function meterFindings(one: DeviceCase): Finding[] {
  return one.device.part.kind === 'flow-meter' ? [...upright(one), ...inRange(one)] : []
}

/** A float rises with the water: it wants a stretch that goes up and is as long as itself. */
function upright(one: DeviceCase): Finding[] {
  const { line, device } = one
  if (!line) return []
  const longestUpM = line.laid.line.run.pieces.reduce(
    (most, piece) =>
      piece.kind === 'pipe' && piece.direction === 'up' ? Math.max(most, piece.lengthM) : most,
    0,
  )
  if (longestUpM >= device.part.heightM) return []
  return [
    aboutDevice(one, {
      code: 'meter-not-upright',
      severity: 'watch',
      title: sentence(`${device.name} has no upright stretch to stand in`),
      reason: sentence(
        'Its float rises with the water, so it wants {wants} of pipe that goes up; the longest in its line is {has}.',
        { wants: ['length', device.part.heightM], has: ['length', longestUpM] },
      ),
      lineId: line.laid.line.id,
    }),
  ]
}

function inRange(one: DeviceCase): Finding[] {
  const { device, solved } = one
  const { window } = device.part
  if (!window || solved.flowM3PerS === null || solved.window === null) return []
  if (solved.window === 'within') return []
  return [
    aboutDevice(one, {
      code: 'meter-off-scale',
      severity: 'watch',
      title: sentence(`${device.name} can’t read {flow}`, { flow: ['flow', solved.flowM3PerS] }),
      reason: sentence('Its scale goes from {least} to {most}.', {
        least: ['flow', window.leastM3PerS],
        most: ['flow', window.mostM3PerS],
      }),
    }),
  ]
}
