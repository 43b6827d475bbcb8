import type { BasinDesign } from '@yew-basin/core'

/** Work that has not reached the server yet, kept in this browser. */
export interface RecoveredDraft {
  readonly revision: number
  readonly design: BasinDesign
  /** What was on its way to the server meanwhile; it arrives even when the page is left. */
  readonly sent: BasinDesign | null
  readonly at: number
}

/** A draft of another tab that has been left alone this long belongs to a tab that is gone. */
const ABANDONED_MS = 15_000

/** One key a design and tab, so that two tabs never write over each other. */
export class Drafts {
  readonly #prefix: string
  readonly #own: string

  constructor(designId: string, tab: string) {
    this.#prefix = `yew.draft.${designId}.`
    this.#own = this.#prefix + tab
  }

  keep(draft: RecoveredDraft): void {
    try {
      localStorage.setItem(this.#own, JSON.stringify(draft))
    } catch {
      // A full or forbidden store leaves the work in memory, where the save state already shows it.
    }
  }

  drop(): void {
    localStorage.removeItem(this.#own)
  }

  /** This tab's draft, else the newest that a closed tab left behind; it becomes this tab's. */
  take(now: number): RecoveredDraft | null {
    const own = readDraft(this.#own)
    if (own) return own
    const left = Object.keys(localStorage)
      .filter((key) => key.startsWith(this.#prefix))
      .map((key) => ({ key, draft: readDraft(key) }))
      .filter(({ draft }) => draft !== null && now - draft.at > ABANDONED_MS)
      .sort((a, b) => b.draft!.at - a.draft!.at)[0]
    if (!left) return null
    localStorage.removeItem(left.key)
    const taken = { ...left.draft!, at: now }
    this.keep(taken)
    return taken
  }
}

function readDraft(key: string): RecoveredDraft | null {
  const text = localStorage.getItem(key)
  if (text === null) return null
  try {
    const draft = JSON.parse(text) as Partial<RecoveredDraft>
    const whole = typeof draft.revision === 'number' && typeof draft.at === 'number' && draft.design
    return whole ? { ...(draft as RecoveredDraft), sent: draft.sent ?? null } : null
  } catch {
    return null
  }
}

/** This tab's name: the same after a reload, another in another tab. */
export function tabName(): string {
  const known = sessionStorage.getItem('yew.tab')
  if (known) return known
  const made = crypto.randomUUID()
  sessionStorage.setItem('yew.tab', made)
  return made
}
