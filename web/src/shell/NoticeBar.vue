<script setup lang="ts">
import { X } from '@lucide/vue'
import { useNotices, type Notice } from './notices.ts'

const store = useNotices()

function act(notice: Notice) {
  store.dismiss(notice.id)
  notice.action?.run()
}
</script>

<template>
  <div
    class="pointer-events-none fixed inset-x-3 bottom-24 z-50 flex flex-col items-center gap-2"
    role="status"
    aria-live="polite"
  >
    <div
      v-for="notice in store.notices"
      :key="notice.id"
      class="pointer-events-auto flex max-w-xl items-center gap-3 rounded-lg border bg-sheet py-2 pl-4 pr-2 shadow-lg"
      :class="notice.tone === 'bad' ? 'border-aril text-aril' : 'border-rule'"
    >
      <span>{{ notice.text }}</span>
      <button v-if="notice.action" class="button" @click="act(notice)">
        {{ notice.action.label }}
      </button>
      <button class="icon-button" aria-label="Dismiss" @click="store.dismiss(notice.id)">
        <X :size="16" />
      </button>
    </div>
  </div>
</template>
