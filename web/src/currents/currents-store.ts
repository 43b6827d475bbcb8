import {
  isOfWanted,
  DEAD_M_PER_S,
  judgeField,
  reaches,
  domainOf,
  tankTurnoverPerH,
  type CirculationPump,
  type DyeFrame,
  type Fineness,
  type RockSolid,
  type TankScene,
  type FlowDomain,
  setTo,
  type EditPath,
} from '@yew-basin/core'
import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, reactive, ref, watch, type Ref } from 'vue'
import { hasChip } from '../calc/at-work.ts'
import { useDesign } from '../workspace/design-store.ts'
import { useKeptFields } from './kept-fields.ts'
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
  const at = <const More extends EditPath>(...more: More) =>
    ['tanks', design.tankIndex, 'scene', ...more] as const
  const setPumps = (to: TankScene['pumps']) => design.set(at('pumps'), to)
  const setRocks = (to: TankScene['rocks']) => design.set(at('rocks'), to)
  const setNozzles = (to: TankScene['nozzles']) => design.set(at('nozzles'), to)
  const setRanges = (to: TankScene['ranges']) => design.set(at('ranges'), to)
  function setPump(id: string, change: Partial<CirculationPump>): void {
    const i = design.tank!.scene.pumps.findIndex((pump) => pump.id === id)
    const names = Object.keys(change) as (keyof CirculationPump)[]
    if (i >= 0) design.edit(names.map((name) => setTo(at('pumps', i, name), change[name]!)))
  }
  function setRock(id: string, change: Partial<RockSolid>): void {
    const i = design.tank!.scene.rocks.findIndex((rock) => rock.id === id)
    const names = Object.keys(change) as (keyof RockSolid)[]
    if (i >= 0) design.edit(names.map((name) => setTo(at('rocks', i, name), change[name]!)))
  }

  return { setPumps, setRocks, setNozzles, setRanges, setPump, setRock }
}

/** What is looked at and how: the choice, the cuts, the maps, the frame of a dye. */
function useLook(frames: Ref<readonly DyeFrame[]>) {
  const chosen = ref<Chosen | null>(null)
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
  function cutAt(domain: FlowDomain | null): void {
    if (!domain) return
    const first = domain.streams[0]?.jet.from
    cuts.plan = first?.z ?? domain.depthM / 2
    cuts.front = first?.y ?? domain.widthM / 2
    cuts.end = domain.lengthM / 2
  }

  return { chosen, figure, show, cuts, frameIndex, frame, cutAt }
}

/** The kept fields of the tank that is looked at. */
function useKept() {
  const design = useDesign()
  const place = () => {
    const designId = design.basin?.current.id
    return designId && design.tank ? { designId, tankId: design.tank.id } : null
  }
  return reactive(useKeptFields(place))
}

/** What a field says of the tank as it is now. */
function useVerdict(
  { field, of, apart }: Pick<ReturnType<typeof useFieldWork>, 'field' | 'of' | 'apart'>,
  domain: Ref<FlowDomain | null>,
) {
  const stale = computed(
    () =>
      !!field.value && !!domain.value && !isCurrent(of.value, domain.value, field.value.fineness),
  )
  const verdict = computed(() =>
    field.value && domain.value ? judgeField(field.value, domain.value) : null,
  )
  /** Whether what coarser cubes differ by is of what is wanted now. */
  const apartIsOfWanted = computed(
    () => !!apart.value && !!domain.value && isOfWanted(apart.value, domain.value),
  )
  return { stale, verdict, apartIsOfWanted }
}

/** The tank whose water is looked at: its scene, its quick look, its field. */
export const useCurrents = defineStore('currents', () => {
  const design = useDesign()

  const tank = computed(() => design.tank)
  const scene = computed<TankScene | null>(() => design.tank?.scene ?? null)
  const domain = computed(() =>
    design.shown && design.solved ? domainOf(design.shown, design.solved, design.tankIndex) : null,
  )
  const fineness = ref<Fineness>('standard')
  const wish = computed(() =>
    domain.value ? { domain: domain.value, fineness: fineness.value } : null,
  )
  const work = useFieldWork(() => wish.value)
  hasChip({
    words: 'Currents',
    to: () => (design.basin ? `/basins/${design.basin.id}/currents` : null),
    progress: computed(() => work.at.value && { done: work.at.value.share, of: 1 }),
  })
  const look = useLook(work.frames)
  const { chosen, frameIndex } = look
  const quick = computed(() => (domain.value ? reaches(domain.value) : []))
  const says = useVerdict(work, domain)
  const turnoverPerH = computed(() => {
    const waterM3 = design.solvedTank?.netVolumeM3 ?? 0
    return domain.value && waterM3 > 0 ? tankTurnoverPerH(domain.value, waterM3) : null
  })
  const edits = useSceneEdits()
  const kept = useKept()
  watch([() => design.basin?.current.id, () => design.tank?.id], ([designId, tankId]) => {
    chosen.value = null
    frameIndex.value = null
    look.cutAt(domain.value)
    if (designId && tankId) load(designId, tankId)
  })
  const estimateAnew = () => {
    if (work.at.value === null) void work.findEstimate()
  }
  watchDebounced(domain, estimateAnew, { debounce: ESTIMATE_PAUSE_MS })
  // Another fineness is chosen once, not typed: its estimate comes at once.
  watch(fineness, estimateAnew)

  /** The tank whose field is here, or is being worked at: that continues while another view is shown. */
  let loadedFor = ''
  function load(designId: string, tankId: string): void {
    loadedFor = `${designId} ${tankId}`
    void work.load(designId, tankId)
    void kept.list()
  }
  function begin(): void {
    const designId = design.basin?.current.id
    const tankId = design.tank?.id
    if (!designId || !tankId || loadedFor === `${designId} ${tankId}`) return
    look.cutAt(domain.value)
    load(designId, tankId)
    void work.findEstimate()
  }
  async function simulate(): Promise<void> {
    const designId = design.basin?.current.id
    if (designId && tank.value) await work.simulate(designId, tank.value.id)
  }

  return {
    ...work,
    ...look,
    fineness,
    tank,
    scene,
    domain,
    quick,
    ...says,
    turnoverPerH,
    ...edits,
    kept,
    begin,
    simulateField: simulate,
    deadMPerS: DEAD_M_PER_S,
  }
})
