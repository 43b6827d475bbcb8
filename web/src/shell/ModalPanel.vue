<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { onUnmounted, watch } from 'vue'

const { open } = defineProps<{ open: boolean; title: string; wide?: boolean }>()
defineEmits<{ close: [] }>()

/** What had the focus before it opened has it again after. */
let before: Element | null = null
function giveBack() {
  const back = before
  before = null
  // The page under it can have the focus again only once the dialog is gone.
  if (back instanceof HTMLElement) setTimeout(() => back.focus())
}
watch(
  () => open,
  (opens) => {
    if (opens) before = document.activeElement
    else giveBack()
  },
  { immediate: true },
)
onUnmounted(giveBack)
</script>

<template>
  <!-- Mounted while it is open: the library keeps what had the focus for every dialog that is there, and with it the view. -->
  <Dialog v-if="open" open class="relative z-40" @close="$emit('close')">
    <div class="fixed inset-0 bg-ink/30" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel
          class="w-full rounded-xl bg-sheet p-6 shadow-xl"
          :class="wide ? 'max-w-2xl' : 'max-w-md'"
        >
          <DialogTitle class="text-xl font-semibold">{{ title }}</DialogTitle>
          <slot />
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
