<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import { powerAtW, positionFault, type CirculationPump, type Pattern } from '@yew-basin/core'
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import TickField from '../bench/TickField.vue'
import { useUnits } from '../shell/units.ts'
import { useCurrents } from './currents-store.ts'
import { metWords, PANEL_NAMES, PATTERN_NAMES, POSITION_WORDS } from './currents-words.ts'

/** One circulation pump: where, whereto, how fast and when. */
const { pump } = defineProps<{ pump: CirculationPump }>()
const currents = useCurrents()
const units = useUnits()

const options = <T extends string>(names: Readonly<Record<T, string>>) =>
  (Object.keys(names) as T[]).map((value) => ({ value, label: names[value] }))
const controllable = computed(() => pump.part.control === 'controllable')
/** A pump of one speed can only be switched. */
const patterns = computed(() =>
  options(PATTERN_NAMES).filter(
    ({ value }) => controllable.value || value === 'steady' || value === 'pulse',
  ),
)
const speedLimit = computed(() => ({ ...LIMITS.speed, min: pump.part.leastSpeed }))
const room = computed(() => {
  const { lengthM, widthM } = currents.domain!
  return pump.panel === 'left' || pump.panel === 'right' ? widthM : lengthM
})
const reach = computed(() => currents.quick.find(({ streamId }) => streamId === pump.id))
/** Why it cannot work as it sits. */
const caution = computed(() => {
  const fault = positionFault(pump, currents.domain!)
  if (fault?.kind === 'in-rock') {
    const rock = currents.scene!.rocks.find(({ id }) => id === fault.rockId)
    return `Its opening is inside ${rock?.name}: move one of them.`
  }
  return fault ? POSITION_WORDS[fault.kind] : ''
})
const set = (change: Partial<CirculationPump>) => currents.setPump(pump.id, change)
const setPattern = (change: Partial<Pattern>) => set({ pattern: { ...pump.pattern, ...change } })

function remove() {
  currents.setPumps(currents.scene!.pumps.filter(({ id }) => id !== pump.id))
  currents.chosen = null
}
</script>

<template>
  <section :aria-label="`Pump ${pump.name}`" class="space-y-2">
    <div class="flex items-center gap-2">
      <h3 class="heading grow">{{ pump.part.name }}</h3>
      <button class="icon-button" :aria-label="`Take out ${pump.name}`" @click="remove">
        <Trash2 :size="16" />
      </button>
    </div>
    <TextField
      label="Name"
      :most="80"
      :model-value="pump.name"
      @update:model-value="set({ name: $event })"
    />
    <div class="grid grid-cols-2 gap-x-3 gap-y-1.5">
      <ChoiceField
        label="On the"
        :options="options(PANEL_NAMES)"
        :model-value="pump.panel"
        @update:model-value="set({ panel: $event })"
      />
      <QuantityField
        label="Height over the floor"
        :limit="{ ...LIMITS.sceneHeight, max: currents.domain!.depthM }"
        :model-value="pump.upM"
        @update:model-value="set({ upM: $event })"
      />
      <QuantityField
        :label="
          pump.panel === 'left' || pump.panel === 'right' ? 'From the front' : 'From the left'
        "
        :limit="{ ...LIMITS.scenePlace, max: room }"
        :model-value="pump.alongM"
        @update:model-value="set({ alongM: $event })"
      />
      <QuantityField
        v-if="controllable"
        label="Speed"
        :limit="speedLimit"
        :model-value="pump.speed"
        @update:model-value="set({ speed: $event })"
      />
      <QuantityField
        label="Turned to its left"
        :limit="{ ...LIMITS.turn, min: -85, max: 85 }"
        :model-value="pump.turnDeg"
        @update:model-value="set({ turnDeg: $event })"
      />
      <QuantityField
        label="Tilted up"
        :limit="LIMITS.tilt"
        :model-value="pump.tiltDeg"
        @update:model-value="set({ tiltDeg: $event })"
      />
    </div>
    <TickField
      v-if="pump.part.form === 'cross-flow'"
      label="Its slot stands upright"
      :model-value="pump.upright"
      @update:model-value="set({ upright: $event })"
    />
    <ChoiceField
      label="In time"
      :options="patterns"
      :model-value="pump.pattern.kind"
      @update:model-value="setPattern({ kind: $event })"
    />
    <div v-if="pump.pattern.kind !== 'steady'" class="grid grid-cols-2 gap-x-3">
      <QuantityField
        :label="pump.pattern.kind === 'random' ? 'Held for' : 'One turn takes'"
        :limit="LIMITS.period"
        :model-value="pump.pattern.periodS"
        @update:model-value="setPattern({ periodS: $event })"
      />
      <QuantityField
        label="Falls to"
        hint="of its set speed"
        :limit="LIMITS.low"
        :model-value="pump.pattern.low"
        @update:model-value="setPattern({ low: $event })"
      />
      <ChoiceField
        v-if="pump.pattern.kind === 'alternate' || pump.pattern.kind === 'reversing'"
        label="Takes its turn"
        :options="[
          { value: 'first', label: 'first' },
          { value: 'second', label: 'second' },
        ]"
        :model-value="pump.pattern.group"
        @update:model-value="setPattern({ group: $event })"
      />
    </div>
    <p v-if="caution" class="rounded-md bg-resin-wash px-2 py-1 text-[0.92rem]" role="status">
      <strong class="font-semibold text-resin">Watch.</strong> {{ caution }}
    </p>
    <p v-if="reach" class="text-[0.92rem]" data-testid="reach">
      {{ units.text('flow', pump.part.flowM3PerS * (controllable ? pump.speed : 1)) }} out at
      {{ units.text('slow-speed', reach.jet.exitSpeedMPerS) }}, for
      {{ units.text('power', powerAtW(pump.part, pump.speed)) }}. It meets
      {{ metWords(reach.meets) }} after {{ units.text('length', reach.lengthM) }} at
      {{ units.text('slow-speed', reach.endMPerS) }}; in open water it still had
      {{ units.text('slow-speed', 0.1) }} after {{ units.text('length', reach.throwM) }}.
    </p>
  </section>
</template>
