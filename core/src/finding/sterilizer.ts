import { pieceOfDevice, type SolvedSterilizer } from '../figures/index.ts'
import { sentence } from '../quantity/index.ts'
import { aboutDevice, type DeviceCase } from './device-case.ts'
import type { Finding, Fix } from './finding.ts'
import { overspeedFixes, reachFixes, throttleFix } from './flow-fixes.ts'

/** A valve is set a little slower than the target’s flow, so that its last turn does not leave the dose short (choice). */
const AIM = 0.98
/** Ports that differ from the line's bore by more than this share want an adapter (choice). */
const PORT_SHARE = 0.15

export function sterilizerFindings(one: DeviceCase): Finding[] {
  const solved = one.treatment.sterilizers.find(({ deviceId }) => deviceId === one.device.id)
  if (!solved) return []
  return [
    ...dry(one, solved),
    ...dose(one, solved),
    ...lampAge(one, solved),
    ...pullOut(one),
    ...unions(one),
    ...ports(one),
  ]
}

/** A lamp without water past it boils what stands in it. */
function dry(one: DeviceCase, { flowM3PerS }: SolvedSterilizer): Finding[] {
  if (flowM3PerS > 0) return []
  return [
    aboutDevice(one, {
      code: 'lamp-without-flow',
      severity: 'stop',
      title: sentence(`No water passes ${one.device.name}`),
      reason: sentence(
        one.device.lineId === null
          ? 'Say which line it is in. A lit lamp in standing water overheats it: never switch it on without flow.'
          : 'Its line carries nothing. A lit lamp in standing water overheats it: never switch it on without flow.',
      ),
    }),
  ]
}

function dose(one: DeviceCase, solved: SolvedSterilizer): Finding[] {
  const { targets, targetId } = one.solving.design.treatment
  const target = targets.find(({ id }) => id === targetId)
  const against = solved.targets.find((row) => row.targetId === targetId)
  if (!target || !against || solved.doseJPerM2 === null) return []
  const values = {
    dose: ['dose', solved.doseJPerM2],
    most: ['dose', target.mostJPerM2],
    flow: ['flow', against.flowForItM3PerS],
    half: ['duration', against.halfLifeS ?? 0],
  } as const
  const turned =
    against.halfLifeS === null ? '' : ' In the tank their number falls by half in {half}.'
  if (against.reaches === 'reached') {
    return [
      aboutDevice(one, {
        code: 'dose-reached',
        severity: 'fine',
        title: sentence(`${one.device.name} gives the dose for ${target.organism}: {dose}`, values),
        reason: sentence(
          `{most} is quoted; it would do up to {flow}.${turned} Quoted doses are no promise, and this is no treatment plan.`,
          values,
        ),
        fixes: () => upToTarget(one, AIM * against.flowForItM3PerS),
      }),
    ]
  }
  return [
    aboutDevice(one, {
      code: 'dose-short',
      severity: 'watch',
      title: sentence(`{dose} is short of the dose for ${target.organism}`, values),
      reason: sentence(
        `{most} is quoted; at {flow} it would get that.${turned} Slow water gets the dose, fast water turns the tank over: the chart shows both.`,
        values,
      ),
      fixes: () => setForTarget(one, AIM * against.flowForItM3PerS),
    }),
  ]
}

/** Pump speed or valve opening that brings a flow through the device's line. */
export function setForTarget({ line }: DeviceCase, wantedM3PerS: number): readonly Fix[] {
  if (!line || line.solved.flowM3PerS <= 0) return []
  const wish = {
    line,
    of: { lineId: line.laid.line.id },
    nowM3PerS: line.solved.flowM3PerS,
    wantedM3PerS,
  }
  if (wantedM3PerS > wish.nowM3PerS) return reachFixes(wish)
  // A pump that feeds other lines too is not slowed for the lamp alone.
  const shared = line.design.returnSide.lines.some(
    ({ id, start }) => id !== line.laid.line.id && start.at === 'tee',
  )
  return line.laid.line.start.at === 'pump' && !shared ? overspeedFixes(wish) : throttleFix(wish)
}

