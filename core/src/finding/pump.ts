import { gather } from '../numeric/index.ts'
import { isHose } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import { aboutLine, type Finding, type LineCase, piecesPath } from './finding.ts'
import { freeId, ofLine } from './line.ts'
import { fixForFlow, flowAtSpeeds, flowWith, type Of } from './try-out.ts'
import { PAST_SHARE, wantedThrough } from './wanted.ts'

/** A fouled pump gives about this share of its flow; a design should still do its job then (choice). */
const FOULED_SHARE = 0.85
/** A valve that eats this share of the pump's head does the pump's work (choice). */
const WASTED_SHARE = 0.25
/** A union counts as beside the pump when no more than this much pipe lies between them (choice). */
const BESIDE_M = 0.6

/** Is each pump used as it should be? */
export function pumpFindings(lines: readonly LineCase[]): Finding[] {
  const ofPumps = lines.filter(({ laid }) => laid.line.start.at === 'pump')
  return gather(ofPumps, (line) => [
    ...pastCurve(line),
    ...noReserve(line, lines),
    ...valveDoesItsWork(line, lines),
    ...noUnion(line),
    ...drawsAir(line),
  ])
}

function pastCurve(line: LineCase): Finding[] {
  const { pump, solved } = line
  const knownM3PerS = pump.curve.knownToM3PerS * pump.speed
  if (solved.pump.stopped || solved.pump.flowM3PerS <= knownM3PerS) return []
  return [
    aboutLine(line, {
      code: 'past-known-curve',
      severity: 'watch',
      title: sentence('The pump runs past its printed curve'),
      reason: sentence(
        'Its curve is known up to {known}; beyond, it is drawn straight on. Treat {flow} as a guess, or measure it.',
        { known: ['flow', knownM3PerS], flow: ['flow', solved.pump.flowM3PerS] },
      ),
    }),
  ]
}

/** Fouled, and at its fullest speed, would it still bring what is wanted? */
function noReserve(line: LineCase, lines: readonly LineCase[]): Finding[] {
  const { pump, solved } = line
  const fed = tankBehind(line, lines)
  if (!fed || solved.pump.stopped || solved.pump.flowM3PerS <= 0) return []
  const { tank, of } = fed
  if (tank.wantedFlowM3PerS <= 0 || tank.flowM3PerS < 0.9 * tank.wantedFlowM3PerS) return []
  const full =
    pump.part.control === 'controllable' && pump.speed < 1
      ? flowAtSpeeds(line.solving.layout, pump, of)(1)
      : tank.flowM3PerS
  if (FOULED_SHARE * full >= 0.9 * tank.wantedFlowM3PerS) return []
  return [
    aboutLine(line, {
      code: 'no-fouling-reserve',
      severity: 'watch',
      title: sentence('The pump has no reserve for fouling'),
      reason: sentence(
        'At full speed it brings {full}. After months it gives about {share} of that, {fouled}, and you want {wanted}. Clean it more often, or choose one a size larger.',
        {
          full: ['flow', full],
          share: ['share', FOULED_SHARE],
          fouled: ['flow', FOULED_SHARE * full],
          wanted: ['flow', tank.wantedFlowM3PerS],
        },
      ),
    }),
  ]
}

/** The first tank that a pump's water reaches. */
function tankBehind(line: LineCase, lines: readonly LineCase[]) {
  const { solving, pump } = line
  const ends = lines.filter((one) => one.pump === pump && one.laid.line.end.at === 'tank')
  const end = ends[0]?.laid.line.end
  const tank = solving.tanks.find(({ tankId }) => tankId === end?.id)
  return tank ? { tank, of: { tankId: tank.tankId } as Of } : null
}

