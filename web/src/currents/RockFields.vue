<script setup lang="ts">
import { LIMITS } from '@yew-basin/contract/limits'
import type { RockSolid } from '@yew-basin/core'
import { Trash2 } from '@lucide/vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityRows from '../bench/QuantityRows.vue'
import { rowsOf } from '../bench/quantity-row.ts'
import TextField from '../bench/TextField.vue'
import { useCurrents } from './currents-store.ts'
import { ZONE_NAMES } from './currents-words.ts'

/** One rock: its place, its size, and what lives on it. */
const { rock } = defineProps<{ rock: RockSolid }>()
const currents = useCurrents()
const set = (change: Partial<RockSolid>) => currents.setRock(rock.id, change)

const ROWS = rowsOf<RockSolid>(
  ['lengthM', 'Length', LIMITS.rockSize],
  ['widthM', 'Depth', LIMITS.rockSize],
  ['heightM', 'Height', LIMITS.rockSize],
  ['xM', 'From the left', LIMITS.scenePlace],
  ['yM', 'From the front', LIMITS.scenePlace],
  ['zM', 'Underside over the floor', LIMITS.rockBase],
)
const ZONES = (['soft', 'large-polyp', 'small-polyp', 'quiet'] as const).map((value) => ({
  value,
  label: ZONE_NAMES[value],
}))

function remove() {
  currents.setRocks(currents.scene!.rocks.filter(({ id }) => id !== rock.id))
  currents.chosen = null
}
</script>

<template>
  <section :aria-label="`Rock ${rock.name}`" class="space-y-2">
    <div class="flex items-center gap-2">
      <h3 class="heading grow">{{ rock.name }}</h3>
      <button class="icon-button" :aria-label="`Take out ${rock.name}`" @click="remove">
        <Trash2 :size="16" />
      </button>
    </div>
    <TextField
      label="Name"
      :most="80"
      :model-value="rock.name"
      @update:model-value="set({ name: $event })"
    />
    <div class="grid grid-cols-2 gap-x-3 gap-y-1.5">
      <ChoiceField
        label="Shape"
        :options="[
          { value: 'boulder', label: 'boulder' },
          { value: 'box', label: 'box' },
        ]"
        :model-value="rock.form"
        @update:model-value="set({ form: $event })"
      />
      <ChoiceField
        label="On it live"
        :options="ZONES"
        :model-value="rock.zone === 'sand' ? 'quiet' : rock.zone"
        @update:model-value="set({ zone: $event })"
      />
      <QuantityRows :of="rock" :rows="ROWS" @change="(name, si) => set({ [name]: si })" />
    </div>
  </section>
</template>
