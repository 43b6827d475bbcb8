import type { Fineness, Vector, WaterSetting } from '@yew-basin/core'
import {
  settingMark,
  unpackField,
  type CirculationPump,
  type DyeFrame,
  type DyeVerdict,
  type Field,
  type PlacementSearch,
} from '@yew-basin/core'
import { ref, shallowRef, type ShallowRef } from 'vue'
import { fieldsApi } from '../api/basins.ts'
import { Calculator, callback, Cancelled } from '../calc/client.ts'
import { plain } from '../workspace/plain.ts'
import { notKept } from './currents-words.ts'
import type { CurrentsCalls, Estimate } from './currents-worker.ts'

const makeWorker = () =>
  new Worker(new URL('./currents-worker.ts', import.meta.url), { type: 'module' })

/** What is being worked at, and how far it is. */
export interface AtWork {
  readonly what: 'field' | 'dye' | 'place'
  readonly share: number
}

/** One long piece of work at a time, with its progress and its fault. */
function useWork() {
  const at = shallowRef<AtWork | null>(null)
  const fault = ref('')
  const worker = new Calculator<CurrentsCalls>(makeWorker)

  async function work<T>(
    what: AtWork['what'],
    ask: Parameters<typeof worker.ask<T>>[0],
  ): Promise<T | null> {
    fault.value = ''
    at.value = { what, share: 0 }
    try {
      return await worker.ask(ask)
    } catch (error) {
      if (!(error instanceof Cancelled)) fault.value = (error as Error).message
      return null
    } finally {
      at.value = null
    }
  }
  const progress = (what: AtWork['what']) =>
    callback((done: number, of: number) => {
      if (at.value) at.value = { what, share: done / of }
    })
  return { at, fault, worker, work, progress }
}

type Work = ReturnType<typeof useWork>

/** Dye poured in a field, look by look. */
function useDye({ at, work }: Work, field: ShallowRef<Field | null>) {
  const frames = shallowRef<readonly DyeFrame[]>([])
  const dye = shallowRef<DyeVerdict | null>(null)

  function clearDye(): void {
    frames.value = []
    dye.value = null
  }

  async function pour(from: Vector): Promise<void> {
    const now = field.value
    if (!now) return
    clearDye()
    const look = callback((frame: DyeFrame) => {
      frames.value = [...frames.value, frame]
      if (at.value) at.value = { what: 'dye', share: frame.mixed }
    })
    dye.value = await work('dye', (calls) => calls.dye(now, plain(from), look))
  }

  return { frames, dye, clearDye, pour }
}

/** Seats, aims and speeds that are searched for. */
function useSearch({ work, progress }: Work) {
  const search = shallowRef<PlacementSearch | null>(null)

  async function place(setting: WaterSetting, pumps: readonly CirculationPump[]): Promise<void> {
    search.value = null
    search.value = await work('place', (calls) =>
      calls.place(plain(setting), plain(pumps), progress('place')),
    )
  }

  return { search, place }
}

/** How long a field will take, found beside whatever is being worked at. */
function useEstimate({ fault }: Work) {
  const side = new Calculator<CurrentsCalls>(makeWorker)
  const estimate = shallowRef<Estimate | null>(null)

  async function estimateFor(setting: WaterSetting, fineness: Fineness): Promise<void> {
    try {
      estimate.value = await side.ask((calls) => calls.estimate(plain(setting), fineness))
    } catch (error) {
      if (!(error instanceof Cancelled)) fault.value = (error as Error).message
    }
  }

  return { estimate, estimateFor, leaveEstimate: () => side.cancel() }
}

/** A field with what is made of it: its run, its streamlines, dye poured in it, and where it is kept. */
export function useFieldWork() {
  const long = useWork()
  const { at, fault, worker, work, progress } = long
  const field = shallowRef<Field | null>(null)
  /** The setting it was run for. */
  const of = ref('')
  const { frames, dye, clearDye, pour } = useDye(long, field)
  const { search, place } = useSearch(long)
  const { estimate, estimateFor, leaveEstimate } = useEstimate(long)

  function forget(): void {
    worker.cancel()
    field.value = null
    of.value = ''
    clearDye()
    search.value = null
  }

  function show(found: Field, mark: string): void {
    field.value = found
    of.value = mark
    clearDye()
  }

  async function load(designId: string, tankId: string): Promise<void> {
    forget()
    try {
      const bytes = await fieldsApi.read(designId, tankId)
      const packed = bytes ? unpackField(bytes) : null
      if (packed) show(packed.field, packed.of)
    } catch (error) {
      fault.value = (error as Error).message
    }
  }

  async function run(
    setting: WaterSetting,
    fineness: Fineness,
    designId: string,
    tankId: string,
  ): Promise<void> {
    const done = await work('field', (calls) =>
      calls.run(plain(setting), fineness, progress('field')),
    )
    if (!done) return
    show(done.field, done.of)
    try {
      await fieldsApi.keep(designId, tankId, done.bytes)
    } catch (error) {
      fault.value = notKept(error as Error)
    }
  }

  function stop(): void {
    worker.cancel()
  }
  function leave(): void {
    worker.cancel()
    leaveEstimate()
  }

  return {
    at,
    fault,
    field,
    of,
    frames,
    dye,
    search,
    estimate,
    load,
    run,
    estimateFor,
    pour,
    place,
    stop,
    leave,
    clearDye,
    forget,
  }
}

/** Whether a field is of this setting still. */
export function isCurrent(of: string, setting: WaterSetting, fineness: Fineness): boolean {
  return of === settingMark(setting, fineness)
}
