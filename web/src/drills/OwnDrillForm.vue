<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { COUNTS, LIMITS } from '@yew-basin/contract/limits'
import { say, type OwnDrill, insertAt } from '@yew-basin/core'
import { computed } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import QuantityField from '../bench/QuantityField.vue'
import TextField from '../bench/TextField.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { useDrills } from './drills-store.ts'

/** Bad days of the keeper's own: a chain of the others, each at its time. */
const store = useDesign()
const drills = useDrills()
const units = useUnits()
const own = computed(() => store.shown!.drills)
const options = computed(() =>
  drills.drills
    .filter(({ parts }) => parts.length === 0)
    .map(({ id, title }) => ({ value: id, label: say(title, units.family) })),
)

function add() {
  const drill: OwnDrill = {
    id: crypto.randomUUID(),
    name: `My drill ${own.value.length + 1}`,
    steps: [{ drillId: 'power-cut', atS: 0 }],
  }
  store.edit([insertAt(['drills'], own.value.length, drill)])
}
const remove = (id: string) =>
  store.set(
    ['drills'],
    own.value.filter((drill) => drill.id !== id),
  )
function addStep(index: number) {
  const { steps } = own.value[index]!
  const last = steps.at(-1)!
  const item = { drillId: options.value[0]?.value ?? 'power-cut', atS: last.atS + 60 }
  store.edit([insertAt(['drills', index, 'steps'], steps.length, item)])
}
function removeStep(index: number, step: number) {
  const { steps } = own.value[index]!
  store.set(
    ['drills', index, 'steps'],
    steps.filter((_, i) => i !== step),
  )
}
</script>

<template>
  <section aria-labelledby="own-heading" class="border-t border-rule p-3">
    <div class="flex items-center">
      <h2 id="own-heading" class="heading grow">Your own bad days</h2>
      <button class="button" :disabled="own.length >= COUNTS.ownDrills" @click="add">
        <Plus :size="14" /> Chain
      </button>
    </div>
    <ul class="space-y-3">
      <li v-for="(drill, i) in own" :key="drill.id" class="mt-2">
        <div class="flex items-end gap-2">
          <TextField
            class="grow"
            :label="`Name of drill ${i + 1}`"
            :most="COUNTS.nameLength"
            :model-value="drill.name"
            @update:model-value="store.set(['drills', i, 'name'], $event)"
          />
          <button
            class="icon-button size-8!"
            :aria-label="`Delete ${drill.name}`"
            @click="remove(drill.id)"
          >
            <Trash2 :size="15" />
          </button>
        </div>
        <div v-for="(step, k) in drill.steps" :key="k" class="mt-1 flex items-end gap-1.5">
          <ChoiceField
            class="min-w-0 grow"
            :label="`Step ${k + 1}`"
            :options="options"
            :model-value="step.drillId"
            @update:model-value="store.set(['drills', i, 'steps', k, 'drillId'], $event)"
          />
          <QuantityField
            class="w-24 shrink-0"
            :label="`Begins after`"
            :limit="LIMITS.drillStart"
            :model-value="step.atS"
            @update:model-value="store.set(['drills', i, 'steps', k, 'atS'], $event)"
          />
          <button
            class="icon-button size-8!"
            :aria-label="`Take out step ${k + 1}`"
            :disabled="drill.steps.length < 2"
            @click="removeStep(i, k)"
          >
            <Trash2 :size="14" />
          </button>
        </div>
        <button
          class="button mt-1"
          :disabled="drill.steps.length >= COUNTS.drillSteps"
          @click="addStep(i)"
        >
          <Plus :size="14" /> Step
        </button>
      </li>
    </ul>
  </section>
</template>
