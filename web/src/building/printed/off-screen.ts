import { type AppContext, type Component, h, nextTick, render } from 'vue'
import { printPicture } from '../../shell/picture.ts'

/** A drawing has found its size after so many frames. */
const FRAMES = 2
/** A page in the background has no frames, ms. */
const AT_MOST_MS = 120

/** A drawing as it is printed, and how large it is in its own units. */
export interface Drawn {
  readonly svg: string
  readonly width: number
  readonly height: number
}

/** A drawing as it is printed, made beside the screen and taken away again; null: it draws nothing. */
export async function drawnOffScreen(
  component: Component,
  props: Readonly<Record<string, unknown>>,
  { context, size }: { readonly context: AppContext; readonly size: readonly [number, number] },
): Promise<Drawn | null> {
  const host = document.createElement('div')
  host.setAttribute('aria-hidden', 'true')
  host.style.cssText = `position:fixed;left:-20000px;top:0;width:${size[0]}px;height:${size[1]}px`
  document.body.append(host)
  try {
    const node = h(component, props)
    node.appContext = context
    render(node, host)
    await nextTick()
    for (let i = 0; i < FRAMES; i++) await frame()
    const svg = host.querySelector<SVGSVGElement>('svg')
    if (!svg) return null
    const { width, height } = svg.getBoundingClientRect()
    return { svg: printPicture(svg), width, height }
  } finally {
    render(null, host)
    host.remove()
  }
}

const frame = () =>
  new Promise<void>((done) => {
    const late = setTimeout(done, AT_MOST_MS)
    requestAnimationFrame(() => {
      clearTimeout(late)
      done()
    })
  })
