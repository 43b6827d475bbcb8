<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { type Cabinet, type CabinetDoor, editing } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TickField from '../bench/TickField.vue'
import { useDesign } from '../workspace/design-store.ts'

/** The inside of what the sump stands in, and its doors. */
const store = useDesign()
const cabinet = computed(() => store.shown!.sump.cabinet)
const set = <Name extends keyof Cabinet>(name: Name, to: Cabinet[Name]) => {
  const key: keyof Cabinet = name
  store.set(['sump', 'cabinet', key], to)
}
const ofDoor = <Name extends keyof CabinetDoor>(i: number, name: Name, to: CabinetDoor[Name]) => {
  const key: keyof CabinetDoor = name
  store.set(['sump', 'cabinet', 'doors', i, key], to)
}

const first = () => editing.newCabinet(store.design!, crypto.randomUUID())
const FIRST_DOOR = { face: 'front', fromM: 0.04, toM: 0.5, bottomM: 0.05, topM: 0.7 } as const
const FACES = [
  { value: 'front', label: 'front' },
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const
const addDoor = () =>
  set('doors', [...cabinet.value!.doors, { id: crypto.randomUUID(), ...FIRST_DOOR }])
const INSIDE = rowsOf<Cabinet>(
  ['lengthM', 'Inside length', LIMITS.cabinetSize],
  ['widthM', 'Inside width', LIMITS.cabinetSize],
)
const PLACE = rowsOf<Cabinet>(
  ['xM', 'Its left face in the room', LIMITS.place],
  ['yM', 'Its front face in the room', LIMITS.place],
)
/** An edge stays on its side of the one over against it. */
function edgesOf(door: CabinetDoor, i: number) {
  const below = (edgeM: number) => ({ ...LIMITS.doorPlace, max: edgeM - 0.01 })
  const above = (edgeM: number) => ({ ...LIMITS.doorPlace, min: edgeM + 0.01 })
  return rowsOf<CabinetDoor>(
    ['fromM', `Door ${i + 1} from`, below(door.toM)],
    ['toM', `Door ${i + 1} to`, above(door.fromM)],
    ['bottomM', `Door ${i + 1}, lower edge`, below(door.topM)],
    ['topM', `Door ${i + 1}, upper edge`, above(door.bottomM)],
  )
}
</script>

<template>
  <section aria-labelledby="cabinet-head">
    <h3 id="cabinet-head" class="heading mb-1">Cabinet</h3>
    <TickField
      label="The sump stands in a cabinet"
      :model-value="cabinet !== null"
      @update:model-value="store.set(['sump', 'cabinet'], $event ? first() : null)"
    />
    <template v-if="cabinet">
      <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
        <QuantityRows :of="cabinet" :rows="INSIDE" @change="set" />
        <QuantityField
          class="col-span-2"
          label="Clear height, from the floor"
          :limit="LIMITS.doorPlace"
          :model-value="cabinet.topM"
          @update:model-value="set('topM', $event)"
        />
        <QuantityRows :of="cabinet" :rows="PLACE" @change="set" />
      </div>
      <ul class="mt-3 space-y-3" aria-label="Doors">
        <li v-for="(door, i) in cabinet.doors" :key="door.id">
          <div class="flex items-end gap-2">
            <ChoiceField
              class="grow"
              :label="`Door ${i + 1} is in the`"
              :options="FACES"
              :model-value="door.face"
              @update:model-value="ofDoor(i, 'face', $event)"
            />
            <button
              class="icon-button"
              :aria-label="`Take out door ${i + 1}`"
              @click="
                set(
                  'doors',
                  cabinet.doors.filter(({ id }) => id !== door.id),
                )
              "
            >
              <Trash2 :size="16" />
            </button>
          </div>
          <div class="grid grid-cols-2 gap-x-3">
            <QuantityRows
              :of="door"
              :rows="edgesOf(door, i)"
              @change="(name, si) => ofDoor(i, name, si)"
            />
          </div>
        </li>
      </ul>
      <button class="button mt-2" :disabled="cabinet.doors.length >= COUNTS.doors" @click="addDoor">
        <Plus :size="14" /> Door
      </button>
    </template>
  </section>
</template>
