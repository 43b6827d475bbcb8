<script setup lang="ts">
import { KeyRound, Plus, Upload } from '@lucide/vue'
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import type { ShelfEntry } from '@yew-basin/contract'
import BrandLink from '../shell/BrandLink.vue'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import UnitSwitch from '../shell/UnitSwitch.vue'
import BasinRow from './BasinRow.vue'
import ImportDialog from './ImportDialog.vue'
import NameDialog from './NameDialog.vue'
import OnlyHere from '../safekeeping/OnlyHere.vue'
import { useTour } from '../tour/tour-store.ts'
import { useShelf } from './shelf-store.ts'

const shelf = useShelf()
const router = useRouter()
const tour = useTour()
const importing = ref(false)
const naming = ref<'new' | ShelfEntry | null>(null)

onMounted(() => {
  document.title = 'Yew Basin'
  void shelf.load().then(() => shelf.awaitFigures())
})
onUnmounted(() => shelf.leave())

/** So many cards are drawn at once; the rest when it is asked for, or by its name. */
const STEP = 60
const drawn = ref(STEP)
const wanted = ref('')
const found = computed(() => {
  const words = wanted.value.trim().toLowerCase()
  return words === ''
    ? shelf.entries
    : shelf.entries.filter(({ name, note }) => `${name} ${note}`.toLowerCase().includes(words))
})

async function named(name: string) {
  const what = naming.value
  naming.value = null
  if (what === 'new') {
    const basin = await shelf.create(name)
    if (basin) await router.push(`/basins/${basin.id}/start`)
  } else if (what) {
    await shelf.rename(what, name)
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
            <RouterLink
              v-if="shelf.entries[0]"
              :to="`/basins/${shelf.entries[0].id}`"
              class="text-needle underline"
              @click="tour.begin()"
              >New here? A tour of one minute</RouterLink
            >
          </p>
        </div>
        <button class="button" @click="importing = true"><Upload :size="16" /> Import</button>
        <button class="button button-main" @click="naming = 'new'">
          <Plus :size="16" /> New basin
        </button>
      </div>

      <OnlyHere />
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
          Start with “New basin”: it asks what you know of your system, a question at a time, and
          lays out the rest.
        </p>
      </div>
      <label v-if="shelf.entries.length > 12" class="mt-6 block max-w-sm">
        <span class="caption">Find among {{ shelf.entries.length }}</span>
        <input v-model="wanted" type="search" class="box mt-1" />
      </label>
      <p v-if="shelf.entries.length > 0 && found.length === 0" class="mt-8 text-ink-soft">
        None of them is called so.
      </p>
      <ul
        v-if="found.length > 0"
        class="mt-8 divide-y divide-rule border-y border-rule"
        aria-label="Basins"
      >
        <BasinRow
          v-for="entry in found.slice(0, drawn)"
          :key="entry.id"
          :entry="entry"
          @rename="naming = entry"
          @duplicate="shelf.duplicate(entry.id)"
          @remove="shelf.remove(entry)"
        />
      </ul>
      <button v-if="found.length > drawn" class="button mt-4" @click="drawn += STEP">
        Show {{ Math.min(STEP, found.length - drawn) }} more of {{ found.length }}
      </button>
      <p class="mt-8 flex flex-wrap items-center gap-x-4 gap-y-1">
        <RouterLink to="/safekeeping" class="flex items-center gap-2 text-needle hover:underline">
          <KeyRound :size="16" /> Recovery key and bin
        </RouterLink>
      </p>
      <p class="caption mt-2 max-w-2xl">
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
