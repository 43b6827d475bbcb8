import type { Edit } from '../design/index.ts'
import type { SolvedSkimmer } from '../figures/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import { FOAMS_UNSTEADILY_FROM, type SkimmerDepth } from '../skimmer/index.ts'
import { toMillimetres, wallForDepth } from './chamber-depth.ts'
import { aboutDevice, type DeviceCase, devicePath } from './device-case.ts'
import type { Finding, Fix } from './finding.ts'

const LOAD_WORDS = { light: 'a light load', medium: 'a medium load', heavy: 'a heavy load' }

export function skimmerFindings(one: DeviceCase): Finding[] {
  const solved = one.treatment.skimmers.find(({ deviceId }) => deviceId === one.device.id)
  if (!solved) return []
  return [
    ...homeless(one),
    ...size(one, solved),
    ...depth(one, solved),
    ...cup(one, solved),
    ...recirculates(one, solved),
    ...topOff(one, solved),
  ]
}

function homeless(one: DeviceCase): Finding[] {
  if (one.device.chamberId !== null) return []
  return [
    aboutDevice(one, {
      code: 'skimmer-without-water',
      severity: 'stop',
      title: sentence(`${one.device.name} works on no water`),
      reason: sentence('Say which chamber it draws from: its flow and its depth follow from that.'),
    }),
  ]
}

/** What the school in force says; the other one's word stands beside it. */
function size(one: DeviceCase, { inForce, verdicts }: SolvedSkimmer): Finding[] {
  const { device, treatment } = one
  const load = LOAD_WORDS[treatment.load.loadClass]
  const other = verdicts[inForce.school === 'match' ? 'oversize' : 'match']
  const values = {
    rated: ['volume', inForce.ratedM3],
    wanted: ['volume', inForce.wantedM3],
  } as const
  const beside =
    other.says === inForce.says
      ? ' The other school says the same.'
      : ` The other school says ${{ small: 'it is too small', fits: 'it fits', large: 'it is too large' }[other.says]}.`
  const counted =
    inForce.school === 'match'
      ? `At ${load} it is rated for {rated}; there are {wanted} of water.`
      : 'Its box says {rated}; you ask for {wanted}, your factor times the water.'
  if (inForce.says === 'fits') {
    return [
      aboutDevice(one, {
        code: 'skimmer-fits',
        severity: 'fine',
        title: sentence(`${device.name} suits this water`),
        reason: sentence(counted + beside, values),
      }),
    ]
  }
  const small = inForce.says === 'small'
  return [
    aboutDevice(one, {
      code: small ? 'skimmer-too-small' : 'skimmer-too-large',
      severity: 'watch',
      title: sentence(
        small ? `${device.name} is too small for this water` : `${device.name} is too large for it`,
      ),
      reason: sentence(
        small
          ? counted + beside
          : `${counted} Over ${FOAMS_UNSTEADILY_FROM} times that, it finds too little to hold a steady head of foam.${beside}`,
        values,
      ),
    }),
  ]
}

function depth(one: DeviceCase, { depth: found, aboveCupM }: SolvedSkimmer): Finding[] {
  if (!found || found.says === 'right') return []
  return [
    aboutDevice(one, {
      code: 'skimmer-depth',
      severity: 'watch',
      title: sentence(
        found.says === 'deep'
          ? `${one.device.name} stands too deep: {depth}`
          : `${one.device.name} stands too shallow: {depth}`,
        { depth: ['length', found.depthM] },
      ),
      reason: sentence(
        'It works in {least} to {most} of water. A stand raises it, a wall sets the water.',
        { least: ['length', found.leastM], most: ['length', found.mostM] },
      ),
      fixes: () => [...standFix(one, found, aboveCupM), ...wallFix(one, found, aboveCupM)],
    }),
  ]
}

/** The depth it comes to, and what that leaves over the cup where the cabinet is told. */
function brings(depthM: number, leftM: number | null): Sentence {
  const depth = ['length', depthM] as const
  if (leftM === null) return sentence('Brings the water over its foot to {depth}.', { depth })
  return leftM < 0
    ? sentence(
        'Brings the water over its foot to {depth}; the cup then lacks {short} to come off.',
        {
          depth,
          short: ['length', -leftM],
        },
      )
    : sentence(
        'Brings the water over its foot to {depth}, and leaves {left} over the raised cup.',
        {
          depth,
          left: ['length', leftM],
        },
      )
}

function standFix(one: DeviceCase, found: SkimmerDepth, aboveCupM: number | null): Fix[] {
  const standM = toMillimetres(found.standM)
  if (standM === one.device.standM) return []
  const chamberM = found.depthM + one.device.standM
  const depthM = chamberM - standM
  if (depthM < found.leastM || depthM > found.mostM) return []
  return [
    {
      label:
        standM > 0
          ? sentence('Cut a stand of {stand}', { stand: ['length', standM] })
          : sentence('Take the stand away'),
      brings: brings(depthM, aboveCupM === null ? null : aboveCupM + one.device.standM - standM),
      edits: [{ op: 'set', path: [...devicePath(one), 'standM'], to: standM }],
    },
  ]
}

