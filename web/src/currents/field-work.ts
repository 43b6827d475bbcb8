import type { Fineness, Vector, FlowDomain } from '@yew-basin/core'
import {
  domainMark,
  unpackField,
  type CirculationPump,
  type DyeFrame,
  type DyeVerdict,
  type Field,
  type PackedField,
  type CirculationPart,
  type placing,
} from '@yew-basin/core'
import { computed, ref, shallowRef, type ShallowRef } from 'vue'
import { fieldsApi } from '../api/basins.ts'
import { type LongWork, useLongWork, type Work } from '../calc/long-work.ts'
import { callback, spawnCurrents } from '../calc/spawn.ts'
import type { CurrentsCalls, Estimate, SimulatedField } from '../calc/currents-calls.ts'
import { plain } from '../workspace/plain.ts'
import { notKept } from './currents-words.ts'

/** What is being worked at, and how far it is. */
export interface AtWork {
  readonly what: 'field' | 'dye' | 'place' | 'how-many'
  readonly share: number
}

/** What a field is simulated for. */
export interface FieldWish {
  readonly domain: FlowDomain
  readonly fineness: Fineness
}

/** A field, simulated at a fineness, with how long that will take. */
function useField(wish: () => FieldWish | null) {
  return useLongWork({
    spawn: spawnCurrents,
    subject: wish,
    endsAtOnce: true,
    continues: true,
    ask: (
      { domain, fineness },
      { pool, report }: Work<CurrentsCalls>,
    ): Promise<SimulatedField | null> =>
      pool.one((calls) => calls.simulate(plain(domain), fineness, callback(report))),
    estimate: ({ domain, fineness }, { pool }): Promise<Estimate | null> =>
      pool.one((calls) => calls.estimate(plain(domain), fineness)),
  })
}

/** Dye poured in a field, look by look. */
function useDye(field: ShallowRef<Field | null>) {
  const frames = shallowRef<readonly DyeFrame[]>([])
  const from = shallowRef<Vector | null>(null)
  const work = useLongWork({
    spawn: spawnCurrents,
    subject: () => (field.value && from.value ? { field: field.value, from: from.value } : null),
    endsAtOnce: true,
    continues: true,
    ask: (poured, { pool, report }: Work<CurrentsCalls>): Promise<DyeVerdict> => {
      const look = callback((frame: DyeFrame) => {
        frames.value = [...frames.value, frame]
        report(frame.mixed, 1)
      })
      return pool.one((calls) => calls.dye(poured.field, plain(poured.from), look))
    },
  })

  function clearDye(): void {
    work.forget()
    frames.value = []
  }
  async function pour(at: Vector): Promise<void> {
    clearDye()
    from.value = at
    await work.start()
  }

  return { work, frames, dye: work.answer, clearDye, pour }
}

/** Something that is searched for, asked anew each time. */
function useSearch<Wish extends object, Answer>(
  ask: (work: Work<CurrentsCalls>, wish: Wish) => Promise<Answer | null>,
) {
  const wish = shallowRef<Wish | null>(null)
  const work = useLongWork({
    spawn: spawnCurrents,
    subject: () => wish.value,
    endsAtOnce: true,
    continues: true,
    ask: (asked: Wish, how: Work<CurrentsCalls>) => ask(how, asked),
  })
  async function search(asked: Wish): Promise<void> {
    work.forget()
    wish.value = asked
    await work.start()
  }
  return { work, search }
}

/** One, two and four of a pump in a tank, beside each other. */
export interface HowManyOf {
  readonly domain: FlowDomain
  readonly part: CirculationPart
}

const useHowMany = () =>
  useSearch<HowManyOf, placing.HowMany>(({ pool, report }, { domain, part }) =>
    pool.one((calls) => calls.howMany(plain(domain), plain(part), callback(report))),
  )

/** Mounting positions, aims and speeds that are searched for. */
const usePlaces = () =>
  useSearch<
    { readonly domain: FlowDomain; readonly pumps: readonly CirculationPump[] },
    placing.PlacementSearch
  >(({ pool, report }, { domain, pumps }) =>
    pool.one((calls) => calls.place(plain(domain), plain(pumps), callback(report))),
  )

/** What is worked at, and how far it is. */
function shareOf(what: AtWork['what'], progress: { done: number; of: number } | null) {
  return progress ? { what, share: progress.done / progress.of } : null
}

type Works = Readonly<
  Record<AtWork['what'], Pick<LongWork<never, never, never>, 'progress' | 'fault'>>
>

/** The first that is worked at; null: none is. */
function atWork(works: Works): AtWork | null {
  for (const [what, { progress }] of Object.entries(works) as [AtWork['what'], Works['dye']][]) {
    const share = shareOf(what, progress.value)
    if (share) return share
  }
  return null
}

const faultOf = (works: Works) =>
  Object.values(works).find(({ fault }) => fault.value !== '')?.fault.value ?? ''

/** A field with what is made of it: its simulation, its streamlines, dye poured in it, and where it is kept. */
export function useFieldWork(wish: () => FieldWish | null) {
  const fielding = useField(wish)
  const field = shallowRef<Field | null>(null)
  /** How far it is from the same on a coarser grid; null: that was not tried. */
  const apart = shallowRef<PackedField['apart']>(null)
  /** The domain it was simulated for. */
  const of = ref('')
  const keeping = ref('')
  const dyeing = useDye(field)
  const searching = usePlaces()
  const counting = useHowMany()
  const works = {
    field: fielding,
    dye: dyeing.work,
    place: searching.work,
    'how-many': counting.work,
  } as const
  const at = computed(() => atWork(works))
  const fault = computed(() => faultOf(works) || keeping.value)

  function forget(): void {
    fielding.forget()
    searching.work.forget()
    counting.work.forget()
    field.value = null
    apart.value = null
    of.value = ''
    keeping.value = ''
    dyeing.clearDye()
  }

  function show(found: PackedField): void {
    dyeing.clearDye()
    field.value = found.field
    apart.value = found.apart
    of.value = found.of
  }

  async function load(designId: string, tankId: string): Promise<void> {
    forget()
    try {
      const bytes = await fieldsApi.read(designId, tankId)
      const packed = bytes ? unpackField(bytes) : null
      if (packed) show(packed)
    } catch (error) {
      keeping.value = (error as Error).message
    }
  }

  async function simulate(designId: string, tankId: string): Promise<void> {
    keeping.value = ''
    const done = await fielding.start()
    if (!done) return
    show(done)
    try {
      await fieldsApi.keep(designId, tankId, done.bytes)
    } catch (error) {
      keeping.value = notKept(error as Error)
    }
  }

  function stop(): void {
    for (const work of Object.values(works)) work.cancel()
  }

  return {
    at,
    fault,
    field,
    apart,
    of,
    frames: dyeing.frames,
    dye: dyeing.dye,
    search: searching.work.answer,
    counted: counting.work.answer,
    countedOf: counting.work.of,
    estimate: fielding.estimate,
    load,
    simulate,
    findEstimate: () => fielding.findEstimate(),
    pour: dyeing.pour,
    place: searching.search,
    howMany: counting.search,
    stop,
    clearDye: dyeing.clearDye,
    forget,
  }
}

/** Whether a field is of this domain still. */
export function isCurrent(of: string, domain: FlowDomain, fineness: Fineness): boolean {
  return of === domainMark(domain, fineness)
}
