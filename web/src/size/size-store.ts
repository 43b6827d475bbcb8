import type { Values } from '@yew-basin/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { hasChip } from '../calc/at-work.ts'
import { useLongWork } from '../calc/long-work.ts'
import { ofDesign } from '../calc/of-design.ts'
import { callback, spawnCore } from '../calc/spawn.ts'
import { useParts } from '../parts/parts-store.ts'
import { useDesign } from '../workspace/design-store.ts'
import { pumpsFor } from '../parts/pumps-for.ts'
import { plain } from '../workspace/plain.ts'
import { START_VALUES } from './values.ts'

/** Choosing a pump, pipe and speed for the opened design: what is valued, and the search, which goes on while its view is left. */
export const useSizing = defineStore('sizing', () => {
  const store = useDesign()
  const shelf = useParts()
  const values = ref<Values>({ ...START_VALUES })
  /** What each tank is to get is its wanted turnover; changing it here changes it there. */
  const tanks = computed(() =>
    (store.shown?.tanks ?? []).map((tank, index) => ({
      id: tank.id,
      name: tank.name,
      index,
      wantedM3PerS: store.steady?.tanks[index]?.wantedFlowM3PerS ?? 0,
      turnoverPerH: tank.turnoverPerH,
    })),
  )
  const wish = computed(() => ({
    pumpIndex: store.pumpIndex,
    wantedByTank: Object.fromEntries(tanks.value.map((tank) => [tank.id, tank.wantedM3PerS])),
    shelf: store.present ? pumpsFor(store.present, shelf.pumps) : shelf.pumps,
    values: { ...values.value },
  }))
  const subject = computed(() =>
    store.present ? { design: store.present, wish: wish.value } : null,
  )
  const work = useLongWork({
    spawn: spawnCore,
    subject: () => subject.value,
    endsAtOnce: true,
    continues: true,
    ask: ({ design, wish: asked }, { pool, report }) =>
      pool.one((calls) => ofDesign(calls, design).size(plain(asked), callback(report))),
  })
  hasChip({
    words: 'Choosing',
    to: () => (store.basin ? `/basins/${store.basin.id}/size` : null),
    progress: work.progress,
  })

  // Another basin has its own.
  watch(
    () => store.basin?.id,
    () => work.forget(),
  )
  const { answer, stale, progress, fault, start, cancel, forget } = work
  return { values, tanks, answer, stale, progress, fault, start, cancel, forget }
})
