<script setup lang="ts">
import { Plus, Upload } from '@lucide/vue'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { ShelfEntry } from '@yew-basin/contract'
import BrandLink from '../shell/BrandLink.vue'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import UnitSwitch from '../shell/UnitSwitch.vue'
import BasinRow from './BasinRow.vue'
import ImportDialog from './ImportDialog.vue'
import NameDialog from './NameDialog.vue'
import { useShelf } from './shelf-store.ts'

const shelf = useShelf()
const router = useRouter()
const importing = ref(false)
const naming = ref<'new' | ShelfEntry | null>(null)

onMounted(() => {
  document.title = 'Yew Basin'
  void shelf.load()
})

async function named(name: string) {
  const what = naming.value
  naming.value = null
  if (what === 'new') {
    const basin = await shelf.create(name)
    if (basin) await router.push(`/basins/${basin.id}/tank`)
  } else if (what) {
    await shelf.rename(what.id, name)
  }
}
</script>

<template>
  <div class="min-h-dvh">
    <header class="flex flex-wrap items-center gap-3 border-b border-rule px-4 py-2.5 sm:px-8">
      <BrandLink />
      <span class="grow" />
      <UnitSwitch />
      <ThemeSwitch />
    </header>
    <main class="mx-auto max-w-4xl px-4 py-8 sm:px-8">
      <div class="flex flex-wrap items-end gap-3">
        <div class="grow">
          <h1 class="text-3xl font-semibold">Your shelf</h1>
          <p class="mt-1 max-w-xl text-ink-soft">
            Open a basin to follow its water from the tank to the sump and back.
          </p>
        </div>
        <button class="button" @click="importing = true"><Upload :size="16" /> Import</button>
        <button class="button button-main" @click="naming = 'new'">
          <Plus :size="16" /> New basin
        </button>
      </div>

      <p v-if="shelf.state === 'loading'" class="mt-12 text-ink-soft" role="status">
        Fetching your basins…
      </p>
      <div
        v-else-if="shelf.state === 'failed'"
        class="mt-10 rounded-lg bg-aril-wash p-5"
        role="alert"
      >
        <p class="font-semibold text-aril">Your shelf could not be read</p>
        <p class="mt-1">{{ shelf.fault }}</p>
        <button class="button mt-4" @click="shelf.load()">Try again</button>
      </div>
      <div v-else-if="shelf.entries.length === 0" class="mt-10 rounded-lg bg-sunk p-6">
        <p class="font-semibold">Nothing stands here yet</p>
        <p class="mt-1 text-ink-soft">
          Start with “New basin”: it opens with a plain tank and a line that works, ready to be made
          yours.
        </p>
      </div>
      <ul v-else class="mt-8 divide-y divide-rule border-y border-rule" aria-label="Basins">
        <BasinRow
          v-for="entry in shelf.entries"
          :key="entry.id"
          :entry="entry"
          @rename="naming = entry"
          @duplicate="shelf.duplicate(entry.id)"
          @remove="shelf.remove(entry)"
        />
      </ul>
      <p class="caption mt-8 max-w-2xl">
        Nobody signs up: this browser keeps the key to your shelf. Export a basin to keep a copy of
        your own. Figures are estimates with bands; measure before you trust them.
      </p>
    </main>
    <ImportDialog
      :open="importing"
      @close="importing = false"
      @done="(id) => router.push(`/basins/${id}`)"
    />
    <NameDialog
      v-if="naming"
      :title="naming === 'new' ? 'A new basin' : `Rename ${naming.name}`"
      :name="naming === 'new' ? '' : naming.name"
      :verb="naming === 'new' ? 'Make it' : 'Rename'"
      @close="naming = null"
      @named="named"
    />
  </div>
</template>
