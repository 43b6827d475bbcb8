import type { BasinDesign, SolvedBasin } from '@yew-basin/core'
import { computed, ref, type ComputedRef } from 'vue'

/** Which line and which tank the bench is about; without a choice those the design is known by. */
export function useSelection(
  design: ComputedRef<BasinDesign | null>,
  solved: ComputedRef<SolvedBasin | null>,
) {
  const lineId = ref<string | null>(null)
  const tankId = ref<string | null>(null)
  /** The drain the bench is about; null: none is opened. */
  const drainId = ref<string | null>(null)
  const selectedPieceId = ref<string | null>(null)
  /** Pieces that a list lights up. */
  const litPieces = ref<readonly string[]>([])
  /** All that is marked in the drawing. */
  const marked = computed(
    (): ReadonlySet<string> =>
      new Set(selectedPieceId.value ? [selectedPieceId.value] : litPieces.value),
  )
  /** The device the bench is about; without a choice the first of its kind. */
  const deviceId = ref<string | null>(null)
  /** The basin whose next view continues with what is open here. */
  const continues = ref<string | null>(null)

  const lineIndex = computed(() => {
    const lines = design.value?.returnSide.lines ?? []
    const chosen = lines.findIndex((line) => line.id === lineId.value)
    const lead = solved.value?.returnSide.leadLineId
    return Math.max(0, chosen >= 0 ? chosen : lines.findIndex((line) => line.id === lead))
  })
  const line = computed(() => design.value?.returnSide.lines[lineIndex.value] ?? null)
  const solvedLine = computed(() => solved.value?.returnSide.lines[lineIndex.value] ?? null)

  const tankIndex = computed(() =>
    Math.max(0, design.value?.tanks.findIndex((tank) => tank.id === tankId.value) ?? 0),
  )
  const tank = computed(() => design.value?.tanks[tankIndex.value] ?? null)
  const solvedTank = computed(() => solved.value?.tanks[tankIndex.value] ?? null)

  /** The pump that the chosen line's water comes from, by its place in the design's list. */
  const pumpIndex = computed(() =>
    Math.max(
      0,
      design.value?.returnSide.pumps.findIndex(
        ({ id }) => id === solvedLine.value?.pump.placedId,
      ) ?? 0,
    ),
  )
  const placedPump = computed(() => design.value?.returnSide.pumps[pumpIndex.value] ?? null)

  function clear() {
    lineId.value = null
    tankId.value = null
    drainId.value = null
    selectedPieceId.value = null
    litPieces.value = []
    deviceId.value = null
  }

  return {
    clear,
    continues,
    selectedPieceId,
    litPieces,
    marked,
    deviceId,
    drainId,
    lineId,
    lineIndex,
    line,
    solvedLine,
    tankId,
    tankIndex,
    tank,
    solvedTank,
    pumpIndex,
    placedPump,
  }
}
