import type { OwnDrill } from '../design/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Drill } from './fault.ts'

/** A keeper's chain as one drill; steps whose drill no longer applies are left out. null: none is left. */
export function chained(own: OwnDrill, known: readonly Drill[]): Drill | null {
  const steps = own.steps.flatMap(({ drillId, atS }) => {
    const drill = known.find(({ id }) => id === drillId)
    return drill ? [{ drill, atS }] : []
  })
  if (steps.length === 0) return null
  return {
    id: `own ${own.id}`,
    title: sentence('{name}', { name: own.name }),
    faults: steps.flatMap(({ drill, atS }) =>
      drill.faults.map((fault) => ({ fault: fault.fault, atS: fault.atS + atS })),
    ),
    durationS: Math.max(...steps.map(({ drill, atS }) => atS + drill.durationS)),
    evaporates: steps.some(({ drill }) => drill.evaporates),
    isSingle: false,
    parts: steps.map(({ drill }) => drill.id),
  }
}

/** Two bad days at once. */
export function together(a: Drill, b: Drill): Drill {
  return {
    id: `${a.id} + ${b.id}`,
    title: sentence('{first} + {second}', { first: a.title, second: b.title }),
    faults: [...a.faults, ...b.faults].sort((fault, other) => fault.atS - other.atS),
    durationS: Math.max(a.durationS, b.durationS),
    evaporates: a.evaporates || b.evaporates,
    isSingle: false,
    parts: [a.id, b.id],
  }
}
