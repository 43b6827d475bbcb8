<script setup lang="ts">
import { Pencil } from '@lucide/vue'

/** Beside a figure that hangs on something nobody has given. */
</script>

<template>
  <span class="inline-block align-[-1px]" title="Some of what it hangs on is assumed">
    <Pencil :size="11" aria-hidden="true" /><span class="sr-only">, hangs on assumed figures</span>
  </span>
</template>