/** Nearer to its target than this, a valve is left alone (choice). */
const NEAR_SHARE = 0.1

/** A faster branch still gives the dose, and turns the tank over sooner. */
function upToTarget({ line }: DeviceCase, wantedM3PerS: number): readonly Fix[] {
  if (!line || line.solved.flowM3PerS * (1 + NEAR_SHARE) >= wantedM3PerS) return []
  const of = { lineId: line.laid.line.id }
  return throttleFix({ line, of, nowM3PerS: line.solved.flowM3PerS, wantedM3PerS })
}

function lampAge(one: DeviceCase, { lampLeftS, ageing }: SolvedSterilizer): Finding[] {
  if (lampLeftS > 0) return []
  return [
    aboutDevice(one, {
      code: 'lamp-old',
      severity: 'watch',
      title: sentence(`The lamp of ${one.device.name} is past its hours`),
      reason: sentence(
        'It gives {left} of its first light. It still glows blue long after it does its work: put in a new one, and look at the sleeve. Never look at a lit lamp: ultraviolet C hurts eyes and skin.',
        { left: ['share', ageing] },
      ),
    }),
  ]
}

/** The lamp is drawn out along its own length. */
function pullOut(one: DeviceCase): Finding[] {
  const { pullOutM: freeM = null, pullsThroughDoor = false } = one.solved.room ?? {}
  const wantsM = one.device.part.sterilizer!.pullOutM
  if (freeM === null || pullsThroughDoor || freeM >= wantsM) return []
  return [
    aboutDevice(one, {
      code: 'lamp-cannot-be-drawn',
      severity: 'watch',
      title: sentence(`The lamp of ${one.device.name} can’t be drawn where it hangs`),
      reason: sentence(
        'It wants {wants} beyond one end and has {free} to the cabinet’s wall. Turn it to a door, or loosen its unions and take it out whole for a new lamp.',
        { wants: ['length', wantsM], free: ['length', Math.max(0, freeM)] },
      ),
    }),
  ]
}

/** A lamp is changed once a year: it must come out of the line. */
function unions(one: DeviceCase): Finding[] {
  const { line, device } = one
  if (!line) return []
  const { pieces } = line.laid.line.run
  const at = pieceOfDevice(pieces, device.part.kind)
  if (at < 0) return []
  const before = pieces.slice(0, at).some(({ kind }) => kind === 'union')
  const after = pieces.slice(at + 1).some(({ kind }) => kind === 'union')
  if (before && after) return []
  return [
    aboutDevice(one, {
      code: 'lamp-glued-in',
      severity: 'watch',
      title: sentence(`${device.name} can’t be taken out of its line`),
      reason: sentence(
        before || after
          ? 'It has a union on one side only. With one on both sides it comes out whole for a new lamp or a broken sleeve.'
          : 'It has no union on either side. With one on both sides it comes out whole for a new lamp or a broken sleeve.',
      ),
      lineId: line.laid.line.id,
    }),
  ]
}

function ports(one: DeviceCase): Finding[] {
  const { line, device } = one
  const spec = device.part.sterilizer
  const own = line ? line.laid.line.run.pieces : []
  const id = own[pieceOfDevice(own, device.part.kind)]?.id
  const piece = line?.solved.pieces.find(({ pieceId }) => pieceId === id)
  if (!line || !spec || !piece) return []
  const off = spec.portBoreM / piece.boreM - 1
  if (Math.abs(off) <= PORT_SHARE) return []
  return [
    aboutDevice(one, {
      code: 'ports-do-not-meet',
      severity: 'watch',
      title: sentence(`The ports of ${device.name} are not its line’s size`),
      reason: sentence(
        'They are {port} wide inside, the line {bore}. Put an adapter on either side and write it into the run.',
        { port: ['length', spec.portBoreM], bore: ['length', piece.boreM] },
      ),
      lineId: line.laid.line.id,
    }),
  ]
}
