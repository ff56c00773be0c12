import { useMediaQuery } from '@vueuse/core'

/** Whether the page is as narrow as on a phone: drawings then carry fewer words. */
export const useNarrow = () => useMediaQuery('(max-width: 700px)')

/** Whether the page is as low as a phone that lies on its side. */
export const useLow = () => useMediaQuery('(max-height: 500px)')
