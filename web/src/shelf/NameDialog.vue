<script setup lang="ts">
import { COUNTS } from '@yew-basin/contract/limits'
import { computed, ref } from 'vue'
import ModalPanel from '../shell/ModalPanel.vue'

const { title, name, verb } = defineProps<{ title: string; name: string; verb: string }>()
const emit = defineEmits<{ close: []; named: [name: string] }>()

const typed = ref(name)
const tried = ref(false)
const fault = computed(() => {
  const length = typed.value.trim().length
  if (length === 0) return 'Give it a name.'
  return length > COUNTS.nameLength
    ? `A name has up to ${COUNTS.nameLength} characters; this has ${length}.`
    : ''
})

function submit() {
  tried.value = true
  if (!fault.value) emit('named', typed.value.trim())
}
</script>

<template>
  <ModalPanel open :title="title" @close="$emit('close')">
    <form class="mt-4" novalidate @submit.prevent="submit">
      <label class="block">
        <span class="caption">Name</span>
        <input
          v-model="typed"
          class="box mt-1"
          :aria-invalid="tried && !!fault"
          aria-describedby="name-fault"
        />
      </label>
      <p id="name-fault" class="mt-1 min-h-5 text-sm text-aril">{{ tried ? fault : '' }}</p>
      <div class="mt-4 flex justify-end gap-2">
        <button type="button" class="button" @click="$emit('close')">Cancel</button>
        <button type="submit" class="button button-main">{{ verb }}</button>
      </div>
    </form>
  </ModalPanel>
</template>
