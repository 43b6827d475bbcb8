<script setup lang="ts">
import type { PartAnswer } from '@yew-basin/contract'
import ModalPanel from '../shell/ModalPanel.vue'

/** The part was changed in another tab first: nothing is lost, one of the two continues. */
defineProps<{ theirs: PartAnswer; mine: string }>()
defineEmits<{ mine: []; theirs: []; close: [] }>()
</script>

<template>
  <ModalPanel open title="Changed elsewhere first" @close="$emit('close')">
    <p class="mt-2">
      Another tab has kept this part meanwhile, as “{{ theirs.name }}”. Yours, “{{ mine }}”, is not
      kept yet. Whichever you take, the other stays in the part’s history.
    </p>
    <div class="mt-5 flex flex-wrap justify-end gap-2">
      <button class="button" @click="$emit('theirs')">Take the other</button>
      <button class="button button-main" @click="$emit('mine')">Keep mine</button>
    </div>
  </ModalPanel>
</template>
