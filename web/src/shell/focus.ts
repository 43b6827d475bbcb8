import { useEventListener } from '@vueuse/core'
import { nextTick } from 'vue'
import type { Router } from 'vue-router'

/** What a view is headed by: its bench where it has one. */
const HEADINGS = 'aside h2, main h1, main h2'
/** A view that comes when it is wanted is waited for, in looks. */
const MOST_LOOKS = 40
const LOOK_MS = 50

const place = ({ name, params }: Router['currentRoute']['value']) =>
  `${String(name)} ${String(params.id)} ${String(params.station)}`

/** A change of view moves the focus to its heading, so that what follows is read from there. */
export function focusHeadings(router: Router): void {
  let turn = 0
  router.afterEach((to, from) => {
    if (from.matched.length === 0 || place(to) === place(from)) return
    const mine = ++turn
    const before = document.querySelector(HEADINGS)
    const look = (left: number) => {
      const heading = document.querySelector<HTMLElement>(HEADINGS)
      if (mine !== turn) return
      if (heading && heading !== before) focusOn(heading)
      else if (left > 0) setTimeout(() => look(left - 1), LOOK_MS)
    }
    void nextTick(() => look(MOST_LOOKS))
  })
}

function focusOn(heading: HTMLElement): void {
  // Who went on already is not called back.
  const at = document.activeElement
  if (at instanceof HTMLElement && at.matches('input, textarea, select')) return
  heading.tabIndex = -1
  heading.focus({ preventScroll: true })
}

const FOCUSABLE = 'button:not(:disabled), input:not(:disabled), select:not(:disabled), a[href]'

/** What was taken out of a list by its own button leaves the focus on the next thing, or on the list's heading. */
export function useFocusAfterRemoval(): void {
  useEventListener(
    document,
    'click',
    ({ target }) => {
      const pressed = target instanceof Element ? target.closest('button') : null
      const item = pressed?.closest('li')
      const list = item?.parentElement
      if (!pressed || !item || !list) return
      const index = [...list.children].indexOf(item)
      const section = list.closest('section, aside, main')
      setTimeout(() => {
        if (pressed.isConnected || document.activeElement !== document.body) return
        const next = list.isConnected ? (list.children[index] ?? list.lastElementChild) : null
        const to =
          next?.querySelector<HTMLElement>(FOCUSABLE) ??
          section?.querySelector<HTMLElement>('h1, h2, h3')
        if (to && !to.matches(FOCUSABLE)) to.tabIndex = -1
        to?.focus()
      }, SETTLES_MS)
    },
    { capture: true },
  )
}

/** Until a list is drawn anew. */
const SETTLES_MS = 60
