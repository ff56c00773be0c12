import { useQuery } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { computed, type MaybeRefOrGetter, ref, toValue, watch } from 'vue'
import type { DryBenchQuestion } from '@/api/generated/drybenchquestion'
import type { DryBenchSetUp, DryBenchShown } from '@/api/rigs'
import { getJson, postJson, sentenceOf } from '@/api/http'

export type Letter = 'A' | 'E' | 'T' | 'R'

export interface Hands {
  sticks: Record<Letter, number>
  switches: Record<string, number>
  knobs: Record<string, number>
  lost: number[]
  faults: string[]
  /** Positions of couplings that a probe hangs on. */
  probes: number[]
}

/** Questions under way at once: an answer takes longer than a frame of the screen. */
const AT_ONCE = 2

/** As a handset lies on the bench. */
const resting = (): Hands => ({ sticks: { A: 0, E: 0, T: -100, R: 0 }, switches: {}, knobs: {}, lost: [], faults: [], probes: [] })

/** A bench whose rig has something hidden in it: it answers elsewhere. */
export interface OtherBench {
  key: string
  ask: (question: DryBenchQuestion) => Promise<DryBenchShown>
}

/**
 * A rig on the dry bench. Every move asks the bench what is to be seen then; while an answer is under way moves gather, and the last one
 * goes next, so that the drawing follows the hand however fast it moves. It survives a reload.
 */
export function useDryBench(slug: MaybeRefOrGetter<string>, other?: OtherBench) {
  const hands = useSessionStorage<Hands>(`linguator.dry-bench/${other?.key ?? toValue(slug)}`, resting(), { deep: true, mergeDefaults: true })
  const setUp = useQuery({
    queryKey: computed(() => ['dry-bench', toValue(slug)] as const),
    queryFn: ({ signal }) => getJson<DryBenchSetUp>(`/rigs/${toValue(slug)}/dry-bench`, signal),
    staleTime: 0,
  })
  const shown = ref<DryBenchShown | null>(null)
  const problem = ref<string | null>(null)
  /** Answers drawn so far. */
  const drawn = ref(0)

  const question = computed<DryBenchQuestion>(() => ({
    sticks: hands.value.sticks,
    switches: hands.value.switches,
    knobs: hands.value.knobs,
    link: { lost: hands.value.lost },
    faults: hands.value.faults.map((cause) => ({ cause })),
    waves: hands.value.probes,
  }))

  let underWay = 0
  let asked = 0
  let last = 0
  let isOverdue = false

  /** One question and its answer; of two that overtake each other the later one stays. */
  async function askOnce(): Promise<void> {
    const number = ++asked
    isOverdue = false
    const answer = await (other?.ask(question.value) ?? postJson<DryBenchShown>(`/rigs/${toValue(slug)}/dry-bench`, question.value))
    if (number < last) return
    last = number
    shown.value = answer
    problem.value = null
    drawn.value += 1
  }

  async function ask(): Promise<void> {
    if (underWay >= AT_ONCE) {
      isOverdue = true
      return
    }
    underWay += 1
    try {
      do await askOnce()
      while (isOverdue)
    } catch (error) {
      problem.value = sentenceOf(error)
    } finally {
      underWay -= 1
    }
  }

  watch(
    [question, () => setUp.data.value?.refusal],
    () => {
      if (setUp.data.value !== undefined && setUp.data.value.refusal === null) void ask()
    },
    { deep: true, immediate: true },
  )

  const toggled = <T>(list: T[], one: T): T[] => (list.includes(one) ? list.filter((other) => other !== one) : [...list, one])

  return {
    hands,
    setUp,
    shown,
    problem,
    drawn,
    moveStick: (letter: Letter, percent: number) => (hands.value.sticks[letter] = Math.max(-100, Math.min(100, Math.round(percent)))),
    setSwitch: (id: string, position: number) => (hands.value.switches[id] = position),
    turnKnob: (id: string, percent: number) => (hands.value.knobs[id] = percent),
    lose: (hop: number) => (hands.value.lost = toggled(hands.value.lost, hop)),
    hang: (position: number) => (hands.value.probes = toggled(hands.value.probes, position)),
    putIn: (cause: string) => (hands.value.faults = toggled(hands.value.faults, cause)),
    startAgain: () => (hands.value = { ...resting(), probes: hands.value.probes }),
  }
}

export type DryBench = ReturnType<typeof useDryBench>
