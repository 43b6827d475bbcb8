import type { Adapter } from '../adapter.ts'
import type { BodyKind } from '../route/body.ts'
import type { ShopGroup } from './line.ts'

/** Bodies that are bought, by where they hang in the shop; the rest is an end, or another run's. */
export const BODY_GROUP: Readonly<Partial<Record<BodyKind, ShopGroup>>> = {
  'elbow-90': 'fittings',
  'elbow-90-long': 'fittings',
  'elbow-45': 'fittings',
  tee: 'fittings',
  coupling: 'adapters',
  cap: 'fittings',
  strainer: 'fittings',
  nozzle: 'fittings',
  union: 'valves',
  'gate-valve': 'valves',
  'ball-valve': 'valves',
  'diaphragm-valve': 'valves',
  'check-valve': 'valves',
  reducer: 'adapters',
  bulkhead: 'bulkheads',
}

/** What a body is asked for as. */
export const BODY_NAME: Readonly<Record<BodyKind, string>> = {
  'elbow-90': 'elbow 90°',
  'elbow-90-long': 'long elbow 90°',
  'elbow-45': 'elbow 45°',
  tee: 'tee',
  leg: 'tee',
  coupling: 'hose tail',
  cap: 'cap',
  strainer: 'strainer',
  nozzle: 'nozzle',
  union: 'union',
  'gate-valve': 'gate valve',
  'ball-valve': 'ball valve',
  'diaphragm-valve': 'diaphragm valve',
  'check-valve': 'check valve',
  reducer: 'reducer',
  bulkhead: 'bulkhead',
  device: 'device',
  pump: 'pump',
  'open-end': 'open end',
}

/** What an adapter is asked for as. */
export const ADAPTER_NAME: Readonly<Record<Adapter['form'], string>> = {
  'socket-thread': 'adapter, socket to thread',
  'socket-barb': 'hose tail for a socket',
  'thread-barb': 'hose tail with a thread',
  bush: 'reducing bush',
  'metric-inch': 'adapter, metric to inch',
  'hose-reducer': 'hose reducer',
}
