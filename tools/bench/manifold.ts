import { pumpCurve, type PumpPart } from '@yew-basin/core'
import {
  EXIT_LOSS,
  makeLine,
  teeLaw,
  threeKLoss,
  waterAt,
  type NetworkLink,
  type NetworkNode,
  type NetworkProblem,
  type ThreeKFitting,
} from '@yew-basin/core/lab'

const PIPE = { boreM: 0.0409, tradeSizeIn: 1.5 }
const TAKEOFF = { boreM: 0.0209, tradeSizeIn: 0.75 }

const TAKEOFF_TEE = teeLaw(PIPE.boreM, TAKEOFF.boreM)
const END_TEE = teeLaw(PIPE.boreM, PIPE.boreM)

/** Riser or piece before, piece after, takeoff; at the last the two nozzles. */
function legsOf(n: number): [number, number, number] {
  const before = n === 0 ? 0 : 12 + n
  return n < 12 ? [before, 13 + n, 1 + n] : [before, 25, 26]
}

/** A pump, a manifold with twelve takeoffs back to the sump, and two nozzles over the tank. */
export function manifold(part: PumpPart, speed: number): NetworkProblem {
  const nodes: NetworkNode[] = [
    { id: 'sump', headM: 0, tee: null },
    { id: 'left nozzle', headM: 1.5, tee: null },
    { id: 'right nozzle', headM: 1.52, tee: null },
    ...Array.from({ length: 13 }, (_, n) => ({
      id: `tee ${n + 1}`,
      headM: null,
      tee: { law: n < 12 ? TAKEOFF_TEE : END_TEE, legs: legsOf(n) },
    })),
  ]
  const tee = (n: number) => 3 + n
  const pump = { curve: pumpCurve(part), outletBoreM: part.outletBoreM, speed, stopped: false }
  const links: NetworkLink[] = [
    {
      ...run('riser', {
        from: 0,
        to: tee(0),
        pipe: PIPE,
        lengthM: 0.6,
        fittings: ['elbow-90', 'elbow-90'],
      }),
      pump,
    },
    ...Array.from({ length: 12 }, (_, n) =>
      run(`takeoff ${n + 1}`, {
        from: tee(n),
        to: 0,
        pipe: TAKEOFF,
        lengthM: 0.6 + 0.05 * n,
        fittings: ['elbow-90'],
        endK: 60 + 5 * n,
      }),
    ),
    ...Array.from({ length: 12 }, (_, n) =>
      run(`manifold ${n + 1}`, {
        from: tee(n),
        to: tee(n + 1),
        pipe: PIPE,
        lengthM: 0.12,
        fittings: [],
      }),
    ),
    {
      ...run('left', {
        from: tee(12),
        to: 1,
        pipe: PIPE,
        lengthM: 1.9,
        fittings: ['elbow-90', 'elbow-90'],
        endK: 1,
      }),
      oneWay: true,
    },
    {
      ...run('right', {
        from: tee(12),
        to: 2,
        pipe: PIPE,
        lengthM: 2.6,
        fittings: ['elbow-90'],
        endK: 1,
      }),
      oneWay: true,
    },
  ]
  return { nodes, links, water: waterAt({ salinityPpt: 35, temperatureC: 25 }), tree: null }
}

function run(
  id: string,
  {
    from,
    to,
    pipe: { boreM, tradeSizeIn },
    lengthM,
    fittings,
    endK = 0,
  }: {
    readonly from: number
    readonly to: number
    readonly pipe: typeof PIPE
    readonly lengthM: number
    readonly fittings: readonly ThreeKFitting[]
    readonly endK?: number
  },
): NetworkLink {
  const losses = fittings.map((fitting) => ({
    boreM,
    loss: threeKLoss(fitting, tradeSizeIn),
    kind: 'fitting' as const,
  }))
  const end = endK > 0 ? [{ boreM, loss: { ...EXIT_LOSS, k: endK }, kind: 'exit' as const }] : []
  const line = makeLine(
    [{ boreM, lengthM, roughnessM: 1.5e-6, factor: 1, ribbed: false }],
    [...losses, ...end],
  )
  return { id, from, to, line, tables: [], pump: null, oneWay: false, shut: false }
}
