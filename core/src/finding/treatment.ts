import { gather } from '../numeric/index.ts'
import { sentence } from '../quantity/index.ts'
import { aboutDevice, type DeviceCase } from './device-case.ts'
import type { Finding, LineCase, Solving } from './finding.ts'
import { meterFindings } from './meter.ts'
import { skimmerFindings } from './skimmer.ts'
import { sterilizerFindings } from './sterilizer.ts'

/** Everything said of skimmers, sterilizers and the rest. */
export function treatmentFindings(solving: Solving, lines: readonly LineCase[]): Finding[] {
  const { treatment } = solving
  return gather(solving.design.sump.devices, (device, index) => {
    const one: DeviceCase = {
      solving,
      treatment,
      device,
      index,
      solved: treatment.devices[index]!,
      line: lines.find(({ laid }) => laid.line.id === device.lineId),
    }
    return [
      ...skimmerFindings(one),
      ...sterilizerFindings(one),
      ...meterFindings(one),
      ...outsideWindow(one),
      ...noRoom(one),
    ]
  })
}

/** Does it get the flow that its maker wants? */
function outsideWindow(one: DeviceCase): Finding[] {
  const { device, solved } = one
  const { window } = device.part
  const { flowM3PerS } = solved
  if (device.part.kind === 'flow-meter') return []
  if (!window || flowM3PerS === null || solved.window === 'within' || solved.window === null) {
    return []
  }
  const below = solved.window === 'below'
  return [
    aboutDevice(one, {
      code: 'outside-window',
      severity: 'watch',
      title: sentence(
        below ? `${device.name} gets too little: {flow}` : `${device.name} gets too much: {flow}`,
        { flow: ['flow', flowM3PerS] },
      ),
      reason: sentence(
        device.lineId === null
          ? 'Its maker wants {least} to {most}. It stands in a chamber where that much does not pass.'
          : 'Its maker wants {least} to {most}. The valve of its line, or the balance of all, brings it there.',
        { least: ['flow', window.leastM3PerS], most: ['flow', window.mostM3PerS] },
      ),
    }),
  ]
}

/** What comes out upright; a rod is tilted. */
const LIFTED: ReadonlySet<string> = new Set(['skimmer', 'reactor'])

/** Does it stand in its chamber, and beside what else stands there? */
function noRoom(one: DeviceCase): Finding[] {
  const { device, solved, solving } = one
  const { room } = solved
  // A skimmer that is in no chamber yet has no place to be judged.
  if (!room || (device.part.skimmer && device.chamberId === null)) return []
  const list: Finding[] = []
  if (room.sticksOutM > 0) {
    list.push(
      aboutDevice(one, {
        code: 'device-does-not-fit',
        severity: 'stop',
        title: sentence(
          room.inWater
            ? `${device.name} does not stand in its chamber: {out} too far`
            : `${device.name} does not stand in the cabinet: {out} too far`,
          { out: ['length', room.sticksOutM] },
        ),
        reason: sentence(
          'Its foot goes through a wall where it is drawn. Move it, turn it, move the wall or take a smaller one.',
        ),
      }),
    )
  }
  const other = solving.design.sump.devices.find(({ id }) => id === room.collidesWith[0])
  if (other) {
    list.push(
      aboutDevice(one, {
        code: 'devices-collide',
        severity: 'stop',
        title: sentence(`${device.name} runs into ${other.name}`),
        reason: sentence(
          'Two things can’t stand in one place. Drag one of them clear in the room.',
        ),
      }),
    )
  }
  if (room.runsIntoSump) {
    list.push(
      aboutDevice(one, {
        code: 'devices-collide',
        severity: 'stop',
        title: sentence(`${device.name} runs into the sump`),
        reason: sentence(
          'It stands lower than the sump’s rim, where the sump stands. Drag it clear in the room, or set it higher.',
        ),
      }),
    )
  }
  if (room.sticksOutM === 0 && room.handM !== null && room.handM < device.part.handM) {
    list.push(
      aboutDevice(one, {
        code: 'no-hand-room',
        severity: 'watch',
        title: sentence(`A hand does not get past ${device.name}: {gap}`, {
          gap: ['length', room.handM],
        }),
        reason: sentence('It wants {hand} on one side to be reached and taken out.', {
          hand: ['length', device.part.handM],
        }),
      }),
    )
  }
  if (LIFTED.has(device.part.kind) && room.liftsOutM !== null && room.liftsOutM < 0) {
    list.push(
      aboutDevice(one, {
        code: 'cannot-lift-out',
        severity: 'watch',
        title: sentence(`${device.name} can’t be lifted out: {short} too little`, {
          short: ['length', -room.liftsOutM],
        }),
        reason: sentence(
          'Raised over the sump’s rim it meets the cabinet’s top. Cleaning it means drawing the sump forward, or a cabinet that opens above.',
        ),
      }),
    )
  }
  return list
}
