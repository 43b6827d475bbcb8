import { useMediaQuery } from '@vueuse/core'

/** Is the page as narrow as a phone's? The same width at which `max-md:` holds in a class. */
export const usePhone = () => useMediaQuery('(max-width: 47.99rem)')
