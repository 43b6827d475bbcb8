import { lastNotAfter, type Playback } from '@yew-basin/core'
import { useRafFn } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'
import type { Rate } from './drill-words.ts'

/** A paced drill takes about so long to play, s. */
const PACED_S = 14

/** Plays a drill through its time: play, pause, scrub, step. */
export function usePlayer(playback: Ref<Playback | null>) {
  const timeS = ref(0)
  const rate = ref<Rate>('paced')
  const playing = ref(false)
  /** Place among the moments, with its fraction: what scrubbing moves along. */
  let place = 0

  const count = computed(() => playback.value?.timesS.length ?? 0)
  const endS = computed(() => playback.value?.timesS.at(-1) ?? 0)
  /** Where the scrubber stands, moments. */
  const at = computed(() => (playback.value ? lastNotAfter(playback.value.timesS, timeS.value) : 0))

  function timeAtPlace(where: number): number {
    const { timesS } = playback.value!
    const low = Math.floor(where)
    const next = Math.min(low + 1, timesS.length - 1)
    return timesS[low]! + (where - low) * (timesS[next]! - timesS[low]!)
  }

  const { pause, resume } = useRafFn(
    ({ delta }) => {
      if (!playback.value) return
      const passedS = Math.min(delta, 100) / 1000
      if (rate.value === 'paced') {
        place = Math.min(count.value - 1, place + (passedS * count.value) / PACED_S)
        timeS.value = timeAtPlace(place)
      } else {
        timeS.value = Math.min(endS.value, timeS.value + passedS * Number(rate.value))
        place = at.value
      }
      if (timeS.value >= endS.value) stop()
    },
    { immediate: false },
  )

  function play(): void {
    if (!playback.value) return
    if (timeS.value >= endS.value) goTo(0)
    playing.value = true
    resume()
  }
  function stop(): void {
    playing.value = false
    pause()
  }
  function goTo(toS: number): void {
    timeS.value = Math.min(endS.value, Math.max(0, toS))
    place = at.value
  }
  /** To a moment of its own. */
  function goToMoment(index: number): void {
    const kept = Math.min(count.value - 1, Math.max(0, index))
    goTo(playback.value?.timesS[kept] ?? 0)
  }

  watch(playback, () => {
    stop()
    timeS.value = 0
    place = 0
  })

  return {
    timeS,
    rate,
    playing,
    count,
    at,
    endS,
    play,
    stop,
    goTo,
    goToMoment,
    setRate: (to: Rate) => (rate.value = to),
    step: (by: 1 | -1) => {
      stop()
      goToMoment(at.value + by)
    },
  }
}
export type Player = ReturnType<typeof usePlayer>
