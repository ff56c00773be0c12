import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { choicesQuery } from '@/api/choices'

/** The pulse widths everybody counts from, µs: low, middle, high. Nothing until the bench has told them. */
export function useLandmarks() {
  const choices = useQuery(choicesQuery)
  const marks = computed(() => choices.data.value?.landmarks ?? null)
  const list = computed(() => (marks.value ? [marks.value.lo, marks.value.mid, marks.value.hi] : []))
  return { marks, list }
}
