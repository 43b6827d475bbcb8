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

/** Follows a pointer that went down on something until it lets go, wherever it goes meanwhile. */
export function followPointer(
  { currentTarget, pointerId, clientX, clientY }: PointerEvent,
  moved: (by: Dragged) => void,
  ended: () => void = () => {},
): void {
  const target = currentTarget as Element
  target.setPointerCapture(pointerId)
  const move = (now: Event) => {
    const at = now as PointerEvent
    moved({ byX: at.clientX - clientX, byY: at.clientY - clientY })
  }
  target.addEventListener('pointermove', move)
  target.addEventListener(
    'lostpointercapture',
    () => {
      target.removeEventListener('pointermove', move)
      ended()
    },
    { once: true },
  )
}

/** Drags something over a drawing, by the pointer or step by step by the arrow keys. */
export function useDrag(begin: () => (by: Dragged) => void, stepPx: () => number) {
  const dragging = ref(false)

  function drag(event: PointerEvent): void {
    const moved = begin()
    dragging.value = true
    followPointer(event, moved, () => (dragging.value = false))
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