/** A controllable pump throttled by a valve on its only way, where turning it down would do. */
function valveDoesItsWork(line: LineCase, lines: readonly LineCase[]): Finding[] {
  const { pump, solved, laid, design } = line
  if (pump.part.control !== 'controllable' || solved.pump.headM <= 0 || solved.flowM3PerS <= 0) {
    return []
  }
  if (lines.filter((one) => one.pump === pump).length > 1) return []
  const valve = solved.pieces.findIndex((piece) => piece.kind === 'valve')
  const piece = laid.line.run.pieces[valve]
  if (piece?.kind !== 'valve' || piece.opening >= 1) return []
  const lostM = solved.pieces[valve]!.lossM
  if (lostM < WASTED_SHARE * solved.pump.headM) return []
  const wanted = wantedThrough(line)
  const at = design.returnSide.pumps.indexOf(pump.placed)
  const open = { op: 'set' as const, path: [...piecesPath(line), valve, 'opening'], to: 1 }
  const speed = leastSpeedFor(
    line,
    open,
    at,
    Math.min(wanted, solved.flowM3PerS * (1 + PAST_SHARE)),
  )
  return [
    aboutLine(line, {
      code: 'valve-does-pumps-work',
      severity: 'watch',
      title: sentence('A valve does the pump’s work'),
      reason: sentence(
        'It eats {lost} of the {head} the pump makes. Opened, with the pump turned down, the same flow costs less power and less noise.',
        { lost: ['head', lostM], head: ['head', solved.pump.headM] },
      ),
      pieceId: piece.id,
      fixes: () =>
        speed === null
          ? []
          : [
              fixForFlow(
                line.solving.steady,
                sentence('Open the valve and run the pump at {speed}', {
                  speed: ['share', speed],
                }),
                [open, { op: 'set', path: ['returnSide', 'pumps', at, 'speed'], to: speed }],
                ofLine(line),
              ),
            ],
    }),
  ]
}

/** The least whole percent of speed that brings a flow with a valve open; null when none does. */
function leastSpeedFor(
  line: LineCase,
  open: { op: 'set'; path: (string | number)[]; to: number },
  pumpIndex: number,
  flowM3PerS: number,
): number | null {
  let low = Math.ceil(line.pump.part.leastSpeed * 100)
  let high = 100
  const enough = (percent: number) =>
    flowWith(
      line.solving.steady,
      [open, { op: 'set', path: ['returnSide', 'pumps', pumpIndex, 'speed'], to: percent / 100 }],
      ofLine(line),
    ) >= flowM3PerS
  if (!enough(high)) return null
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (enough(middle)) high = middle
    else low = middle + 1
  }
  return high / 100
}

/** Rigid pipe on a pump without a union near it: the pump cannot be taken out to be cleaned. */
function noUnion(line: LineCase): Finding[] {
  const { laid } = line
  const { pieces, size } = laid.line.run
  if (isHose(size.series) || pieces.length === 0) return []
  let pipeM = 0
  for (const piece of pieces) {
    if (piece.kind === 'union') return []
    if (piece.kind === 'reducer' && isHose(piece.to.series)) return []
    if (piece.kind === 'pipe') pipeM += piece.lengthM
    if (pipeM > BESIDE_M || piece.kind === 'tee') break
  }
  const union: Piece = { id: freeId(line, `${laid.line.id}-union`), kind: 'union' }
  const [first] = pieces
  const short = first!.kind === 'pipe' && first.lengthM <= BESIDE_M
  const at = short || first!.kind === 'reducer' ? 1 : 0
  return [
    aboutLine(line, {
      code: 'no-union-at-pump',
      severity: 'watch',
      title: sentence('There is no union beside the pump'),
      reason: sentence(
        'A pump is taken out to be cleaned twice a year or more. Without a joint that comes apart, rigid pipe must be cut.',
      ),
      pieceId: pieces[0]!.id,
      fixes: () => [
        fixForFlow(
          line.solving.steady,
          sentence('Put a union in'),
          [{ op: 'insert', path: piecesPath(line), at, item: union }],
          ofLine(line),
        ),
      ],
    }),
  ]
}

/** Too little water over the inlet: a vortex may draw air; above the water it draws nothing else. */
function drawsAir(line: LineCase): Finding[] {
  const { solved, design, pump } = line
  const { depthM, leastDepthM } = solved.pump
  if (depthM === null || depthM >= leastDepthM) return []
  const at = design.returnSide.pumps.indexOf(pump.placed)
  const heightM = pump.sourceLevelM - leastDepthM
  return [
    aboutLine(line, {
      code: 'pump-draws-air',
      severity: depthM <= 0 ? 'stop' : 'watch',
      title:
        depthM <= 0
          ? sentence('The pump’s inlet is above the water')
          : sentence('Only {depth} of water over the pump’s inlet', { depth: ['length', depthM] }),
      reason: sentence(
        'At this flow {least} keeps a vortex from drawing air; many pumps run with less and are heard. A lower inlet, a strainer or a slower pump helps.',
        { least: ['length', leastDepthM] },
      ),
      fixes: () => [
        {
          label: sentence('Set the inlet {height} over the floor', {
            height: ['length', heightM],
          }),
          brings: sentence('Leaves {least} of water over it.', {
            least: ['length', leastDepthM],
          }),
          edits: [{ op: 'set', path: ['returnSide', 'pumps', at, 'inletHeightM'], to: heightM }],
        },
      ],
    }),
  ]
}
