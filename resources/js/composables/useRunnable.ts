import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { type Choice, choicesOf } from '@/lib/choice'
import { rigsQuery, samplesQuery } from '@/api/rigs'

/** Rigs of the bench, and those samples that are not on it. */
export function useRunnable() {
  const rigs = useQuery(rigsQuery)
  const samples = useQuery(samplesQuery)
  const bench = computed(() => (rigs.data.value?.rigs ?? []).map(({ slug, name }) => ({ slug, name })))
  const others = computed(() => {
    const there = new Set(bench.value.map((one) => one.name))
    return (samples.data.value?.samples ?? []).filter((one) => !there.has(one.name))
  })
  const all = computed(() => [...bench.value, ...others.value])
  /** Known once both have answered: a sample is not offered first only because it came first. */
  const isKnown = computed(() => rigs.data.value !== undefined && (samples.data.value !== undefined || samples.isError.value))
  const choices = computed<Choice[]>(() => [
    ...choicesOf(bench.value, 'slug', 'name'),
    ...(others.value.length > 0 ? [{ value: '-', label: 'Samples, not on your bench', isOff: true }] : []),
    ...choicesOf(others.value, 'slug', 'name'),
  ])
  return { choices, all, isKnown, error: rigs.error }
}
