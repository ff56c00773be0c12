import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'

/** Whether the page is as narrow as on a phone: drawings then carry fewer words. */
export const useNarrow = () => useMediaQuery('(max-width: 700px)')

/** How wide a drawing is drawn: about as wide as it is shown, so that its words stay as large as they are. */
export function useDrawnWidth(narrow: number, wide: number) {
  const isNarrow = useNarrow()
  return computed(() => (isNarrow.value ? narrow : wide))
}

/** Whether the page is as low as a phone that lies on its side. */
export const useLow = () => useMediaQuery('(max-height: 500px)')
