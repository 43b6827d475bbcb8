<script setup lang="ts">
import { type OverflowForm, type OverflowPlace, editing } from '@yew-basin/core'
import { ref } from 'vue'
import ChoiceField from '../bench/ChoiceField.vue'
import { useDesign } from '../workspace/design-store.ts'
import { FORMS, PLACES } from './overflow-words.ts'

/** How a tank without an overflow gets one. */
const store = useDesign()
const place = ref<OverflowPlace>('back')

const give = (form: OverflowForm) =>
  store.lay(editing.otherOverflow(store.design!, store.tankIndex, { form, place: place.value }))
</script>

<template>
  <section aria-labelledby="new-overflow">
    <h3 id="new-overflow" class="heading">How does water leave this tank?</h3>
    <p class="caption">
      Until you say, it stands at the level you gave. Choose one to begin with; everything can be
      changed.
    </p>
    <ChoiceField v-model="place" class="mt-2 w-40" label="Where" :options="PLACES" />
    <ul class="mt-2 border-t border-rule">
      <li v-for="form in FORMS" :key="form.value" class="border-b border-rule py-2">
        <div class="flex items-center gap-2">
          <span class="grow font-semibold">{{ form.label }}</span>
          <button
            class="button"
            :disabled="!!store.preview"
            :aria-label="`Take: ${form.label}`"
            @click="give(form.value)"
          >
            Take it
          </button>
        </div>
        <p class="caption">{{ form.trade }}</p>
      </li>
    </ul>
  </section>
</template>
