<script setup lang="ts">
import type { Device, DeviceKind, DevicePart } from '@yew-basin/core'
import { computed, onMounted, ref } from 'vue'
import { useParts } from '../parts/parts-store.ts'
import { isDevice } from '../parts/part-words.ts'
import { useDesign } from '../workspace/design-store.ts'
import { KIND_NAMES } from './treatment-words.ts'

/** The devices a bench is about, one of them open, and a library to add from. */
const { devices, kinds } = defineProps<{
  devices: readonly Device[]
  chosen: Device | null
  kinds: readonly DeviceKind[]
}>()
const emit = defineEmits<{ add: [part: DevicePart] }>()
const store = useDesign()
const parts = useParts()
onMounted(() => void parts.want())

const offers = computed(() =>
  parts.parts.flatMap((part) =>
    isDevice(part.kind) && kinds.includes(part.kind)
      ? [{ own: part.own, spec: { ...(part.spec as DevicePart), id: part.id, name: part.name } }]
      : [],
  ),
)
const wanted = ref('')
function add() {
  const found = offers.value.find(({ spec }) => spec.id === wanted.value)
  if (found) emit('add', found.spec)
  wanted.value = ''
}
</script>

<template>
  <section aria-label="Devices">
    <ul v-if="devices.length > 0" class="flex flex-wrap gap-1.5" aria-label="Devices here">
      <li v-for="device in devices" :key="device.id">
        <button
          class="button"
          :class="{ 'border-needle! bg-needle-wash!': device.id === chosen?.id }"
          :aria-pressed="device.id === chosen?.id"
          @click="store.deviceId = device.id"
        >
          <span class="caption">{{ KIND_NAMES[device.part.kind] }}</span> {{ device.name }}
        </button>
      </li>
    </ul>
    <div class="mt-2 flex items-end gap-2">
      <label class="block grow">
        <span class="caption">From the library or your own parts</span>
        <select v-model="wanted" class="box">
          <option value="">Choose one to add…</option>
          <optgroup v-for="kind in kinds" :key="kind" :label="KIND_NAMES[kind]">
            <option
              v-for="{ spec, own } in offers.filter((offer) => offer.spec.kind === kind)"
              :key="spec.id"
              :value="spec.id"
            >
              {{ spec.name }}{{ own ? ', yours' : '' }}
            </option>
          </optgroup>
        </select>
      </label>
      <button v-if="wanted" class="button button-main" @click="add">Add it</button>
    </div>
    <p v-if="parts.fault" class="text-aril">{{ parts.fault }}</p>
  </section>
</template>
