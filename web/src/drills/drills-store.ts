import {
  allDrills,
  applyEdits,
  canDrill,
  pairsOf,
  steadyState,
  singleFailures,
  survivalOf,
  worstFirst,
  type BasinDesign,
  type Drill,
  type Mend,
  type Survival,
  type Verdict,
} from '@yew-basin/core'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { Cancelled } from '../calc/client.ts'
import { CalcPool } from '../calc/pool.ts'
import type { Drilled } from '../calc/worker.ts'
import { plain } from '../workspace/plain.ts'
import { useDesign } from '../workspace/design-store.ts'

/** A change is drilled once the keeper has stopped typing for so long. */
const PAUSE_MS = 800
const BATCH = 3

/** What a mend would make of the drills. */
export interface MendPreview {
  readonly mend: Mend
  /** The drill it was offered for. */
  readonly drillId: string
  readonly verdicts: readonly Verdict[]
}

/** Asks a pool about drills and says how far it is. */
function useAsking() {
  const progress = ref<{ done: number; of: number } | null>(null)
  const fault = ref('')

  async function ask(
    by: CalcPool,
    about: BasinDesign,
    list: readonly Drill[],
    told: (one: Drilled) => void,
  ): Promise<boolean> {
    progress.value = { done: 0, of: list.length }
    const sent = plain(about)
    try {
      await by.each(
        list,
        BATCH,
        (calc, some) => calc.drills(sent, plain(some)),
        (answers) => {
          answers.forEach(told)
          if (progress.value)
            progress.value = { ...progress.value, done: progress.value.done + answers.length }
        },
      )
      progress.value = null
      return true
    } catch (error) {
      if (!(error instanceof Cancelled)) {
        progress.value = null
        fault.value = (error as Error).message
      }
      return false
    }
  }

  return { progress, fault, ask }
}

type Ask = ReturnType<typeof useAsking>['ask']

/** All drills with a mend made, before it is. */
function useMendPreview(ask: Ask, present: () => BasinDesign | null) {
  const previewPool = new CalcPool()
  const preview = shallowRef<MendPreview | null>(null)

  /** What all drills would say with a mend made. */
  async function look(mend: Mend, drillId: string): Promise<void> {
    const now = present()
    if (!now) return
    const mended = applyEdits(now, mend.edits)
    const after: Verdict[] = []
    const done = await ask(previewPool, mended, allDrills(steadyState(mended)), (one) =>
      after.push(one.verdict),
    )
    if (done) preview.value = { mend, drillId, verdicts: after }
  }

  return { preview, previewPool, look }
}

/** Every drill of the opened design, run over all cores; run again when the design changes. */
export const useDrills = defineStore('drills', () => {
  const design = useDesign()
  const pool = new CalcPool()
  const drills = shallowRef<readonly Drill[]>([])
  const found = shallowRef<ReadonlyMap<string, Drilled>>(new Map())
  /** The design that `found` is of. */
  const of = shallowRef<BasinDesign | null>(null)
  const { progress, fault, ask } = useAsking()
  const { preview, previewPool, look } = useMendPreview(ask, () => design.design)
  const survival = shallowRef<Survival | null>(null)

  const possible = computed(() => (design.design ? canDrill(steadyState(design.design)) : false))
  const stale = computed(() => of.value !== null && of.value !== design.design)
  const verdicts = computed(() => worstFirst([...found.value.values()].map((one) => one.verdict)))
  const worst = computed(() => (stale.value ? null : (verdicts.value[0] ?? null)))

  /** Runs every drill of the design as it is. */
  async function run(): Promise<void> {
    const now = design.design
    if (!now) return
    fault.value = ''
    preview.value = null
    survival.value = null
    const list = allDrills(steadyState(now))
    drills.value = list
    of.value = now
    found.value = new Map()
    await ask(pool, now, list, (one) => {
      found.value = new Map(found.value).set(one.verdict.drillId, one)
    })
  }

  /** Runs every two single failures at once. */
  async function runPairs(): Promise<void> {
    const now = of.value
    if (!now) return
    const singles = singleFailures(drills.value)
    const double: Verdict[] = []
    const done = await ask(pool, now, pairsOf(singles), (one) => double.push(one.verdict))
    if (!done) return
    const single = singles.flatMap(({ id }) => found.value.get(id)?.verdict ?? [])
    survival.value = survivalOf(single, double)
  }

  function apply(mend: Mend): void {
    preview.value = null
    design.edit(mend.edits, `mend ${Date.now()}`)
  }

  function cancel(): void {
    pool.cancel()
    previewPool.cancel()
    progress.value = null
  }

  watchDebounced(
    () => design.design,
    (now) => {
      if (now && now !== of.value && possible.value) void run()
      if (now && !possible.value) clear()
    },
    { debounce: PAUSE_MS, immediate: true },
  )

  function clear(): void {
    cancel()
    found.value = new Map()
    drills.value = []
    of.value = null
  }

  return {
    drills,
    found,
    verdicts,
    worst,
    stale,
    possible,
    progress,
    fault,
    survival,
    preview,
    run,
    runPairs,
    look,
    apply,
    leavePreview: () => (preview.value = null),
    cancel,
  }
})
