import { ref } from 'vue'

/** Lines that are ticked, by key. */
export function useTicked() {
  const ticked = ref(new Set<string>())

  function toggle(key: string): void {
    const now = new Set(ticked.value)
    if (!now.delete(key)) now.add(key)
    ticked.value = now
  }

  return { has: (key: string) => ticked.value.has(key), toggle, only: (keys: string[]) => (ticked.value = new Set(keys)) }
}
