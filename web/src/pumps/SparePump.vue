<script setup lang="ts">
import { type Edit, type PumpPart, setTo } from '@yew-basin/core'
import { computed } from 'vue'
import { useTrial } from '../calc/trial.ts'
import { plain } from '../workspace/plain.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** The pump on the shelf, and what it would give if it were swapped in now. */
const { pumps } = defineProps<{ pumps: readonly PumpPart[] }>()
const store = useDesign()
const units = useUnits()

const spare = computed(() =>
  store.shown!.pumps.find(({ id }) => id === store.shown!.returnSide.sparePumpId),
)
const trial = useTrial(
  () =>
    spare.value
      ? { design: store.shown!, part: spare.value, placedId: store.placedPump!.id }
      : null,
  (calls, { part, placedId }) => calls.swaps([plain(part)], placedId),
)
const given = computed(() => trial.fresh.value?.[0] ?? null)
const wanted = computed(() => store.solved!.totals.wantedFlowM3PerS)

function setSpare(pumpId: string) {
  const { pumps: carried, returnSide } = store.design!
  const part = pumps.find(({ id }) => id === pumpId)
  const inUse = new Set(returnSide.pumps.map((placed) => placed.pumpId))
  const kept = carried.filter(({ id }) => inUse.has(id))
  const edits: Edit[] = [
    setTo(['pumps'], part && !inUse.has(part.id) ? [...kept, part] : kept),
    setTo(['returnSide', 'sparePumpId'], part?.id ?? null),
  ]
  store.edit(edits)
}
</script>

<template>
  <section aria-labelledby="spare-heading">
    <h3 id="spare-heading" class="heading">The spare on the shelf</h3>
    <label class="block">
      <span class="sr-only">Spare pump</span>
      <select
        class="box"
        aria-label="Spare pump"
        :value="spare?.id ?? ''"
        @change="setSpare(($event.target as HTMLSelectElement).value)"
      >
        <option value="">none</option>
        <option v-for="part in pumps" :key="part.id" :value="part.id">{{ part.name }}</option>
      </select>
    </label>
    <p v-if="given" class="mt-1" data-testid="spare-gives">
      Swapped in now it brings
      <strong class="font-semibold">{{
        units.text('flow', given.intoTanksM3PerS, given.intoTanksBandM3PerS)
      }}</strong>
      into the tanks, {{ units.text('share', wanted > 0 ? given.intoTanksM3PerS / wanted : 0) }} of
      what you want, for {{ units.text('power', given.wirePowerW) }}.
    </p>
  </section>
</template>
