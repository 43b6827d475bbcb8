import { ref } from 'vue'

/** How far a pointer has been dragged since it went down, px. */
export interface Dragged {
  readonly byX: number
  readonly byY: number
}

const BY_KEY: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Drags something over a drawing, by the pointer or step by step by the arrow keys. */
export function useDrag(begin: () => (by: Dragged) => void, stepPx: () => number) {
  const dragging = ref(false)

  function drag(event: PointerEvent): void {
    const target = event.currentTarget as Element
    const from = { x: event.clientX, y: event.clientY }
    const moved = begin()
    target.setPointerCapture(event.pointerId)
    dragging.value = true
    const move = (now: Event) => {
      const { clientX, clientY } = now as PointerEvent
      moved({ byX: clientX - from.x, byY: clientY - from.y })
    }
    target.addEventListener('pointermove', move)
    target.addEventListener(
      'lostpointercapture',
      () => {
        target.removeEventListener('pointermove', move)
        dragging.value = false
      },
      { once: true },
    )
  }

  function key(event: KeyboardEvent): void {
    const by = BY_KEY[event.key]
    if (!by) return
    event.preventDefault()
    event.stopPropagation()
    const far = stepPx() * (event.shiftKey ? 10 : 1)
    begin()({ byX: by[0] * far, byY: by[1] * far })
  }

  return { dragging, drag, key }
}
