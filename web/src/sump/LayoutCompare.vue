<script setup lang="ts">
import { editing } from '@yew-basin/core'
import { computed, ref } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import { useTrial } from '../calc/trial.ts'
import { plain } from '../workspace/plain.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { LAYOUTS } from './sump-words.ts'

/** Two layouts in the same box, side by side, with what each chamber would be left with. */
const store = useDesign()
const units = useUnits()
const choices = ref(['three', 'four'])
const OPTIONS = LAYOUTS.map(({ id, label }) => ({ value: id, label }))

const trial = useTrial(
  () => ({
    design: store.shown!,
    layouts: choices.value.map((id) => LAYOUTS.find((layout) => layout.id === id)!.uses),
  }),
  (calls, { layouts }) => calls.layouts(plain(layouts)),
)
const tried = computed(() => trial.answer.value ?? [])
function take({ sump }: editing.TriedLayout) {
  store.lay(editing.sumpEdits(store.design!, sump))
}
</script>

<template>
  <section aria-labelledby="compare-heading">
    <h3 id="compare-heading" class="heading">Two layouts side by side</h3>
    <p class="caption">In this box, at the flow that the loop has now.</p>
    <ChoiceField
      v-for="(_, k) in choices"
      :key="k"
      v-model="choices[k]!"
      :label="k === 0 ? 'This' : 'or this'"
      :options="OPTIONS"
    />
    <div class="mt-2 grid grid-cols-2 gap-3">
      <div v-for="(layout, k) in tried" :key="k">
        <table class="w-full text-[0.85rem]">
          <caption class="caption text-left">
            {{
              k === 0 ? 'This' : 'Or this'
            }}
          </caption>
          <tbody>
            <tr
              v-for="(chamber, i) in layout.sump.chambers"
              :key="chamber.id"
              class="border-b border-rule"
            >
              <th scope="row" class="py-0.5 text-left font-normal">{{ chamber.name }}</th>
              <td class="text-right">
                {{ units.text('length', layout.solved.chambers[i]!.lengthM ?? NaN) }}
                <span class="caption block">
                  {{ units.text('volume', layout.solved.chambers[i]!.volumeM3 ?? NaN)
                  }}<template v-if="layout.solved.chambers[i]!.throughflowS !== null"
                    >,
                    {{
                      units.text('duration', layout.solved.chambers[i]!.throughflowS ?? NaN)
                    }}</template
                  >
                </span>
              </td>
            </tr>
          </tbody>
        </table>
        <button
          class="button mt-1"
          :disabled="!!store.preview || trial.stale.value"
          @click="take(layout)"
        >
          Take this one
        </button>
      </div>
    </div>
  </section>
</template>
