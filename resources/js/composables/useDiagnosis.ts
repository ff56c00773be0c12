import { useQuery } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import type { DiagnoseAnswer } from '@/api/generated/diagnose.out'
import type { KnownFaults, RigSymptoms } from '@/api/rigs'
import { getJson, postJson } from '@/api/http'

export interface Seen {
  test: string
  outcome: string
  /** Where it comes from, if not from somebody who looked. */
  from?: string
}
interface Course {
  seen: Seen[]
  fixed: string[]
  allowRisk: boolean
  parts: { module: boolean; relay: boolean; controller: boolean }
  /** Symptoms of the rig that somebody says are not so. */
  dropped: string[]
}

const fresh = (): Course => ({ seen: [], fixed: [], allowRisk: false, parts: { module: true, relay: false, controller: true }, dropped: [] })

/**
 * One search for a fault, of a rig or of none: what was seen, what the bench makes of it, what to look at next. It survives a reload.
 */
export function useDiagnosis(slug: MaybeRefOrGetter<string | null>) {
  const course = useSessionStorage<Course>(`linguator.fault/${toValue(slug) ?? ''}`, fresh(), { deep: true })
  const known = useQuery({
    queryKey: ['faults'] as const,
    queryFn: ({ signal }) => getJson<KnownFaults>('/faults', signal),
    staleTime: Infinity,
  })
  const rig = useQuery({
    queryKey: computed(() => ['symptoms', toValue(slug)] as const),
    queryFn: ({ signal }) => getJson<RigSymptoms>(`/rigs/${toValue(slug) ?? ''}/symptoms`, signal),
    enabled: computed(() => toValue(slug) !== null),
    staleTime: 0,
  })

  /** What the rig says of itself, where nobody has looked otherwise; after a mend only what was seen since counts. */
  const byItself = computed(() =>
    course.value.fixed.length > 0
      ? []
      : (rig.data.value?.symptoms ?? []).filter(
          (one) => !course.value.dropped.includes(one.test) && !course.value.seen.some((seen) => seen.test === one.test),
        ),
  )
  /** All that counts, as the bench is told of it. */
  const evidence = computed(() => [...byItself.value, ...course.value.seen].map(({ test, outcome }) => ({ test, outcome })))
  const question = computed(() => ({
    evidence: evidence.value,
    parts: rig.data.value?.parts ?? course.value.parts,
    allow_risk: course.value.allowRisk,
    fixed: course.value.fixed,
  }))
  const answer = useQuery({
    queryKey: computed(() => ['diagnose', question.value] as const),
    queryFn: () => postJson<DiagnoseAnswer>('/diagnose', question.value),
    enabled: computed(() => toValue(slug) === null || rig.data.value !== undefined),
    placeholderData: (before: DiagnoseAnswer | undefined) => before,
    staleTime: Infinity,
  })

  const test = (id: string) => known.data.value?.tests.find((one) => one.id === id)
  const cause = (id: string) => known.data.value?.causes.find((one) => one.id === id)

  function tell(id: string, outcome: string, from?: string): void {
    const at = course.value.seen.findIndex((one) => one.test === id)
    const seen = { test: id, outcome, ...(from === undefined ? {} : { from }) }
    if (at === -1) course.value.seen.push(seen)
    else course.value.seen[at] = seen
  }

  function take(id: string): void {
    course.value.seen = course.value.seen.filter((one) => one.test !== id)
    if (byItself.value.some((one) => one.test === id)) course.value.dropped.push(id)
  }

  /** Mended: what was seen before counts no more, and the search goes on for a second fault. */
  function mended(id: string): void {
    course.value.fixed.push(id)
    course.value.seen = []
  }

  function startAgain(): void {
    course.value = { ...fresh(), parts: course.value.parts }
  }

  return { course, known, rig, byItself, evidence, answer, test, cause, tell, take, mended, startAgain }
}
