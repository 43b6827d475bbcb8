<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ImageDown } from '@lucide/vue'
import { useNotices } from './notices.ts'
import { pngPicture, svgPicture } from './picture.ts'
import { saveFile } from './save-file.ts'

/** A drawing or a chart, saved as a picture: lines that stay sharp, or points. */
const {
  drawing,
  name,
  above = false,
} = defineProps<{
  drawing: () => SVGSVGElement | null
  /** Of the file, without its ending. */
  name: string
  /** It opens upwards. */
  above?: boolean
}>()
const notices = useNotices()

async function save(kind: 'svg' | 'png') {
  const shown = drawing()
  if (!shown) return
  try {
    const made = kind === 'svg' ? svgPicture(shown) : await pngPicture(shown)
    saveFile(`${name}.${kind}`, made, kind === 'svg' ? 'image/svg+xml' : 'image/png')
  } catch (error) {
    notices.tell((error as Error).message, { tone: 'bad' })
  }
}
const item = 'block w-full whitespace-nowrap rounded px-3 py-1.5 text-left'
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      class="icon-button"
      :aria-label="`Save ${name} as a picture`"
      title="Save as a picture"
    >
      <ImageDown :size="16" />
    </MenuButton>
    <MenuItems
      class="absolute right-0 z-20 rounded-lg border border-rule bg-sheet p-1 shadow-lg"
      :class="above ? 'bottom-full mb-1' : 'mt-1'"
    >
      <MenuItem v-slot="{ active }">
        <button :class="[item, { 'bg-sunk': active }]" @click="save('svg')">As lines (SVG)</button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button :class="[item, { 'bg-sunk': active }]" @click="save('png')">As points (PNG)</button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
