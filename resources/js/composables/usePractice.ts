import { useQuery } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import type { PracticeQuestion } from '@/api/generated/practicequestion'
import type { DryBenchShown, PracticeResult, PracticeShown } from '@/api/rigs'
import { postJson } from '@/api/http'
import type { OtherBench } from './useDryBench'

export type PracticeMove = NonNullable<PracticeQuestion['moves']>[number]
export type Level = PracticeShown['level']

export const LEVELS: { key: Level; title: string; says: string }[] = [
  { key: 'plain', title: 'Plain', says: 'one fault as it is met most' },
  { key: 'subtle', title: 'Subtle', says: 'one that hides behind another' },
  { key: 'two', title: 'Two at once', says: 'mend one, and look again' },
]

export const LEVEL_TITLES = Object.fromEntries(LEVELS.map((one) => [one.key, one.title])) as Record<Level, string>

/** A game of practice: every move so far lies here, what is true stays with the bench. It survives a reload. */
export function usePractice(rig: MaybeRefOrGetter<string>, level: MaybeRefOrGetter<Level>, seed: MaybeRefOrGetter<string>) {
  const moves = useSessionStorage<PracticeMove[]>(`linguator.practice/${toValue(rig)}/${toValue(level)}/${toValue(seed)}`, [], { deep: true })
  const question = computed<PracticeQuestion>(() => ({ seed: toValue(seed), level: toValue(level), moves: moves.value }))
  const game = useQuery({
    queryKey: computed(() => ['practice', toValue(rig), question.value] as const),
    queryFn: () => postJson<PracticeShown>(`/rigs/${toValue(rig)}/practice`, question.value),
    placeholderData: (before: PracticeShown | undefined) => before,
    staleTime: Infinity,
    retry: false,
  })
  /** The dry bench with the fault in it, once it was opened. */
  const bench: OtherBench = {
    key: `practice/${toValue(rig)}/${toValue(level)}/${toValue(seed)}`,
    ask: (hands) => postJson<DryBenchShown>(`/rigs/${toValue(rig)}/practice/look`, { ...question.value, hands }),
  }
  /** Nothing is done twice while the bench still works on the last move. */
  const isBusy = computed(() => game.isFetching.value)

  function make(move: PracticeMove): void {
    if (!isBusy.value && game.data.value?.is_over !== true) moves.value.push(move)
  }

  const keep = (player: string) => postJson<PracticeResult>(`/rigs/${toValue(rig)}/practice/keep`, { ...question.value, player })

  return { moves, game, bench, isBusy, make, keep, startAgain: () => (moves.value = []) }
}
