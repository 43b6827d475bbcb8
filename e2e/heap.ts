import type { CDPSession } from '@playwright/test'

interface Snapshot {
  readonly snapshot: {
    readonly meta: {
      readonly node_fields: readonly string[]
      readonly node_types: readonly [readonly string[], ...unknown[]]
    }
  }
  readonly nodes: readonly number[]
}

/** What belongs to the engine or the browser, not to what the page's scripts made. */
const NOT_OURS = new Set(['native', 'synthetic', 'hidden'])

/** Bytes of a page's heap: machine code with the engine's notes on it, and everything else its scripts made. */
export async function heapByType(session: CDPSession): Promise<{ code: number; things: number }> {
  const chunks: string[] = []
  const take = ({ chunk }: { chunk: string }) => void chunks.push(chunk)
  session.on('HeapProfiler.addHeapSnapshotChunk', take)
  await session.send('HeapProfiler.takeHeapSnapshot', {})
  session.off('HeapProfiler.addHeapSnapshotChunk', take)
  const { snapshot, nodes } = JSON.parse(chunks.join('')) as Snapshot
  const { node_fields: fields, node_types: types } = snapshot.meta
  const type = fields.indexOf('type')
  const size = fields.indexOf('self_size')
  let code = 0
  let things = 0
  for (let i = 0; i < nodes.length; i += fields.length) {
    const name = types[0][nodes[i + type]!]!
    if (name === 'code') code += nodes[i + size]!
    else if (!NOT_OURS.has(name)) things += nodes[i + size]!
  }
  return { code, things }
}
