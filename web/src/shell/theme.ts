import { usePreferredDark, useStorage } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

/** As the system has it until the keeper chooses. */
export function useTheme() {
  const chosen = useStorage<'light' | 'dark' | 'system'>('yew.theme', 'system')
  const systemDark = usePreferredDark()
  const dark = computed(() =>
    chosen.value === 'system' ? systemDark.value : chosen.value === 'dark',
  )
  watchEffect(() => {
    document.documentElement.dataset.theme = dark.value ? 'dark' : 'light'
  })
  const turn = () => {
    chosen.value = dark.value ? 'light' : 'dark'
  }
  return { dark, turn }
}
