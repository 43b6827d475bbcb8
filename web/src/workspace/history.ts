/** What can be undone and redone. States are immutable, so keeping one is keeping a pointer. */
export interface History<State> {
  readonly past: readonly State[]
  readonly present: State
  readonly future: readonly State[]
  /** What the last change path, and when: changes of the same in one breath are one step. */
  readonly last: { readonly path: string; readonly at: number } | null
}

const MOST_STEPS = 300
/** Typing in one field is one step until it pauses this long. */
const BREATH_MS = 1200

export function startHistory<State>(present: State): History<State> {
  return { past: [], present, future: [], last: null }
}

/** @param path what was changed; null: it is a step of its own, whatever comes before and after */
export function changed<State>(
  history: History<State>,
  next: State,
  path: string | null,
  at: number,
): History<State> {
  const { past, present, last } = history
  const sameBreath = last !== null && last.path === path && at - last.at < BREATH_MS
  return {
    past: sameBreath ? past : [...past, present].slice(-MOST_STEPS),
    present: next,
    future: [],
    last: path === null ? null : { path, at },
  }
}

/** What comes next is another step, however soon it comes. */
export function closed<State>(history: History<State>): History<State> {
  return history.last === null ? history : { ...history, last: null }
}

export function undone<State>(history: History<State>): History<State> {
  const { past, present, future } = history
  const before = past.at(-1)
  if (before === undefined) return history
  return { past: past.slice(0, -1), present: before, future: [present, ...future], last: null }
}

export function redone<State>(history: History<State>): History<State> {
  const { past, present, future } = history
  const after = future[0]
  if (after === undefined) return history
  return { past: [...past, present], present: after, future: future.slice(1), last: null }
}

/** An older state put under the oldest one, so that undo reaches back past this session. */
export function deepened<State>(history: History<State>, older: State): History<State> {
  return { ...history, past: [older, ...history.past] }
}
