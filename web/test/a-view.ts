import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { defineComponent, h, type Component } from 'vue'
import {
  createMemoryHistory,
  createRouter,
  RouterView,
  type Router,
  type RouteRecordRaw,
} from 'vue-router'

const Nothing = defineComponent({ render: () => h('div') })

export interface Shown {
  readonly wrapper: VueWrapper
  readonly router: Router
}

/** A whole view at its address, charts left out. */
export const shownAt = (at: string, view: Component, props: Record<string, unknown>) =>
  onPage(RouterView, {}, { at, routes: [{ path: at, component: view, props }] })

/** A part of a view, on the page. */
export const shown = (view: Component, props: Record<string, unknown> = {}, at = '/') =>
  onPage(view, props, { at, routes: [] })

async function onPage(
  view: Component,
  props: Record<string, unknown>,
  { at, routes }: { readonly at: string; readonly routes: readonly RouteRecordRaw[] },
): Promise<Shown> {
  document.body.innerHTML = ''
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      ...routes,
      { path: '/basins/:id/:station?', name: 'workspace', component: Nothing },
      { path: '/:all(.*)*', component: Nothing },
    ],
  })
  await router.push(at)
  const wrapper = mount(view, {
    props,
    global: { plugins: [router], stubs: { PlainChart: true } },
    attachTo: document.body,
  })
  await flushPromises()
  return { wrapper, router }
}

/** The button with these words, or this name, wherever it is on the page. */
export function button(words: string | RegExp): HTMLElement {
  const is = (text: string | null) =>
    text !== null && (typeof words === 'string' ? text.trim() === words : words.test(text.trim()))
  const found = [...document.querySelectorAll<HTMLElement>('button, [role=button], a')].find(
    (node) => is(node.getAttribute('aria-label')) || is(node.textContent),
  )
  if (!found) throw new Error(`no button ${String(words)} among ${names().join(', ')}`)
  return found
}

const names = () =>
  [...document.querySelectorAll('button, a')].map(
    (button) => button.getAttribute('aria-label') ?? button.textContent.trim(),
  )

/** Is there such a button? */
export const hasButton = (words: string | RegExp): boolean => {
  try {
    return button(words) !== null
  } catch {
    return false
  }
}

/** Presses it, and waits for what follows at once. */
export async function press(words: string | RegExp): Promise<void> {
  button(words).click()
  await flushPromises()
}

/** The field with this label. */
export function field(words: string): HTMLInputElement {
  const byName = document.querySelector<HTMLInputElement>(`[aria-label="${words}"]`)
  if (byName) return byName
  const found = [...document.querySelectorAll('label')].find((label) =>
    label.textContent.trim().startsWith(words),
  )
  const inside = found?.querySelector<HTMLInputElement>('input, select, textarea')
  const by = found?.htmlFor ? document.getElementById(found.htmlFor) : null
  const input = inside ?? (by as HTMLInputElement | null)
  if (!input) throw new Error(`no field ${words}`)
  return input
}

/** Enters it and leaves the field. */
export async function enter(label: string, value: string): Promise<void> {
  const input = field(label)
  input.value = value
  input.dispatchEvent(new Event('input', { bubbles: true }))
  input.dispatchEvent(new Event('change', { bubbles: true }))
  await flushPromises()
}

/** Words with every kind of space as one blank. */
export const spaced = (words: string): string => words.replace(/\s+/g, ' ')

/** What the page says. */
export const text = (): string => spaced(document.body.textContent)
