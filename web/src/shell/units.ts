import {
  cutText,
  show,
  showBand,
  showText,
  type Measured,
  type QuantityName,
  type UnitFamily,
} from '@yew-basin/core'
import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'

/** The unit family in use, everywhere at once. */
export const useUnits = defineStore('units', () => {
  const family = useStorage<UnitFamily>('yew.units', 'metric')
  if (family.value !== 'us') family.value = 'metric'

  /** To the place of its band where that is given. */
  const text = (quantity: QuantityName, si: number, bandSi?: number | null) =>
    showText(bandSi ? { quantity, si, bandSi } : { quantity, si }, family.value)
  const shown = (value: Measured) => show(value, family.value)
  const band = (value: Measured, bandSi: number) => showBand(value, bandSi, family.value).number

  /** A length to mark and cut; in a drawing without the decimal that stands beside a fraction. */
  const cut = (si: number, parts: 64 | 32, withDecimal = true) =>
    cutText(si, family.value, parts, withDecimal)

  return { family, text, shown, band, cut }
})
