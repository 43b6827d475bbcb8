import { fallFlow } from '../drain/index.ts'
import {
  BoxSearch,
  boxRim,
  chamberLevelM,
  type LaidDrain,
  type Overflowing,
  type SteadyState,
  type TankLevels,
} from '../loop/index.ts'

/** What an overflow's water can't pass as it runs. */
export interface RunsOver {
  /** null: the drains together. */
  readonly drainId: string | null
  readonly at: 'rim' | 'teeth' | 'passage' | 'bulkhead' | 'valve' | 'pipe'
  /** What passes there with the water at the rim, m³/s. */
  readonly capacityM3PerS: number
}

/** What holds the water back where it runs over now; null: it does not. */
export function runsOverOf(
  steady: SteadyState,
  overflowing: Overflowing,
  levels: TankLevels,
  {
    tankSpillsM3PerS,
    flowM3PerS,
  }: { readonly tankSpillsM3PerS: number; readonly flowM3PerS: number },
): RunsOver | null {
  if (levels.spills === null) return null
  const { overflow, tank, drains } = overflowing
  const boxRimM = tank.floorHeightM + boxRim(overflowing)
  const search = new BoxSearch(overflowing.box)
  search.endAgainst((id) => chamberLevelM(steady, id))
  const drained = drains.length > 0 ? search.drainAt(boxRimM) : Infinity
  if (drained < flowM3PerS) {
    const [only] = drains
    return {
      drainId: drains.length === 1 ? only!.drain.id : null,
      at: drains.length === 1 ? narrowest(only!) : 'pipe',
      capacityM3PerS: drained,
    }
  }
  // Its drains would take it: what is left is the passage, or the rim itself.
  const through = throughPassage(overflowing, levels)
  if (through < Math.min(flowM3PerS, tankSpillsM3PerS)) {
    return { drainId: null, at: 'passage', capacityM3PerS: through }
  }
  return { drainId: null, at: overflow.teeth ? 'teeth' : 'rim', capacityM3PerS: tankSpillsM3PerS }
}

/** What the passage lets through with its near side full to the tank's rim; Infinity: there is none. */
function throughPassage({ tank, overflow, passage }: Overflowing, { boxM }: TankLevels): number {
  if (!passage || !overflow.passage || boxM === null) return Infinity
  const headM = tank.floorHeightM + tank.rimM - boxM
  return overflow.passage.count * fallFlow(passage, Math.max(0, headM))
}

function narrowest({ opening, leastBoreM, placed }: LaidDrain): RunsOver['at'] {
  if (opening < 1) return 'valve'
  const isBulkhead = placed.some(
    ({ piece }) => piece.kind === 'bulkhead' && piece.boreM === leastBoreM,
  )
  return isBulkhead ? 'bulkhead' : 'pipe'
}
