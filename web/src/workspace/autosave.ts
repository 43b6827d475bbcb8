import type { DesignAnswer, SavedAnswer } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { computed, ref, shallowRef } from 'vue'
import { designsApi } from '../api/basins.ts'
import { Refused, Unreachable } from '../api/client.ts'
import type { ErrorCode } from '@yew-basin/contract/errors'
import { sameDesign } from './differences.ts'
import { Drafts, type KeptState } from './drafts.ts'

/**
 * saved: the server has it. waiting: it will in a moment. saving: on its way. offline: kept here,
 * tried again. conflict: another tab saved first. refused: the server will not have it; gone: the
 * basin is not there any more.
 */
export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused' | 'gone'

const PAUSE_MS = 500
/** A fault of the server's own is tried again so often; then it stands there until the keeper tries. */
const FAULT_TRIES = 3
const FIRST_RETRY_MS = 1500
const LAST_RETRY_MS = 20_000

/** A save that arrived, with the design it was of. */
type Saved = SavedAnswer & { readonly design: BasinDesign }

/** Refusals that pass by themselves. */
const PASSING: ReadonlySet<ErrorCode> = new Set(['no-database', 'too-many', 'no-session'])

/** Saves a design as it changes, one save at a time, never over a revision it has not seen. */
export class Autosave {
  readonly state = ref<SaveState>('saved')
  readonly savedAt = ref('')
  readonly fault = ref('')
  /** What the other tab saved, while the keeper decides. */
  readonly theirs = shallowRef<DesignAnswer | null>(null)

  readonly #read: () => BasinDesign | null
  #designId = ''
  #revision = 0
  #savedDesign: BasinDesign | null = null
  /** On its way to the server. */
  #sending: BasinDesign | null = null
  /** Sent without an answer, now or before the page was left: it may have arrived, or arrive yet. */
  #unanswered: BasinDesign | null = null
  readonly #drafts = shallowRef<Drafts | null>(null)
  #faults = 0
  #timer: ReturnType<typeof setTimeout> | undefined
  #retryMs = FIRST_RETRY_MS

