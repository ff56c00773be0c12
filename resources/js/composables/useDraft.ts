import { computed, type ComputedRef, shallowRef } from 'vue'

/** What a field tells the bench; false: it was not taken, and the bench has said why. */
export type Save<T> = (value: T) => Promise<boolean>

/**
 * What stands in a field between the hand and the bench: what the bench has, until something else is put in; then that, until the bench
 * has taken it. An answer to something older never touches it.
 */
export function useDraft<T>(there: () => T) {
  const draft = shallowRef<{ value: T } | null>(null)
  const shown: ComputedRef<T> = computed(() => (draft.value === null ? there() : draft.value.value))

  function hold(value: T): void {
    draft.value = { value }
  }

  function drop(): void {
    draft.value = null
  }

  /** Tells it, and lets go of it once it is taken, unless something newer was put in meanwhile. */
  async function tell(save: () => Promise<boolean>): Promise<boolean> {
    const mine = draft.value
    const isTaken = await save()
    if (isTaken && draft.value === mine) drop()
    return isTaken
  }

  return { draft, shown, hold, drop, tell }
}
