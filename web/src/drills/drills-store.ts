import {
  allDrills,
  applyEdits,
  canDrill,
  steadyState,
  surviving,
  worstFirst,
  type BasinDesign,
  type Drill,
  type Fix,
  type Survival,
  type Verdict,
} from '@yew-basin/core'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, type ShallowRef } from 'vue'
import { hasChip } from '../calc/at-work.ts'
import { useLongWork, type Work } from '../calc/long-work.ts'
import { ofDesign } from '../calc/of-design.ts'
import type { CoreCalls } from '../calc/core-calls.ts'
import { spawnCore } from '../calc/spawn.ts'
import { useDesign } from '../workspace/design-store.ts'
import { plain } from '../workspace/plain.ts'

/** A change is drilled once the keeper has stopped typing for so long. */
const PAUSE_MS = 800
const BATCH = 3

/** What a fix would make of the drills. */
export interface DrillsPreview {
  readonly fix: Fix
  /** The drill it was offered for. */
  readonly drillId: string
  readonly verdicts: readonly Verdict[]
}

/** Drills of a design, given one by one. */
async function drillEach(
  { design, drills }: { readonly design: BasinDesign; readonly drills: readonly Drill[] },
  { pool, report }: Work<CoreCalls>,
  given: (verdict: Verdict) => void,
): Promise<void> {
  let done = 0
  report(0, drills.length)
  await pool.each(
    drills,
    BATCH,
    (calls, some) => ofDesign(calls, design).drills(plain(some)),
    (verdicts) => {
      verdicts.forEach(given)
      report((done += verdicts.length), drills.length)
    },
  )
}

/** All of them, when all are in. */
async function verdictsOf(
  asked: { readonly design: BasinDesign; readonly drills: readonly Drill[] },
  work: Work<CoreCalls>,
): Promise<Verdict[]> {
  const verdicts: Verdict[] = []
  await drillEach(asked, work, (verdict) => verdicts.push(verdict))
  return verdicts
}

/** All drills with a fix made, before it is. */
function useDrillsPreview(present: () => BasinDesign | null) {
  const looked = shallowRef<Pick<DrillsPreview, 'fix' | 'drillId'> | null>(null)
  const work = useLongWork({
    spawn: spawnCore,
    subject: () => looked.value,
    continues: true,
    ask: async ({ fix, drillId }, given): Promise<DrillsPreview> => {
      const design = applyEdits(present()!, fix.edits)
      const drills = allDrills(steadyState(design))
      return { fix, drillId, verdicts: await verdictsOf({ design, drills }, given) }
    },
  })
  async function look(fix: Fix, drillId: string): Promise<void> {
    work.forget()
    looked.value = { fix, drillId }
    await work.start()
  }
  return { preview: work.answer, looking: work, look }
}

/** Every drill of a design, given as they come in. */
function useAllDrills(
  present: () => BasinDesign | null,
  heard: (design: BasinDesign, verdicts: ReadonlyMap<string, Verdict>) => void,
) {
  const drills = shallowRef<readonly Drill[]>([])
  const found = shallowRef<ReadonlyMap<string, Verdict>>(new Map())
  const all = useLongWork({
    spawn: spawnCore,
    subject: present,
    continues: true,
    ask: async (design, work) => {
      drills.value = allDrills(steadyState(design))
      found.value = new Map()
      await drillEach({ design, drills: drills.value }, work, (verdict) => {
        found.value = new Map(found.value).set(verdict.drillId, verdict)
      })
      // Once all are in, what they say stands on every screen in place of the steady word.
      heard(design, found.value)
    },
  })
  /** What was asked about was changed since. */
  const stale = computed(() => all.asked.value !== null && all.asked.value !== present())
  function clear(): void {
    all.forget()
    drills.value = []
    found.value = new Map()
  }
  return { all, drills, found, stale, clear }
}

/** Every two single failures at once, which takes its time: it has a chip while it goes on. */
function usePairs(
  { of }: { readonly of: ShallowRef<BasinDesign | null> },
  drills: ShallowRef<readonly Drill[]>,
  found: ShallowRef<ReadonlyMap<string, Verdict>>,
) {
  const store = useDesign()
  const pairs = useLongWork({
    spawn: spawnCore,
    subject: () => of.value,
    continues: true,
    ask: async (design, work): Promise<Survival> => {
      const singles = surviving.singleFailures(drills.value)
      const both = surviving.pairsOf(singles)
      const double = await verdictsOf({ design, drills: both }, work)
      return surviving.survivalOf(
        singles.flatMap(({ id }) => found.value.get(id) ?? []),
        double,
        both,
      )
    },
  })
  hasChip({
    words: 'Pairs of failures',
    to: () => (store.basin ? `/basins/${store.basin.id}/drills` : null),
    progress: pairs.progress,
  })
  return pairs
}

/** Every drill of the opened design, simulated over all cores, and again when the design changes. */
export const useDrills = defineStore('drills', () => {
  const store = useDesign()
  const possible = computed(() => store.present !== null && canDrill(store.present))
  const {
    all,
    drills,
    found,
    stale,
    clear: clearAll,
  } = useAllDrills(
    () => store.present,
    (design, verdicts) => store.hearDrills(design, verdicts),
  )
  const { preview, looking, look } = useDrillsPreview(() => store.present)

  const pairs = usePairs(all, drills, found)

  const verdicts = computed(() => worstFirst([...found.value.values()]))
  const worst = computed(() => (stale.value ? null : (verdicts.value[0] ?? null)))
  const progress = computed(
    () => all.progress.value ?? pairs.progress.value ?? looking.progress.value,
  )
  const fault = computed(() => all.fault.value || pairs.fault.value || looking.fault.value)

  /** Simulates every drill of the design as it is. */
  async function simulate(): Promise<void> {
    looking.forget()
    pairs.forget()
    await all.start()
  }

  function apply(fix: Fix): void {
    looking.forget()
    store.edit(fix.edits)
  }

  function cancel(): void {
    for (const work of [all, pairs, looking]) work.cancel()
  }

  function clear(): void {
    for (const work of [pairs, looking]) work.forget()
    clearAll()
  }

  watchDebounced(
    () => store.present,
    (now) => {
      if (now && now !== all.asked.value && possible.value) void simulate()
      if (now && !possible.value) clear()
    },
    { debounce: PAUSE_MS, immediate: true },
  )

  return {
    drills,
    found,
    verdicts,
    worst,
    stale,
    possible,
    progress,
    fault,
    survival: pairs.answer,
    preview,
    simulate,
    simulatePairs: () => pairs.start(),
    look,
    apply,
    leavePreview: () => looking.forget(),
    cancel,
  }
})
