<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import BrandLink from '../shell/BrandLink.vue'
import ModalPanel from '../shell/ModalPanel.vue'
import { useNotices } from '../shell/notices.ts'
import ThemeSwitch from '../shell/ThemeSwitch.vue'
import BinList from './BinList.vue'
import RecoveryKey from './RecoveryKey.vue'
import RoomLeft from './RoomLeft.vue'
import { useSafekeeping } from './safekeeping-store.ts'

/** What keeps a shelf from being lost. */
const store = useSafekeeping()
const router = useRouter()
const notices = useNotices()
const typed = ref('')
const keyFault = ref('')
const renewing = ref(false)
const leaving = ref(false)

onMounted(async () => {
  document.title = 'Safekeeping · Yew Basin'
  // Come by a code: the key stands behind the #, and does not stay in the address.
  const brought = location.hash.slice(1)
  if (brought) {
    typed.value = brought
    await router.replace({ name: 'safekeeping' })
  }
  await store.load()
})

function make() {
  if (store.workspace?.hasRecoveryKey) renewing.value = true
  else void store.makeKey()
}
async function renew() {
  renewing.value = false
  await store.makeKey()
}
/** A shelf of one's own that has no key would be left behind. */
function open() {
  keyFault.value = typed.value.trim() === '' ? 'Type the key, or paste it.' : ''
  if (keyFault.value) return
  if (store.workspace && !store.workspace.hasRecoveryKey) leaving.value = true
  else void recover()
}
async function recover() {
  leaving.value = false
  keyFault.value = await store.recover(typed.value)
  if (keyFault.value) return
  typed.value = ''
  notices.tell('This is the shelf of your key now.')
  await router.push('/')
}
</script>

<template>
  <div class="min-h-dvh">
    <header class="flex flex-wrap items-center gap-3 border-b border-rule px-4 py-2.5 sm:px-8">
      <BrandLink />
      <RouterLink to="/" class="text-needle hover:underline">Back to the shelf</RouterLink>
      <span class="grow" />
      <ThemeSwitch />
    </header>
    <main class="mx-auto max-w-4xl space-y-10 px-4 py-8 sm:px-8">
      <div>
        <h1 class="text-3xl font-semibold">Safekeeping</h1>
        <p class="mt-1 max-w-xl text-ink-soft">
          What keeps your shelf from being lost: a key to open it elsewhere, and a bin for what was
          deleted.
        </p>
      </div>
      <p v-if="store.fault" class="text-aril" role="alert">
        {{ store.fault }} <button class="underline" @click="store.load()">Try again</button>
      </p>
      <p v-if="!store.ready && !store.fault" class="caption" role="status">Looking…</p>
      <template v-if="store.ready">
        <section aria-labelledby="key-heading">
          <h2 id="key-heading" class="text-xl font-semibold">Recovery key</h2>
          <RecoveryKey v-if="store.key" :recovery-key="store.key" @done="store.key = null" />
          <template v-else>
            <p class="mt-1 max-w-xl text-ink-soft">
              {{
                store.workspace?.hasRecoveryKey
                  ? 'You have made one. A new one takes its place.'
                  : 'You have none yet: this shelf lives in this browser alone, and goes to the bin when the browser has not been here for half a year.'
              }}
            </p>
            <button class="button mt-3" @click="make">
              {{ store.workspace?.hasRecoveryKey ? 'Make a new key' : 'Make a key' }}
            </button>
          </template>
          <form class="mt-6 max-w-xl" novalidate @submit.prevent="open">
            <label class="block">
              <span class="caption">Open another shelf here, by its key</span>
              <input
                v-model="typed"
                class="box mt-1 font-mono"
                autocomplete="off"
                autocapitalize="characters"
                spellcheck="false"
                :aria-invalid="keyFault !== ''"
                aria-describedby="key-fault"
              />
            </label>
            <p id="key-fault" class="min-h-5 text-sm text-aril" role="alert">{{ keyFault }}</p>
            <button class="button mt-2" type="submit">Open that shelf</button>
          </form>
        </section>
        <BinList />
        <RoomLeft v-if="store.workspace" :usage="store.workspace.usage" />
      </template>
    </main>
    <ModalPanel :open="renewing" title="Make a new key?" @close="renewing = false">
      <p class="mt-2">The key you have now will open nothing any more.</p>
      <div class="mt-5 flex justify-end gap-2">
        <button class="button" @click="renewing = false">Keep the old one</button>
        <button class="button button-main" @click="renew">Make a new one</button>
      </div>
    </ModalPanel>
    <ModalPanel :open="leaving" title="Leave this shelf behind?" @close="leaving = false">
      <p class="mt-2">
        The shelf that is open now ({{ store.workspace?.usage.basins.used }} basins) has no recovery
        key: when another one is opened here, nothing leads back to it. Make a key for it first if
        you want it again.
      </p>
      <div class="mt-5 flex flex-wrap justify-end gap-2">
        <button class="button" @click="leaving = false">Stay here</button>
        <button class="button button-main" @click="recover">Open the other one</button>
      </div>
    </ModalPanel>
  </div>
</template>