/** The wall by which its chamber's water leaves, set for it where that works. */
function wallFix(one: DeviceCase, found: SkimmerDepth, aboveCupM: number | null): Fix[] {
  const set = wallForDepth(one.solving, chamberIndex(one), found.wantedChamberDepthM)
  if (!set) return []
  const depthM = set.depthM - one.device.standM
  if (depthM < found.leastM || depthM > found.mostM) return []
  return [
    {
      label: sentence('Make its wall {top} high', { top: ['length', set.topM] }),
      brings: brings(depthM, aboveCupM),
      edits: set.edits,
    },
  ]
}

const chamberIndex = ({ device, solving }: DeviceCase) =>
  solving.design.sump.chambers.findIndex(({ id }) => id === device.chamberId)

function cup(one: DeviceCase, solved: SolvedSkimmer): Finding[] {
  const { aboveCupM } = solved
  if (aboveCupM === null || aboveCupM >= 0) return []
  return [
    aboutDevice(one, {
      code: 'cup-stays-on',
      severity: 'stop',
      title: sentence(`The cup of ${one.device.name} can’t come off: {short} too little`, {
        short: ['length', -aboveCupM],
      }),
      reason: (fixes) =>
        sentence(
          `It must rise {lift} and meets the cabinet’s top.${fixes.length > 0 ? '' : ' No stand or wall gives it the room: take a shorter one.'}`,
          { lift: ['length', one.device.part.skimmer!.cupLiftM] },
        ),
      fixes: () => lowered(one, solved, aboveCupM),
    }),
  ]
}

/** A lower stand, and the wall with it where the water would then be too deep. */
function lowered(one: DeviceCase, { depth: found }: SolvedSkimmer, aboveCupM: number): Fix[] {
  const { device, solving } = one
  // Cut down to whole millimetres, so that the cup really comes off.
  const standM = Math.floor((device.standM + aboveCupM) * 1000 + 1e-6) / 1000
  if (standM < 0) return []
  const stand: Edit = { op: 'set', path: [...devicePath(one), 'standM'], to: standM }
  const leftM = aboveCupM + device.standM - standM
  const label = { stand: ['length', standM] } as const
  const depthM = found === null ? null : found.depthM + device.standM - standM
  if (found === null || depthM === null || (depthM >= found.leastM && depthM <= found.mostM)) {
    return [
      {
        label: sentence('Cut its stand to {stand}', label),
        brings: sentence('Leaves {left} over the raised cup.', { left: ['length', leftM] }),
        edits: [stand],
      },
    ]
  }
  const wantedM = (found.leastM + found.mostM) / 2 + standM
  const set = wallForDepth(solving, chamberIndex(one), wantedM, [stand])
  const after = set ? set.depthM - standM : NaN
  if (!set || !(after >= found.leastM && after <= found.mostM)) return []
  return [
    {
      label: sentence('Cut its stand to {stand} and make its wall {top} high', {
        ...label,
        top: ['length', set.topM],
      }),
      brings: brings(after, leftM),
      edits: set.edits,
    },
  ]
}

/** More through it than through its chamber: it draws the same water twice. */
function recirculates(
  one: DeviceCase,
  { shareOfThroughflow, flowM3PerS }: SolvedSkimmer,
): Finding[] {
  if (shareOfThroughflow === null || shareOfThroughflow <= 1) return []
  return [
    aboutDevice(one, {
      code: 'skimmer-recirculates',
      severity: 'watch',
      title: sentence(`${one.device.name} takes more than passes its chamber`),
      reason: sentence(
        'It draws {flow}, {share} of what comes through: part of the water goes round in it twice. That wastes its pump, and harms nothing.',
        { flow: ['flow', flowM3PerS], share: ['share', shareOfThroughflow] },
      ),
    }),
  ]
}

function topOff(
  one: DeviceCase,
  { pastRunLimit, topOffRunsS, givesBackM3 }: SolvedSkimmer,
): Finding[] {
  const limitS = one.solving.design.sump.topOff?.runLimitS ?? null
  if (!pastRunLimit || topOffRunsS === null || limitS === null) return []
  return [
    aboutDevice(one, {
      code: 'top-off-gives-up',
      severity: 'watch',
      title: sentence('After the skimmer stops and starts, the top-off gives up'),
      reason: sentence(
        '{back} falls back and fills it again. If the level was set meanwhile, the top-off runs {runs} to make up for it; its controller stops it after {limit}.',
        {
          back: ['volume', givesBackM3],
          runs: ['duration', topOffRunsS],
          limit: ['duration', limitS],
        },
      ),
    }),
  ]
}
