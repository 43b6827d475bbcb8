<script setup lang="ts">
import { building } from '@yew-basin/core'
import { ref, useId } from 'vue'
import { useShopping } from './shopping-store.ts'

/** What is left over from an old system, in one line of text. */
const { list } = defineProps<{ list: readonly building.ListLine[] }>()
const shopping = useShopping()
const id = useId()
const text = ref('')
const faults = ref<readonly building.HadFault[]>([])
const said = ref('')

/** What names a line is added to what is had of it; the rest stays in the field. */
function add() {
  const { had, faults: wrong } = building.readHave(text.value, list)
  const sums = new Map<string, number>()
  for (const { key, have } of had)
    sums.set(key, (sums.get(key) ?? shopping.of(key).have ?? 0) + have)
  if (sums.size > 0) shopping.change(new Map([...sums].map(([key, have]) => [key, { have }])))
  faults.value = wrong
  said.value = had.length > 0 ? `${had.length} noted as had.` : ''
  text.value = wrong.map(({ words }) => words).join(', ')
}
</script>

<template>
  <form class="max-w-2xl" @submit.prevent="add">
    <label :for="id" class="caption">What you have already</label>
    <div class="flex gap-2">
      <input
        :id="id"
        v-model="text"
        class="box min-w-0 grow"
        placeholder="2 × elbow 32, 1.4 m pipe 32, union 1 1/4"
        :aria-invalid="faults.length > 0"
      />
      <button class="button shrink-0 whitespace-nowrap" type="submit">Note it</button>
    </div>
    <p v-if="said" class="caption" role="status">{{ said }}</p>
    <ul v-if="faults.length > 0" role="alert" class="text-aril">
      <li v-for="fault in faults" :key="fault.words">“{{ fault.words }}”: {{ fault.message }}.</li>
    </ul>
  </form>
</template>
