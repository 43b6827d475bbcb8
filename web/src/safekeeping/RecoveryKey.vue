<script setup lang="ts">
import QRCode from 'qrcode'
import { ref, watch } from 'vue'
import { useNotices } from '../shell/notices.ts'
import { saveFile } from '../shell/save-file.ts'

/** A recovery key, shown once: to be written down, saved, or read by another device’s camera. */
const { recoveryKey } = defineProps<{ recoveryKey: string }>()
defineEmits<{ done: [] }>()
const notices = useNotices()
const LOOPBACK = /^(localhost|127\.|\[?::1)/
const picture = ref('')

/**
 * What a camera reads: the address that opens the shelf, its key behind a #, which browsers never send to a server.
 * An address on this machine alone leads nowhere from another one: then the key itself.
 */
const address = () =>
  LOOPBACK.test(location.hostname) ? recoveryKey : `${location.origin}/safekeeping#${recoveryKey}`

watch(
  () => recoveryKey,
  async () => {
    picture.value = await QRCode.toDataURL(address(), {
      errorCorrectionLevel: 'M',
      margin: 2,
      width: 220,
    })
  },
  { immediate: true },
)

async function copy() {
  try {
    await navigator.clipboard.writeText(recoveryKey)
    notices.tell('The key is copied.')
  } catch {
    notices.tell('This browser lets nothing be copied; write the key down.', { tone: 'bad' })
  }
}
function save() {
  const text = `Recovery key of a Yew Basin shelf at ${location.origin}\n\n${recoveryKey}\n`
  saveFile('yew-basin-recovery-key.txt', text, 'text/plain')
}
</script>

<template>
  <div class="mt-4 flex flex-wrap gap-6 rounded-lg border border-needle bg-sheet p-5">
    <img
      v-if="picture"
      :src="picture"
      alt="The key as a QR code"
      class="size-44 rounded bg-white"
    />
    <div class="min-w-64 grow basis-0">
      <p class="font-semibold">Your recovery key</p>
      <p class="mt-2 font-mono text-lg wrap-anywhere" data-testid="recovery-key">
        {{ recoveryKey }}
      </p>
      <p class="mt-2 text-ink-soft">
        It is shown this once and kept nowhere: whoever has it opens your shelf. Write it down, save
        it, or point another device’s camera at the code.
      </p>
      <div class="mt-4 flex flex-wrap gap-2">
        <button class="button" @click="copy">Copy</button>
        <button class="button" @click="save">Save as a file</button>
        <button class="button button-main" @click="$emit('done')">I have it</button>
      </div>
    </div>
  </div>
</template>
