import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'

/** Who ticks on this device: a name typed once; none is allowed. */
export const useTicker = defineStore('ticker', () => ({ name: useStorage('yew.ticker', '') }))
