import { useMediaQuery } from '@vueuse/core'

/** Is the page as narrow as a phone's? The same width at which `max-sm:` holds in a class. */
export const usePhone = () => useMediaQuery('(max-width: 39.99rem)')
