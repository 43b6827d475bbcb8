<script setup lang="ts">
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { type Device, editing } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TextField from '../bench/TextField.vue'
import TickField from '../bench/TickField.vue'
import { NOT_SAID, PORTS } from '../run/joint-words.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

/** Where a device stands, and what water comes to it. */
const { device, index } = defineProps<{ device: Device; index: number }>()
const store = useDesign()
const units = useUnits()
const set = <Name extends keyof Device>(name: Name, to: Device[Name]) => {
  const key: keyof Device = name
  store.set(['sump', 'devices', index, key], to)
}

const setWiper = (to: boolean) =>
  store.set(['sump', 'devices', index, 'part', 'sterilizer', 'hasWiper'], to)

/** A line of its own, its valve set for its window. */
function teeOff() {
  const newId = () => crypto.randomUUID()
  const how = { deviceIndex: index, newId }
  store.lay(editing.teeOffDevice(store.design!, store.steady!, how))
}

const NONE = ''
const chambers = computed(() => [
  { value: NONE, label: device.part.kind === 'skimmer' ? 'none' : 'beside the sump' },
  ...store.shown!.sump.chambers.map(({ id, name }) => ({ value: id, label: name })),
])
const lines = computed(() => [
  { value: NONE, label: 'no line' },
  ...store.shown!.returnSide.lines.map(({ id, name }) => ({ value: id, label: name })),
])
const pipes = computed(() => {
  const line = store.shown!.returnSide.lines.find(({ id }) => id === device.lineId)
  const pieces = line?.run.pieces ?? []
  return [
    { value: NONE, label: 'not set: any that goes up' },
    ...pieces.flatMap((piece, i) =>
      piece.kind === 'pipe'
        ? [
            {
              value: piece.id,
              label: `piece ${i + 1}, ${piece.direction} ${units.text('length', piece.lengthM)}`,
            },
          ]
        : [],
    ),
  ]
})
const rows = computed(() =>
  rowsOf<Device>(
    ['xM', 'Left of it, from the sump’s corner', LIMITS.place],
    ['yM', 'Front of it, from there', LIMITS.place],
    ['standM', 'Stand under it', LIMITS.stand],
    ...(device.part.control === 'controllable'
      ? rowsOf<Device>(['speed', 'Its speed', LIMITS.speed])
      : []),
  ),
)
</script>

<template>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2">
    <TextField
      class="col-span-2"
      label="What you call it"
      :most="COUNTS.nameLength"
      :model-value="device.name"
      @update:model-value="set('name', $event)"
    />
    <ChoiceField
      label="Works on the water of"
      :options="chambers"
      :model-value="device.chamberId ?? NONE"
      @update:model-value="set('chamberId', $event || null)"
    />
    <ChoiceField
      label="Its line"
      :options="lines"
      :model-value="device.lineId ?? NONE"
      @update:model-value="set('lineId', $event || null)"
    />
    <button
      v-if="editing.mayBeTeedOff(device)"
      class="button col-span-2 justify-self-start"
      :disabled="!!store.preview"
      @click="teeOff"
    >
      Tee it off the return for me
    </button>
    <ChoiceField
      v-if="device.part.kind === 'flow-meter' && device.lineId !== null"
      class="col-span-2"
      label="It stands in"
      :options="pipes"
      :model-value="device.pieceId ?? NONE"
      @update:model-value="set('pieceId', $event || null)"
    />
    <ChoiceField
      v-if="device.lineId !== null && device.part.kind !== 'skimmer'"
      class="col-span-2"
      label="Its ports are joined by"
      :options="PORTS"
      :model-value="device.joint ?? NOT_SAID"
      @update:model-value="set('joint', $event || null)"
    />
    <QuantityRows :of="device" :rows="rows" @change="set" />
    <TickField
      v-if="device.part.sterilizer"
      class="col-span-2"
      label="It has a wiper for its sleeve"
      :model-value="device.part.sterilizer.hasWiper ?? false"
      @update:model-value="setWiper"
    />
    <TickField
      class="col-span-2"
      label="Turned by a quarter"
      :model-value="device.turned"
      @update:model-value="set('turned', $event)"
    />
  </div>
</template>
