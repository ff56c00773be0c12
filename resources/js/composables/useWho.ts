import { useLocalStorage } from '@vueuse/core'

/** Who is at the bench: kept in this browser, so that a name is typed once. At once: the part that it is typed into may be gone in the next moment. */
export const useWho = () => useLocalStorage('linguator.by', '', { flush: 'sync' })