  /** Whether what is not saved is kept in this browser. */
  readonly kept = computed<KeptState>(() => this.#drafts.value?.state.value ?? 'nothing')
  /** Leaving the page now would lose work: the server does not have it, and nothing here keeps it. */
  readonly wouldLose = computed(() => this.state.value !== 'saved' && this.kept.value !== 'kept')

  /** A save or a draft is on its way: whether work would be lost is not known yet. */
  readonly isUnderWay = computed(
    () => this.state.value === 'saving' || this.kept.value === 'keeping',
  )

  /** What views see of it. */
  readonly shown = {
    saveState: this.state,
    savedAt: this.savedAt,
    saveFault: this.fault,
    theirs: this.theirs,
    kept: this.kept,
    wouldLose: this.wouldLose,
    isUnderWay: this.isUnderWay,
    retryNow: () => this.retryNow(),
    leave: () => this.leave(),
  }

  /** @param read the design as it is on the screen now */
  constructor(read: () => BasinDesign | null) {
    this.#read = read
  }

  /** Starts on a design as the server has it. */
  begin(answer: DesignAnswer): void {
    clearTimeout(this.#timer)
    this.#designId = answer.id
    this.#drafts.value = new Drafts(answer.id)
    this.theirs.value = null
    this.#unanswered = null
    this.#settle(answer)
  }

  /** The design has changed. Undone back to what is saved, it needs no save: states are compared by identity. */
  markDirty(): void {
    const design = this.#read()
    if (!design) return
    const state = this.state.value
    if (design === this.#savedDesign && (state === 'waiting' || state === 'saved')) {
      clearTimeout(this.#timer)
      this.#drafts.value?.drop()
      this.state.value = 'saved'
      return
    }
    const sent = this.#sending ?? this.#unanswered
    this.#drafts.value?.keep({ revision: this.#revision, design, sent, at: Date.now() })
    if (state === 'conflict' || state === 'gone' || state === 'saving') return
    if (state !== 'offline') this.state.value = 'waiting'
    this.#schedule(PAUSE_MS)
  }

  async save(keepalive = false): Promise<void> {
    const design = this.#read()
    if (!design || this.state.value === 'saving' || this.state.value === 'conflict') return
    clearTimeout(this.#timer)
    this.state.value = 'saving'
    this.#sending = design
    const id = this.#designId
    try {
      const answer = await designsApi.save(id, this.#revision, design, keepalive)
      if (id === this.#designId) this.#arrived({ ...answer, design })
    } catch (error) {
      if (id === this.#designId) await this.#tooLate(movedTo(error), design, error)
    }
  }

  /** Where the server has moved on to what this tab sent itself, there is nobody to ask about it. */
  async #tooLate(there: DesignAnswer | null, design: BasinDesign, error: unknown): Promise<void> {
    this.#sending = null
    if (error instanceof Unreachable) this.#unanswered = design
    if (there && sameDesign(there.design, design)) return this.#arrived({ ...there, design })
    if (!there || !isSame(this.#unanswered, there)) return this.#failed(error)
    this.#unanswered = null
    this.#revision = there.revision
    this.state.value = 'waiting'
    await this.save()
  }

  /** Settles a conflict by saving ours over theirs; theirs stays among the kept revisions. */
  keepMine(): void {
    if (this.theirs.value) this.#revision = this.theirs.value.revision
    this.theirs.value = null
    this.state.value = 'waiting'
    void this.save()
  }

  /** Settles a conflict with their state; the caller puts it on the screen. */
  takeTheirs(): DesignAnswer | null {
    const answer = this.theirs.value
    if (!answer) return null
    this.theirs.value = null
    this.#settle(answer)
    this.#drafts.value?.drop()
    return answer
  }

  /**
   * Left-over work found in this browser: its design, and whether the server has moved on since. What was on its
   * way when the page was left has arrived by now, or will: the same on both sides is nobody's conflict.
   */
  async recovered(answer: DesignAnswer): Promise<{ design: BasinDesign; moved: boolean } | null> {
    const drafts = this.#drafts.value
    const draft = await drafts?.take(Date.now()).catch(() => null)
    if (!draft || drafts !== this.#drafts.value) return null
    if (sameDesign(draft.design, answer.design)) {
      drafts?.drop()
      return null
    }
    this.#unanswered = draft.sent
    const moved = draft.revision !== answer.revision && !isSame(draft.sent, answer)
    if (moved) {
      this.#revision = draft.revision
      this.theirs.value = answer
      this.state.value = 'conflict'
    }
    return { design: draft.design, moved }
  }

  retryNow(): void {
    if (this.state.value === 'offline' || this.state.value === 'refused') void this.save()
  }

  /** The page is left: what waits goes out now. */
  async leave(): Promise<void> {
    if (this.state.value === 'waiting' || this.state.value === 'offline') await this.save(true)
  }

  #arrived(answer: Saved): void {
    this.#sending = null
    this.#unanswered = null
    this.#settle(answer)
    if (this.#read() === answer.design) this.#drafts.value?.drop()
    else this.markDirty()
  }

  #settle(answer: Saved): void {
    this.#revision = answer.revision
    this.savedAt.value = answer.savedAt
    this.#savedDesign = answer.design
    this.#retryMs = FIRST_RETRY_MS
    this.#faults = 0
    this.state.value = 'saved'
  }

  #schedule(ms: number): void {
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => void this.save(), ms)
  }

  /** Sent again it would be refused again. */
  #isFinal(code: ErrorCode): boolean {
    if (code === 'server-fault') return ++this.#faults >= FAULT_TRIES
    return !PASSING.has(code)
  }

  #failed(error: unknown): void {
    if (!(error instanceof Refused) && !(error instanceof Unreachable)) throw error
    this.fault.value = error.message
    const code = error instanceof Refused ? error.problem.code : null
    const there = movedTo(error)
    if (there) {
      this.theirs.value = there
      this.state.value = 'conflict'
    } else if (code === 'not-found') {
      this.state.value = 'gone'
    } else if (code === 'invalid') {
      const faults = (error as Refused).problem.faults ?? []
      const said = faults.map((fault) => `${fault.path} ${fault.message}`).join('; ')
      this.fault.value = said || error.message
      this.state.value = 'refused'
    } else if (code !== null && this.#isFinal(code)) {
      this.state.value = 'refused'
    } else {
      this.state.value = 'offline'
      this.#schedule(Math.max(this.#retryMs, error instanceof Refused ? error.retryAfterMs : 0))
      this.#retryMs = Math.min(this.#retryMs * 2, LAST_RETRY_MS)
    }
  }
}

/** What the server has where a save came too late; null: it was refused for something else. */
function movedTo(error: unknown): DesignAnswer | null {
  if (!(error instanceof Refused) || error.problem.code !== 'revision-moved') return null
  return error.problem.current as DesignAnswer
}

const isSame = (sent: BasinDesign | null, there: DesignAnswer) =>
  sent !== null && sameDesign(sent, there.design)
