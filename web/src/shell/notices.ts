import { defineStore } from 'pinia'
import { ref } from 'vue'

/** A short message at the foot of the screen, with one thing to do about it. */
export interface Notice {
  readonly id: number
  readonly text: string
  readonly tone: 'plain' | 'bad'
  readonly action?: { readonly label: string; readonly run: () => unknown }
}

/** How long a message that needs nothing stays. */
const PLAIN_MS = 6000
const WITH_ACTION_MS = 20_000

export const useNotices = defineStore('notices', () => {
  const notices = ref<Notice[]>([])
  let next = 1

  function tell(text: string, more: Partial<Pick<Notice, 'tone' | 'action'>> = {}): void {
    const notice: Notice = { id: next++, text, tone: 'plain', ...more }
    notices.value = [...notices.value.slice(-2), notice]
    if (notice.tone === 'plain') {
      setTimeout(() => dismiss(notice.id), notice.action ? WITH_ACTION_MS : PLAIN_MS)
    }
  }

  function dismiss(id: number): void {
    notices.value = notices.value.filter((notice) => notice.id !== id)
  }

  return { notices, tell, dismiss }
})
