import { useEventListener } from '@vueuse/core'
import { computed, type Ref, ref, watchPostEffect } from 'vue'
import { useDesign } from '../workspace/design-store.ts'
import {
  fittedTo,
  type Lens,
  type ScaleAt,
  WHOLE,
  within,
  type WindowPlace,
  type WindowSize,
  ZOOM_STEP,
  zoomedAt,
} from './lens.ts'
import { useLenses } from './lens-store.ts'
import type { SheetView } from './scale.ts'

/** A pointer that moved less than this has pressed, not dragged, px. */
const PRESS_PX = 5
/** One notch of a wheel zooms by this power of its way, px⁻¹. */
const PER_WHEEL_PX = 0.0018
/** One press of an arrow key, px. */
const KEY_PX = 60

const PAN_KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [1, 0],
  ArrowRight: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

/** What a lens looks through at. */
interface Sheet {
  readonly view: SheetView
  readonly frame: Readonly<Ref<HTMLElement | null>>
  /** What of the drawing goes with the window. */
  readonly layer: Readonly<Ref<SVGGElement | null>>
  readonly size: () => WindowSize
  readonly scaleAt: ScaleAt
}

/** Looks nearer at a sheet and moves over it: by wheel, pinch, drag and keys. */
export function useLens({ view, frame, layer, size, scaleAt }: Sheet) {
  const design = useDesign()
  const lenses = useLenses()
  const lens = computed<Lens>(() => lenses.of(design.basin?.id ?? '', view))
  const look = (next: Lens) => lenses.keep(design.basin?.id ?? '', view, next)
  const given = () => ({ size: size(), scaleAt })
  const middle = () => ({ x: size().width / 2, y: size().height / 2 })

  const zoomBy = (by: number, at: WindowPlace = middle()) =>
    look(zoomedAt(lens.value, lens.value.zoom * by, at, given()))
  const panBy = (byX: number, byY: number) =>
    look(within({ ...lens.value, x: lens.value.x + byX, y: lens.value.y + byY }, size()))
  const fitAll = () => look(WHOLE)
  /** Fills the window with what is chosen on the sheet. */
  function fitChosen(): void {
    const own = frame.value?.getBoundingClientRect()
    const boxes = [...(frame.value?.querySelectorAll('[data-fit]') ?? [])].map((part) =>
      part.getBoundingClientRect(),
    )
    if (!own || boxes.length === 0) return
    const [left, top] = [
      Math.min(...boxes.map((b) => b.left)),
      Math.min(...boxes.map((b) => b.top)),
    ]
    const part = {
      x: left - own.x,
      y: top - own.y,
      width: Math.max(...boxes.map((b) => b.right)) - left,
      height: Math.max(...boxes.map((b) => b.bottom)) - top,
    }
    look(fittedTo(lens.value, part, given()))
  }

  function key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const pan = PAN_KEYS[event.key]
    if (event.key === '+' || event.key === '=') zoomBy(ZOOM_STEP)
    else if (event.key === '-') zoomBy(1 / ZOOM_STEP)
    else if (event.key === '0') fitAll()
    else if (pan && lens.value.zoom > 1) panBy(pan[0] * KEY_PX, pan[1] * KEY_PX)
    else return
    event.preventDefault()
  }

  function wheel(event: WheelEvent): void {
    // Where the page itself scrolls, the wheel is the page's; a pinch on a touchpad comes with Ctrl.
    const scrolls = document.documentElement.scrollHeight > window.innerHeight + 1
    if (scrolls && !event.ctrlKey) return
    event.preventDefault()
    zoomBy(Math.exp(-event.deltaY * PER_WHEEL_PX), placeOf(event, frame.value!))
  }

  const isHeld = ref(false)
  // Moved without being drawn anew: nothing but the window goes, over what was drawn once, in which
  // no water runs meanwhile.
  watchPostEffect(() => {
    layer.value?.setAttribute('transform', `translate(${lens.value.x} ${lens.value.y})`)
    layer.value?.classList.toggle('held', isHeld.value)
  })
  useEventListener(frame, 'wheel', wheel, { passive: false })
  useHands(frame, {
    zoomBy,
    panBy,
    hold: (held) => (isHeld.value = held),
    isNear: () => lens.value.zoom > 1,
  })
  const zoom = computed(() => lens.value.zoom)
  return { zoom, zoomBy, fitAll, fitChosen, key }
}

const placeOf = ({ clientX, clientY }: MouseEvent, frame: HTMLElement): WindowPlace => {
  const { left, top } = frame.getBoundingClientRect()
  return { x: clientX - left, y: clientY - top }
}

/** One pointer drags the sheet, two pinch it; what only pressed is left to what was pressed. */
function useHands(
  frame: Readonly<Ref<HTMLElement | null>>,
  act: {
    readonly zoomBy: (by: number, at: WindowPlace) => void
    readonly panBy: (byX: number, byY: number) => void
    /** The sheet is being dragged, or no more. */
    readonly hold: (held: boolean) => void
    readonly isNear: () => boolean
  },
): void {
  const down = new Map<number, WindowPlace>()
  let goneFar = false

  useEventListener(frame, 'pointerdown', (event: PointerEvent) => {
    if (event.button !== 0) return
    if (down.size === 0) goneFar = false
    down.set(event.pointerId, placeOf(event, frame.value!))
  })
  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    const before = down.get(event.pointerId)
    if (!before || !frame.value) return
    const now = placeOf(event, frame.value)
    const other = [...down].find(([id]) => id !== event.pointerId)?.[1]
    if (!goneFar && !other && Math.hypot(now.x - before.x, now.y - before.y) < PRESS_PX) return
    goneFar = true
    down.set(event.pointerId, now)
    if (other) {
      const [was, is] = [before, now].map((at) => Math.hypot(at.x - other.x, at.y - other.y))
      const between = { x: (now.x + other.x) / 2, y: (now.y + other.y) / 2 }
      if (was! > 0) act.zoomBy(is! / was!, between)
    } else if (act.isNear()) {
      act.hold(true)
      act.panBy(now.x - before.x, now.y - before.y)
    }
  })
  useEventListener(window, ['pointerup', 'pointercancel'], ({ pointerId }) => {
    down.delete(pointerId)
    act.hold(false)
  })
  // A drag that ends over a part has not pressed it.
  useEventListener(
    frame,
    'click',
    (event: MouseEvent) => {
      if (goneFar && act.isNear()) event.stopPropagation()
      goneFar = false
    },
    { capture: true },
  )
}
