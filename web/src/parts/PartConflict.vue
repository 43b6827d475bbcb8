<script setup lang="ts">
import type { PartAnswer } from '@yew-basin/contract'
import ModalPanel from '../shell/ModalPanel.vue'

/** The part was changed in another tab first: nothing is lost unless the keeper says so. */
defineProps<{ theirs: PartAnswer; mine: string }>()
defineEmits<{ mine: []; theirs: []; both: []; close: [] }>()
</script>

<template>
  <ModalPanel open title="Changed elsewhere first" @close="$emit('close')">
    <p class="mt-2">
      Another tab has kept this part meanwhile, as “{{ theirs.name }}”. Yours, “{{ mine }}”, is not
      kept yet. Keep yours, and the other stays in the part’s history; keep both, and yours becomes
      a part of its own; take the other, and yours is let go.
    </p>
    <div class="mt-5 flex flex-wrap justify-end gap-2">
      <button class="button" @click="$emit('both')">Keep both</button>
      <button class="button" @click="$emit('theirs')">Take the other</button>
      <button class="button button-main" @click="$emit('mine')">Keep mine</button>
    </div>
  </ModalPanel>
</template>
