import {
  applyEdits,
  assuming,
  type At,
  type BasinDesign,
  type DevicePart,
  type Edit,
  type EditPath,
  editing,
  type Fix,
  setTo,
} from '@yew-basin/core'
import { useNotices } from '../shell/notices.ts'
import { computed, type ComputedRef, shallowRef, type ShallowRef } from 'vue'

/** What the edits of the opened design are made on. */
interface Edited {
  readonly design: ComputedRef<BasinDesign | null>
  readonly edit: (edits: readonly Edit[]) => void
  readonly put: (next: BasinDesign) => void
}

/** The devices there are to choose from, and what the return carries. */
interface Library {
  readonly devices: readonly DevicePart[]
  readonly returnM3PerS: number
}

/** A change of the keeper's that lines went along with. */
interface WentAlong {
  /** The design before it, however many strokes it took to type. */
  readonly before: BasinDesign
  readonly edits: readonly Edit[]
  /** The design after it: another is another change. */
  readonly after: BasinDesign
  /** What the lines are called. */
  readonly names: readonly string[]
}

const pathsOf = (edits: readonly Edit[]) => edits.map(({ path }) => path.join('.')).join()

function namesOf({ returnSide: { lines } }: BasinDesign, edits: readonly Edit[]): string[] {
  const indices = new Set(edits.map(({ path }) => Number(path[2])))
  return [...indices].map((i) => lines[i]!.name)
}

/** Changes of the opened design, each with what follows of it and with what it makes given or assumed. */
export function useEdits(
  history: Edited,
  preview: ShallowRef<Fix | null>,
  library: () => Library = () => ({ devices: [], returnM3PerS: 0 }),
) {
  const notices = useNotices()
  const lastAlong = shallowRef<WentAlong | null>(null)
  /** Lines that went along with the last change; null: none, or something else was changed since. */
  const wentAlong = computed(() =>
    lastAlong.value?.after === history.design.value ? lastAlong.value : null,
  )

  /** A device drawn into a line stands at its stop too: as a part of the library, to be exchanged there. */
  function devicesDrawn(now: BasinDesign, after: BasinDesign): readonly Edit[] {
    const { devices: parts, returnM3PerS } = library()
    const newId = () => crypto.randomUUID()
    const made = editing.devicesOfPieces(now, after, { parts, returnM3PerS, newId })
    const { devices } = applyEdits(after, made).sump
    for (const { name, part } of devices.slice(after.sump.devices.length))
      notices.tell(`${name} stands at its stop now, as a ${part.name}: exchange it there.`)
    return made
  }

  /** Edits with their marks, and what follows of them: that stays given or assumed as it was. */
  function make(
    edits: readonly Edit[],
    by: assuming.EditedBy,
    given: readonly string[] = [],
  ): void {
    preview.value = null
    const now = history.design.value
    if (!now) return
    const before = wentAlong.value
    const { belongs, leads } = editing.goesAlong(now, edits)
    const along = [...belongs, ...leads]
    const devices = devicesDrawn(now, applyEdits(now, [...edits, ...along]))
    const all = [...assuming.withMarks(now, edits, by), ...along, ...devices]
    const marked = given.length > 0 ? assuming.confirmed(applyEdits(now, all), given) : []
    history.edit([...all, ...editing.tuned(now, all), ...marked])
    if (leads.length === 0) return
    const isSame = before !== null && pathsOf(before.edits) === pathsOf(edits)
    lastAlong.value = {
      before: isSame ? before.before : now,
      edits,
      after: history.design.value,
      names: namesOf(now, leads),
    }
  }
  /** What the keeper changes: it is given from then on. */
  const edit = (edits: readonly Edit[]) => make(edits, 'given')
  /** What a builder lays: its figures are assumed, but for those the keeper gave it. */
  const lay = (edits: readonly Edit[], given: readonly string[] = []) => make(edits, 'laid', given)

  /** The lines that went along with the last change stay as they were. */
  function leaveLines(): void {
    const along = wentAlong.value
    if (!along) return
    const { before, edits } = along
    const { belongs } = editing.goesAlong(before, edits)
    const all = [...assuming.withMarks(before, edits, 'given'), ...belongs]
    history.put(applyEdits(before, [...all, ...editing.tuned(before, all)]))
  }
  function set<const Path extends EditPath>(path: Path, to: At<Path>): void {
    const now = history.design.value
    edit(now ? editing.turnedByHand(now, setTo(path, to)) : [])
  }
  return { edit, lay, set, wentAlong, leaveLines }
}
