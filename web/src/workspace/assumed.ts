import {
  assuming,
  type BasinDesign,
  type Edit,
  type EditPath,
  type SolvedBasin,
} from '@yew-basin/core'
import { computed, type ComputedRef } from 'vue'

/** What of the opened design its keeper has not said, and how its stops stand with that. */
export function useStandings(
  design: ComputedRef<BasinDesign | null>,
  solved: ComputedRef<SolvedBasin | null>,
  edit: (edits: readonly Edit[]) => void,
) {
  const assumed = computed(
    () => new Set(design.value ? assuming.assumedOf(design.value).map(({ name }) => name) : []),
  )
  const standings = computed(
    () => design.value && assuming.standings(design.value, solved.value?.findings ?? []),
  )
  const isAssumed = (path: EditPath) =>
    assumed.value.size > 0 &&
    design.value !== null &&
    assumed.value.has(assuming.nameOf(design.value, path))
  /** Is anything of a place assumed? A name's beginning: "sump.box". */
  const isPencil = (place: string) => [...assumed.value].some((name) => name.startsWith(place))
  const restsOnAssumed = (figure: string) =>
    design.value !== null && assuming.restsOnAssumed(design.value, figure)
  /** They are given as they stand. */
  const confirm = (names: readonly string[]) =>
    design.value && edit(assuming.confirmed(design.value, names))
  const confirmAt = (path: EditPath) =>
    design.value && confirm([assuming.nameOf(design.value, path)])

  return { assumed, standings, isAssumed, isPencil, restsOnAssumed, confirm, confirmAt }
}
