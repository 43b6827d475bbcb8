import { BUILD_CASES } from './build-cases.ts'
import { CABINET, INSIDE, LOOP } from '../a-treated-loop.ts'
import { aBasin, aLine, lead } from '../a-basin.ts'
import { aDevice, aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aHeatedLoop } from '../a-heated-loop.ts'
import { aHungBox, aLoop, NARROW_EMERGENCY } from '../a-loop.ts'
import { astray } from '../a-takeoff.ts'
import { type Changes, withChanges } from '../changes.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { applyEdits, insertAt } from '../../src/design/edit.ts'
import { solveBasin } from '../../src/index.ts'
import { type FindingCode } from '../../src/finding/codes.ts'
import { QUOTED_TARGETS } from '../../src/uv/targets.ts'

const PLAIN = aBasin()
const METER = aDevice({
  id: 'meter',
  lineId: 'main',
  made: { kind: 'flow-meter', window: { leastM3PerS: 1e-4, mostM3PerS: 3e-4 } },
})
const TREATED = withChanges(
  withDevices(LOOP, aSkimmer({}, INSIDE), aSterilizer({ lineId: 'main' }), METER),
  {
    'treatment.targets': QUOTED_TARGETS,
    'treatment.targetId': 'bacteria',
    'sump.cabinet': CABINET,
  },
)
const TEED = aBasin('union, up 300 mm, tee, up 700 mm, elbow, left 300 mm')
const NEAR = 'to 1/2, gate, left 300 mm'

/** The teed line with another at its tee. */
function teed(typed: string, more: Changes = {}, isSpare = false): BasinDesign {
  const end = isSpare
    ? ({ at: 'cap', id: null } as const)
    : ({ at: 'chamber', id: 'sump' } as const)
  const line = aLine('second', { at: 'tee', id: 'p3' }, typed, end)
  return withChanges(applyEdits(TEED, [insertAt(['returnSide', 'lines'], 1, line)]), more)
}

/** A second pump draws from the first chamber, and every drain ends behind it. */
const DRAWN_BEFORE_THE_DRAINS = withChanges(LOOP, {
  'returnSide.pumps': [
    LOOP.returnSide.pumps[0],
    { ...LOOP.returnSide.pumps[0]!, id: 'second', chamberId: LOOP.sump.chambers[0]!.id },
  ],
  'returnSide.lines': [
    LOOP.returnSide.lines[0],
    {
      ...LOOP.returnSide.lines[0]!,
      id: 'second',
      name: 'Second',
      start: { at: 'pump', id: 'second' },
    },
  ],
  drains: LOOP.drains.map((drain) => ({ ...drain, end: { ...drain.end, id: 'sump' } })),
})

const LAMP_RUN = 'union, up 300 mm, sterilizer k 5, union, up 700 mm, elbow, left 300 mm'
const lampIn = (line: string) => withDevices(aLoop({ line }), aSterilizer({ lineId: 'main' }))

/** What the loop's heaters must do. */
const LOOP_WANTS_W = solveBasin(aHeatedLoop([])).heat!.coldest.wantedW

interface Case {
  /** A design the code is found of. */
  readonly fires: BasinDesign
  /** One it is not found of, though all it looks at is there. */
  readonly silent: BasinDesign
}

/** Changed, it fires; as it was, it does not. */
const once = (base: BasinDesign, changes: Changes): Case => ({
  fires: withChanges(base, changes),
  silent: base,
})
/** Fires as it is; changed, it does not. */
const until = (base: BasinDesign, changes: Changes): Case => ({
  fires: base,
  silent: withChanges(base, changes),
})

const HOLE = {
  id: 'h',
  panel: 'back',
  glass: 'plain',
  alongM: 0.5,
  upM: 0.3,
  bulkhead: { size: '1 in', boreM: 0.0254, holeM: 0.044, flangeM: 0.066 },
}
const holed = (more: object) => ({ 'tanks.0.overflow.holes': [{ ...HOLE, ...more }] })
const windowed = (mostM3PerS: number) =>
  aDevice({ lineId: 'main', made: { window: { leastM3PerS: 1e-6, mostM3PerS } } })
const [SIPHON, TRICKLE, EMERGENCY] = LOOP.drains
const JOINED: BasinDesign = {
  ...LOOP,
  drains: [
    {
      ...SIPHON!,
      run: {
        ...SIPHON!.run,
        pieces: SIPHON!.run.pieces.toSpliced(2, 0, { id: 'join', kind: 'tee', form: 'side' }),
      },
    },
    {
      ...TRICKLE!,
      run: { ...TRICKLE!.run, pieces: TRICKLE!.run.pieces.slice(0, 2) },
      end: { at: 'tee', id: 'join', landing: 'open' },
    },
    EMERGENCY!,
  ],
}
const ELBOWS =
  'union, up 600 mm, elbow, back 100 mm, elbow, up 200 mm, elbow, left 100 mm, elbow, up 300 mm, elbow, left 200 mm'
