<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { ref } from 'vue'
import ModalPanel from '../../shell/ModalPanel.vue'
import PrintChoice from './PrintChoice.vue'

/** The whole sheet, or parts of it, as one PDF. */
defineProps<{ basinId: string }>()
const open = ref(false)
</script>

<template>
  <button class="button shrink-0" @click="open = true"><Printer :size="15" /> Print</button>
  <ModalPanel :open="open" title="Print the build sheet" @close="open = false">
    <PrintChoice :basin-id="basinId" @done="open = false" />
  </ModalPanel>
</template>
