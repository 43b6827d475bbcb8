import {
  DEAD_M_PER_S,
  judgeField,
  reaches,
  settingOf,
  tankTurnoverPerH,
  type CirculationPump,
  type DyeFrame,
  type Fineness,
  type RockSolid,
  type TankScene,
  type WaterSetting,
} from '@yew-basin/core'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, reactive, ref, watch, type Ref } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import { isCurrent, useFieldWork } from './field-work.ts'

/** What is open on the bench: a pump, a rock, or the end of a line. */
export interface Chosen {
  readonly kind: 'pump' | 'rock' | 'nozzle'
  readonly id: string
}

const ESTIMATE_PAUSE_MS = 600

/** Changes of the scene of the tank that is looked at. */
function useSceneEdits() {
  const design = useDesign()
  const scenePath = () => ['tanks', design.tankIndex, 'scene'] as const
  function setScene(name: keyof TankScene, to: unknown, key = name as string): void {
    design.edit(
      [{ op: 'set', path: [...scenePath(), name], to }],
      `${key} ${design.tank?.id ?? ''}`,
    )
  }
  function setPump(id: string, change: Partial<CirculationPump>, key = ''): void {
    const pumps = design.tank!.scene.pumps.map((one) =>
      one.id === id ? { ...one, ...change } : one,
    )
    setScene('pumps', pumps, `circulation ${id} ${key}`)
  }
  function setRock(id: string, change: Partial<RockSolid>, key = ''): void {
    const rocks = design.tank!.scene.rocks.map((one) =>
      one.id === id ? { ...one, ...change } : one,
    )
    setScene('rocks', rocks, `rock ${id} ${key}`)
  }

  return { setScene, setPump, setRock }
}

/** What is looked at and how: the choice, the cuts, the maps, the frame of a dye. */
function useLook(frames: Ref<readonly DyeFrame[]>) {
  const chosen = ref<Chosen | null>(null)
  const fineness = ref<Fineness>('standard')
  const figure = ref<'speed' | 'peak'>('speed')
  const show = reactive({ map: true, lines: false, jets: true })
  /** Where each drawing cuts, m. */
  const cuts = reactive({ plan: 0.25, front: 0.25, end: 0.5 })
  const frameIndex = ref<number | null>(null)
  const frame = computed(() => frames.value[frameIndex.value ?? frames.value.length - 1] ?? null)
  watch(frames, (now) => {
    if (now.length === 0) frameIndex.value = null
  })

  /** Cuts where the pumps are, when another tank is looked at. */
  function cutAt(setting: WaterSetting | null): void {
    if (!setting) return
    const first = setting.streams[0]?.jet.from
    cuts.plan = first?.z ?? setting.depthM / 2
    cuts.front = first?.y ?? setting.widthM / 2
    cuts.end = setting.lengthM / 2
  }

  return { chosen, fineness, figure, show, cuts, frameIndex, frame, cutAt }
}

/** The tank whose water is looked at: its scene, its quick look, its field. */
export const useCurrents = defineStore('currents', () => {
  const design = useDesign()
  const work = useFieldWork()

  const tank = computed(() => design.tank)
  const scene = computed<TankScene | null>(() => design.tank?.scene ?? null)
  const setting = computed(() =>
    design.shown && design.solved ? settingOf(design.shown, design.solved, design.tankIndex) : null,
  )
  const quick = computed(() => (setting.value ? reaches(setting.value) : []))
  const stale = computed(() => {
    const field = work.field.value
    return !!field && !!setting.value && !isCurrent(work.of.value, setting.value, field.fineness)
  })
  const look = useLook(work.frames)
  const { chosen, fineness, frameIndex } = look
  const verdict = computed(() =>
    work.field.value && setting.value ? judgeField(work.field.value, setting.value) : null,
  )
  const turnoverPerH = computed(() => {
    const waterM3 = design.solvedTank?.netVolumeM3 ?? 0
    return setting.value && waterM3 > 0 ? tankTurnoverPerH(setting.value, waterM3) : null
  })
  const edits = useSceneEdits()
  watch([() => design.basin?.current.id, () => design.tank?.id], ([designId, tankId]) => {
    chosen.value = null
    frameIndex.value = null
    look.cutAt(setting.value)
    if (designId && tankId) void work.load(designId, tankId)
  })
  watchDebounced(
    [setting, fineness],
    () => {
      if (setting.value && work.at.value === null)
        void work.estimateFor(setting.value, fineness.value)
    },
    { debounce: ESTIMATE_PAUSE_MS },
  )

  function begin(): void {
    look.cutAt(setting.value)
    const designId = design.basin?.current.id
    const tankId = design.tank?.id
    if (designId && tankId) void work.load(designId, tankId)
    if (setting.value) void work.estimateFor(setting.value, fineness.value)
  }
  async function run(): Promise<void> {
    const designId = design.basin?.current.id
    if (!setting.value || !designId || !tank.value) return
    await work.run(setting.value, fineness.value, designId, tank.value.id)
  }

  return {
    ...work,
    ...look,
    tank,
    scene,
    setting,
    quick,
    stale,
    verdict,
    turnoverPerH,
    ...edits,
    begin,
    runField: run,
    deadMPerS: DEAD_M_PER_S,
  }
})