const HOSED = 'union, up 500 mm, to smooth hose 32, hose 400 mm left 300 mm up 500 mm'

/** A design in which each code is found, and one in which it is not. */
export const CASES: Partial<Record<FindingCode, Case>> = {
  'water-over-rim': once(PLAIN, { 'tanks.0.rimM': 0.25 }),
  'rim-over-panels': once(PLAIN, { 'tanks.0.heightM': 0.25 }),
  'little-freeboard': once(LOOP, { 'tanks.0.floorHeightM': 0.25 }),
  'no-net-water': once(PLAIN, { 'tanks.0.displacement.rockMassKg': 4000 }),
  'tank-unfed': {
    fires: withChanges(PLAIN, {
      'returnSide.lines.0.end': { at: 'chamber', id: 'sump', place: null, breakDepthM: null },
    }),
    silent: PLAIN,
  },
  'no-flow-at-this-speed': once(PLAIN, { 'returnSide.pumps.0.speed': 0.5 }),
  'valve-shut': once(PLAIN, { 'returnSide.lines.0.run.pieces.4.opening': 0 }),
  'flows-back': once(PLAIN, { 'tanks.0.waterLevelM': 4.5 }),
  'flow-short': once(PLAIN, { 'tanks.0.lengthM': 2 }),
  'flow-past': once(PLAIN, { 'tanks.0.lengthM': 0.5 }),
  'flow-as-wanted': until(PLAIN, { 'tanks.0.lengthM': 2 }),
  'takeoff-off-target': {
    fires: teed(NEAR, { 'returnSide.lines.1.wantedFlowM3PerS': 2e-4 }),
    silent: teed(NEAR),
  },
  'water-too-fast': once(PLAIN, { 'returnSide.pumps.0.speed': 2 }),
  'outlet-mismatch': once(PLAIN, { 'returnSide.lines.0.run.size.size': '1/2' }),
  'sizes-do-not-meet': {
    fires: teed(NEAR.replace('to 1/2, ', ''), { 'returnSide.lines.1.run.size.size': '1/2' }),
    silent: teed(NEAR),
  },
  'past-known-curve': once(PLAIN, { 'sump.chambers.0.levelM': 2 }),
  'no-fouling-reserve': once(PLAIN, { 'tanks.0.lengthM': 1.15 }),
  'valve-does-pumps-work': once(PLAIN, { 'returnSide.lines.0.run.pieces.4.opening': 0.1 }),
  'no-union-at-pump': { fires: aBasin('up 700 mm, elbow, left 300 mm, gate'), silent: PLAIN },
  'pump-draws-air': once(PLAIN, { 'returnSide.pumps.0.inletHeightM': 0.19 }),
  'turn-without-elbow': {
    fires: aBasin('up 1.2 m, down 200 mm, elbow, left 300 mm'),
    silent: PLAIN,
  },
  'hard-elbows-in-a-row': { fires: aBasin(ELBOWS), silent: PLAIN },
  'hose-too-short': {
    fires: aBasin(HOSED),
    silent: aBasin(HOSED.replace('400 mm left', '900 mm left')),
  },
  'pieces-after-nozzle': {
    fires: aBasin('up 1 m, nozzle 20 mm, elbow, left 300 mm'),
    silent: aBasin('up 1 m, elbow, left 300 mm, nozzle 20 mm'),
  },
  'spare-without-valve': {
    fires: teed('left 80 mm', {}, true),
    silent: teed('gate, left 80 mm', {}, true),
  },
  'check-valve-only-guard': {
    fires: aLoop({
      line: 'union, check, up 1 m, elbow, left 300 mm, down 200 mm',
      changes: { 'sump.box.heightM': 0.3 },
    }),
    silent: LOOP,
  },
  'misses-its-place': once(PLAIN, {
    'returnSide.lines.0.end.place': { xM: 0, yM: 0, zM: 0.1 },
  }),
  'mouth-outside-tank': once(PLAIN, { 'tanks.0.lengthM': 0.1 }),
  'mouth-under-water': once(PLAIN, { 'tanks.0.waterLevelM': 0.9 }),
  'weir-too-short': once(LOOP, {
    'tanks.0.overflow.rimLengthM': 0.02,
    'tanks.0.overflow.teeth': null,
  }),
  'teeth-drowned': once(LOOP, { 'tanks.0.floorHeightM': 0.25 }),
  'lets-animals-through': once(LOOP, { 'tanks.0.overflow.keepsInM': 0.0001 }),
  'tempered-panel': {
    fires: withChanges(LOOP, holed({ glass: 'tempered' })),
    silent: withChanges(LOOP, holed({})),
  },
  'hole-too-near': {
    fires: withChanges(LOOP, holed({ upM: 0.03 })),
    silent: withChanges(LOOP, holed({})),
  },
  'hole-outside-box': {
    fires: withChanges(LOOP, holed({ panel: 'floor', alongM: 0.1, upM: 0.1 })),
    silent: withChanges(LOOP, holed({ panel: 'floor', alongM: 0.5, upM: 0.43 })),
  },
  'drain-outside-box': once(LOOP, { 'drains.0.inlet.place.xM': 0.05 }),
  'hung-loses-prime': {
    fires: withChanges(aHungBox(), { 'tanks.0.floorHeightM': 1 }),
    silent: aHungBox(),
  },
  'box-without-drain': once(LOOP, { drains: [] }),
  'siphon-untuned': { fires: LOOP, silent: aLoop({ school: 'vented-emergency' }) },
  'siphon-cannot-match': once(LOOP, { 'drains.0.run.size.boreM': 0.012 }),
  'siphon-near-air': once(LOOP, {
    'drains.0.inlet.form': 'open',
    'drains.0.run.pieces': [],
    'drains.0.run.size': { series: 'schedule-40', size: '1 1/2', boreM: null },
  }),
  'emergency-cannot-carry': once(LOOP, { 'tanks.0.rimM': 0.25 }),
  'vented-loud': once(LOOP, { 'drains.0.role': 'vented' }),
  'drain-too-level': once(LOOP, { 'drains.0.role': 'vented' }),
  'blocked-pipe-held': until(LOOP, { 'tanks.0.rimM': 0.25 }),
  'sump-too-small': once(LOOP, { 'tanks.0.floorHeightM': 1 }),
  'outage-held': until(LOOP, { 'tanks.0.lengthM': 10 }),
  'skimmer-depth': once(LOOP, {
    'sump.chambers.1.wantsDepth': { leastM: 0.01, mostM: 0.02 },
  }),
  'bubbles-reach-pump': once(LOOP, { 'sump.box.widthM': 0.2 }),
  'runs-dry-soon': once(withChanges(LOOP, { 'sump.topOff': null }), {
    'returnSide.pumps.0.inletHeightM': 0.1,
  }),
  'wall-below-next': once(LOOP, { 'sump.chambers.5.levelM': 0.304 }),
  'chamber-runs-over': once(LOOP, { 'sump.chambers.5.levelM': 1.52 }),
  'light-leaks': until(LOOP, { 'sump.chambers.2.use': 'skimmer' }),
  'skimmer-fits': until(TREATED, { 'tanks.0.lengthM': 2 }),
  'skimmer-without-water': { fires: withDevices(LOOP, aSkimmer()), silent: TREATED },
  'skimmer-too-small': once(TREATED, { 'tanks.0.lengthM': 2 }),
  'skimmer-too-large': once(TREATED, { 'tanks.0.lengthM': 0.2 }),
  'cup-stays-on': once(TREATED, { 'sump.devices.0.part.heightM': 0.8 }),
  'skimmer-recirculates': once(TREATED, { 'sump.devices.0.part.skimmer.flowM3PerS': 0.0011 }),
  'top-off-gives-up': {
    fires: withChanges(TREATED, {
      'sump.topOff': { flowM3PerS: 3e-5, canM3: 0.02, runLimitS: 10 },
      'sump.devices.0.part.skimmer.givesBackM3': 0.004,
    }),
    silent: withChanges(TREATED, {
      'sump.topOff': { flowM3PerS: 3e-5, canM3: 0.02, runLimitS: 3000 },
      'sump.devices.0.part.skimmer.givesBackM3': 0.004,
    }),
  },
  'device-does-not-fit': once(TREATED, { 'sump.box.xM': -0.5 }),
  'devices-collide': {
    fires: withDevices(LOOP, aSkimmer({}, INSIDE), aDevice(INSIDE)),
    silent: withDevices(
      LOOP,
      aDevice({ ...INSIDE, made: { lengthM: 0.05, widthM: 0.05, sectionM2: 0.0025 } }),
    ),
  },
  'no-hand-room': once(TREATED, { 'sump.devices.0.part.handM': 0.4 }),
  'cannot-lift-out': until(TREATED, { 'sump.cabinet': null }),
  'lamp-without-flow': once(TREATED, { 'sump.devices.1.lineId': null }),
  'dose-reached': once(TREATED, { 'sump.devices.1.part.sterilizer.ratedDoseJPerM2': 900 }),
  'dose-short': until(TREATED, { 'sump.devices.1.part.sterilizer.ratedDoseJPerM2': 900 }),
  'lamp-old': once(TREATED, { 'sump.devices.1.lamp.burnedS': 9e7 }),
  'meter-not-upright': once(TREATED, { 'sump.devices.2.part.heightM': 4 }),
  'outside-window': {
    fires: withDevices(LOOP, windowed(1e-5)),
    silent: withDevices(LOOP, windowed(1e-2)),
  },
  'emergency-wet': once(LOOP, { drains: LOOP.drains.filter(({ role }) => role === 'emergency') }),
  'joined-drains': { fires: JOINED, silent: LOOP },
  'above-fill-line': once(LOOP, { 'sump.chambers.5.levelM': 0.37 }),
  'outage-elsewhere': { fires: astray(), silent: LOOP },
  'runs-over-now': once(LOOP, { 'tanks.0.rimM': 0.445 }),
  // Its end comes to stand deep under the water.
  'emergency-not-sure': once(LOOP, { 'sump.chambers.5.levelM': 0.37 }),
  'siphon-may-not-start': once(LOOP, { 'sump.chambers.5.levelM': 0.37 }),
  'emergency-only-full': until(withChanges(LOOP, NARROW_EMERGENCY), {
    'drains.2.run.size': { series: 'pn-16', size: '63', boreM: null },
  }),
  'chamber-too-short': once(LOOP, { 'sump.walls.0.atM': 0.03 }),
  'meter-off-scale': until(TREATED, {
    'sump.devices.2.part.window': { leastM3PerS: 1e-4, mostM3PerS: 1e-2 },
  }),
  unsettled: once(PLAIN, {
    'pumps.0.curve': [
      { flowM3PerS: 0, headM: 1e300 },
      { flowM3PerS: 0.001, headM: 0 },
    ],
  }),
  'chamber-without-flow': {
    fires: withChanges(LOOP, {
      drains: LOOP.drains.map((drain) => ({ ...drain, end: { ...drain.end, id: 'sump' } })),
    }),
    silent: LOOP,
  },
  'level-below-floor': once(LOOP, { 'sump.chambers.5.levelM': 0.01 }),
  'pipe-through-panel': {
    fires: aBasin('union, up 1 m, elbow, left 300 mm', { 'returnSide.pumps.0.outlet.xM': 0.8 }),
    silent: PLAIN,
  },
  'end-outside-chamber': once(LOOP, {
    'drains.2.run.pieces': [{ id: 'down', kind: 'pipe', direction: 'down', lengthM: 0.6 }],
  }),
  'pump-outside-chamber': once(LOOP, { 'returnSide.pumps.0.outlet.xM': 1.2 }),
  'pump-does-not-fit': {
    fires: withChanges(LOOP, {
      'pumps.0.size': { lengthM: 0.5, widthM: 0.45, heightM: 0.2 },
    }),
    silent: withChanges(LOOP, {
      'pumps.0.size': { lengthM: 0.12, widthM: 0.1, heightM: 0.1 },
    }),
  },
  'chamber-starved': { fires: DRAWN_BEFORE_THE_DRAINS, silent: LOOP },
  'lamp-glued-in': {
    fires: lampIn('up 300 mm, sterilizer k 5, union, up 700 mm, elbow, left 300 mm'),
    silent: lampIn('union, up 300 mm, sterilizer k 5, union, up 700 mm, elbow, left 300 mm'),
  },
  'lamp-cannot-be-drawn': once(TREATED, { 'sump.devices.1.part.sterilizer.pullOutM': 4 }),
  'heater-too-small': { fires: aHeatedLoop([10]), silent: aHeatedLoop([500]) },
  'heater-near-its-limit': {
    fires: aHeatedLoop([LOOP_WANTS_W * 1.01]),
    silent: aHeatedLoop([LOOP_WANTS_W * 2]),
  },
  'heater-holds': { fires: aHeatedLoop([500]), silent: aHeatedLoop([LOOP_WANTS_W * 1.01]) },
  'heater-could-cook': { fires: aHeatedLoop([900]), silent: aHeatedLoop([]) },
  'water-too-warm': {
    fires: aHeatedLoop([], { warmestRoomC: 36 }),
    silent: aHeatedLoop([], { warmestRoomC: 36, chillerW: 5000 }),
  },
  'ports-do-not-meet': {
    fires: withChanges(lampIn(LAMP_RUN), { 'sump.devices.0.part.sterilizer.portBoreM': 0.019 }),
    silent: withChanges(lampIn(LAMP_RUN), {
      'sump.devices.0.part.sterilizer.portBoreM': lead(LOOP).pieces[0]!.boreM,
    }),
  },
  ...BUILD_CASES,
}
