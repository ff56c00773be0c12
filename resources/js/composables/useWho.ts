import { useLocalStorage } from '@vueuse/core'

/** Who is at the bench: kept in this browser, so that a name is typed once. */
export const useWho = () => useLocalStorage('linguator.by', '')
