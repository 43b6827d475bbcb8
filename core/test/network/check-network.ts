import { type CheckLine, checkLine } from '../check-line.ts'
import { checkPumps } from '../check-pump.ts'
import { jsonTable } from '../tables.ts'
import { teeLaw } from '../../src/fitting/tee-law.ts'
import { waterAt } from '../../src/fluid/water.ts'
import type { NetworkTee } from '../../src/network/graph.ts'
import type { NetworkProblem } from '../../src/network/problem.ts'
import { pumpCurve } from '../../src/pump/curve.ts'

interface CheckLink extends CheckLine {
  id: string
  from: string
  to: string
  pump?: string
  speed?: number
  stopped?: boolean
  check?: boolean
  air_outlet?: boolean
  shut?: boolean
}

type Leg = 'run1' | 'run2' | 'branch'
interface CheckNode {
  id: string
  type: 'fixed' | 'tee' | 'junction'
  head_m?: number
  legs?: Partial<Record<Leg, { link: string; bore_m: number }>>
}
/** A band as the table has it: L/h, and squared shares by kind and pump. */
export interface CheckBand {
  flow_band_L_h: number
  band_each_L_h: number
  band_kind_L_h: number
  band_together_L_h: number
  band_pumps_L_h: number
  squared_share: Record<string, number>
}

export interface CheckNetwork {
  id: string
  comment: string
  S_ppt: number
  T_C: number
  nodes: CheckNode[]
  links: CheckLink[]
  result: {
    link_flow_m3_s: Record<string, number>
    node_head_m: Record<string, number>
    tees?: Record<
      string,
      { common_leg: Leg; K: Partial<Record<Leg, number>>; leg_head_m: Record<Leg, number> }
    >
    bands?: Record<string, CheckBand>
    peer_link_flow_m3_s?: Record<string, number>
  }
}

export const CHECK_NETWORKS = jsonTable<CheckNetwork[]>('networks.json')

/** A network of the check table as the core takes it. */
export function checkProblem(given: CheckNetwork): NetworkProblem {
  const pumps = checkPumps()
  const place = (id: string) => given.nodes.findIndex((node) => node.id === id)
  return {
    nodes: given.nodes.map((node) => ({
      id: node.id,
      headM: node.head_m ?? null,
      tee: teeOf(node, (id) => given.links.findIndex((link) => link.id === id)),
    })),
    water: waterAt({ salinityPpt: given.S_ppt, temperatureC: given.T_C }),
    tree: null,
    links: given.links.map((link) => {
      const part = link.pump === undefined ? null : pumps[link.pump]!
      return {
        id: link.id,
        from: place(link.from),
        to: place(link.to),
        line: checkLine(link),
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

function teeOf({ type, legs }: CheckNode, place: (link: string) => number): NetworkTee | null {
  if (type !== 'tee') return null
  const leg = (name: Leg) => (legs?.[name] ? place(legs[name].link) : -1)
  const runM = legs!.run1?.bore_m ?? legs!.run2!.bore_m
  return {
    law: teeLaw(runM, legs!.branch?.bore_m ?? runM),
    legs: [leg('run1'), leg('run2'), leg('branch')],
  }
}
