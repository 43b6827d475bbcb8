import { type BasinDesign, type PumpPart, starting } from '@yew-basin/core'
import { useSessionStorage, watchDebounced } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useLongWork } from '../calc/long-work.ts'
import { callback, spawnCore } from '../calc/spawn.ts'
import { useParts } from '../parts/parts-store.ts'
import { useUnits } from '../shell/units.ts'
import type { useDesign } from '../workspace/design-store.ts'
import { plain } from '../workspace/plain.ts'
import { questionsFor } from './start-pages.ts'

/** A field that is being typed in is not laid out at every key, ms. */
const PAUSE_MS = 200

/** The questions, the answers so far, and the loop that is laid for them. */
export function useStart(store: ReturnType<typeof useDesign>, basinId: string) {
  const units = useUnits()
  const parts = useParts()
  onMounted(() => void parts.want())
  // A reload asks on where it was.
  const answers = useSessionStorage<starting.StartAnswers>(
    `yew.start.${basinId}`,
    starting.noAnswers('over-sump', units.family),
    { shallow: true },
  )
  const at = useSessionStorage(`yew.start.${basinId}.at`, 0)
  /** Nothing is laid before the first answer: the design that is there stays as it is. */
  const isBegun = ref(false)
  const pages = computed(() => questionsFor(answers.value))
  const page = computed(() => pages.value[Math.min(at.value, pages.value.length - 1)]!)
  /** Where no list of parts can be had, what the design began with. */
  const atFirst = shallowRef<readonly PumpPart[]>([])
  const shelf = computed(() => (parts.pumps.length > 0 ? parts.pumps : atFirst.value))

  function answer(change: Partial<starting.StartAnswers>): void {
    answers.value = { ...answers.value, ...change }
    if (!isBegun.value) atFirst.value = store.design?.pumps ?? []
    isBegun.value = true
  }
  /** Another kind begins anew, but for what holds for every kind. */
  function choose(kind: starting.StartKind): void {
    const { pump, powerGuessed, standM, turnoverPerH, wantedFlowM3PerS } = answers.value
    const fresh = starting.noAnswers(kind, units.family)
    answer({ ...fresh, pump, powerGuessed, standM, turnoverPerH, wantedFlowM3PerS })
  }
  watch(
    () => units.family,
    (family) => {
      answers.value = { ...answers.value, units: family }
    },
  )

  const asked = computed(() =>
    isBegun.value && shelf.value.length > 0 ? { answers: answers.value, shelf: shelf.value } : null,
  )
  const work = useLongWork({
    spawn: spawnCore,
    subject: () => asked.value,
    endsAtOnce: true,
    ask: (subject, { pool, report }) =>
      pool.one((calls) =>
        calls.startDesign(plain(subject.answers), plain(subject.shelf), callback(report)),
      ),
  })
  /** What is under way; one that was overtaken by another ends with nothing. */
  let laying: Promise<void> = Promise.resolve()
  function lay(): Promise<void> {
    laying = layNow()
    return laying
  }
  async function layNow(): Promise<void> {
    if (asked.value === null || work.of.value === asked.value) return
    const laid: BasinDesign | null = await work.start()
    if (laid) store.put(laid)
  }
  watchDebounced(asked, () => void lay(), { debounce: PAUSE_MS })

  const isLaying = computed(
    () =>
      work.progress.value !== null ||
      (asked.value !== null && work.of.value !== asked.value && work.fault.value === ''),
  )
  /** What was answered last is laid before the questions are left. */
  async function settled(): Promise<void> {
    while (isLaying.value) await (work.progress.value === null ? lay() : laying)
  }
  return {
    answers,
    pages,
    page,
    at,
    answer,
    choose,
    shelf,
    isLaying,
    settled,
    fault: work.fault,
    next: () => (at.value = Math.min(at.value + 1, pages.value.length - 1)),
    back: () => (at.value = Math.max(at.value - 1, 0)),
  }
}
