import type { FlowDomain } from '../../src/currents/flow-domain.ts'
import { pumpStream } from '../../src/currents/streams.ts'
import type { CirculationPart } from '../../src/scene/part.ts'
import type { RockSolid } from '../../src/scene/rock.ts'
import type { CirculationPump } from '../../src/scene/scene.ts'
import { DEFAULT_RANGES } from '../../src/scene/zones.ts'

export const JET_PART: CirculationPart = {
  id: 'jet',
  name: 'Jet',
  form: 'jet',
  control: 'controllable',
  flowM3PerS: 8000 / 3.6e6,
  boreM: 0.055,
  slotLengthM: null,
  slotWidthM: null,
  leastSpeed: 0.3,
  powerW: 20,
  depthM: 0.08,
  bodyM: 0.09,
}

export const SLOT_PART: CirculationPart = {
  ...JET_PART,
  id: 'slot',
  name: 'Slot',
  form: 'cross-flow',
  boreM: null,
  slotLengthM: 0.2,
  slotWidthM: 0.016,
}

/** A pump on the left end that looks straight across, unless set otherwise. */
export function aCirculation(changes: Partial<CirculationPump> = {}): CirculationPump {
  return {
    id: 'pump',
    name: 'Pump',
    part: JET_PART,
    panel: 'left',
    alongM: 0.2,
    upM: 0.28,
    turnDeg: 0,
    tiltDeg: 0,
    upright: false,
    speed: 1,
    pattern: { kind: 'steady', periodS: 10, low: 0.3, group: 'first' },
    ...changes,
  }
}

export function aRock(changes: Partial<RockSolid> = {}): RockSolid {
  return {
    id: 'rock',
    name: 'Rock',
    form: 'box',
    xM: 0.35,
    yM: 0.1,
    zM: 0,
    lengthM: 0.3,
    widthM: 0.2,
    heightM: 0.15,
    zone: 'soft',
    ...changes,
  }
}

/** 0.9 × 0.4 × 0.4 m of water over 4 cm of sand. */
export function aDomain(
  pumps: readonly CirculationPump[] = [aCirculation()],
  changes: Partial<FlowDomain> = {},
): FlowDomain {
  const size = { lengthM: 0.9, widthM: 0.4, depthM: 0.4 }
  return {
    ...size,
    sandDepthM: 0.04,
    rocks: [],
    box: null,
    mouth: null,
    streams: pumps.map((pump) => pumpStream(pump, size)),
    ranges: DEFAULT_RANGES,
    ...changes,
  }
}

/** Numbers by chance that are the same every time. */
export function seeded(seed = 7): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296
  }
}
