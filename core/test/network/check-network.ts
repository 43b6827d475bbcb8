import { type CheckFitting, fittingOf } from '../check-fitting.ts'
import { checkPumps } from '../check-pump.ts'
import { jsonTable } from '../tables.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { makeLine } from '../../src/network/line.ts'
import type { NetworkProblem } from '../../src/network/problem.ts'
import { pumpCurve } from '../../src/pump/curve.ts'

interface CheckLink {
  id: string
  from: string
  to: string
  pump?: string
  speed?: number
  stopped?: boolean
  check?: boolean
  air_outlet?: boolean
  shut?: boolean
  pipes: { bore_m: number; length_m: number; roughness_m: number; f_multiplier?: number }[]
  fittings: CheckFitting[]
}

export interface CheckNetwork {
  id: string
  comment: string
  S_ppt: number
  T_C: number
  nodes: { id: string; head_m?: number }[]
  links: CheckLink[]
  result: {
    link_flow_m3_s: Record<string, number>
    node_head_m: Record<string, number>
    peer_link_flow_m3_s?: Record<string, number>
  }
}

export const CHECK_NETWORKS = jsonTable<CheckNetwork[]>('networks.json')

/** A network of the check table as the core takes it. */
export function checkProblem(given: CheckNetwork): NetworkProblem {
  const pumps = checkPumps()
  const place = (id: string) => given.nodes.findIndex((node) => node.id === id)
  return {
    nodes: given.nodes.map(({ id, head_m }) => ({ id, headM: head_m ?? null })),
    water: waterAt({ salinityPpt: given.S_ppt, temperatureC: given.T_C }),
    links: given.links.map((link) => {
      const losses = link.fittings.flatMap((fitting) => {
        const loss = fittingOf(fitting)
        const loaded = { boreM: fitting.bore_m, loss: loss!, exit: fitting.type === 'exit' }
        return loss ? Array.from({ length: fitting.count ?? 1 }, () => loaded) : []
      })
      const pipes = link.pipes.map((pipe) => ({
        boreM: pipe.bore_m,
        lengthM: pipe.length_m,
        roughnessM: pipe.roughness_m,
        factor: pipe.f_multiplier ?? 1,
      }))
      const part = link.pump === undefined ? null : pumps[link.pump]!
      return {
        id: link.id,
        from: place(link.from),
        to: place(link.to),
        line: makeLine(pipes, losses),
        tables: [],
        pump: part && {
          curve: pumpCurve(part),
          outletBoreM: part.outletBoreM,
          speed: link.speed ?? 1,
          stopped: link.stopped ?? false,
        },
        oneWay: (link.check ?? false) || (link.air_outlet ?? false),
        shut: link.shut ?? false,
      }
    }),
  }
}
