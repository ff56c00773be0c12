import { onBeforeUnmount, ref } from 'vue'

/** Whether the page is as narrow as on a phone: drawings then carry fewer words. */
export function useNarrow() {
  const query = window.matchMedia('(max-width: 700px)')
  const isNarrow = ref(query.matches)
  const listen = (event: MediaQueryListEvent) => (isNarrow.value = event.matches)
  query.addEventListener('change', listen)
  onBeforeUnmount(() => query.removeEventListener('change', listen))
  return isNarrow
}
