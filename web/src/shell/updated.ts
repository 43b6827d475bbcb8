import { useEventListener } from '@vueuse/core'
import { useNotices } from './notices.ts'

/** A part of the page that is gone from the server: Yew Basin was updated while this tab was open. */
export function tellOfUpdates(): void {
  const notices = useNotices()
  let told = false
  useEventListener(window, 'vite:preloadError', () => {
    if (told) return
    told = true
    notices.tell('Yew Basin was updated while this page was open. Load it anew; nothing is lost.', {
      tone: 'bad',
      action: { label: 'Load it anew', run: () => location.reload() },
    })
  })
}
