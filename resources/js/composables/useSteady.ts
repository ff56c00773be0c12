import { useQuery } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { getJson, postJson, sentenceOf } from '@/api/http'
import type { SteadyAsk, SteadyHeld } from '@/api/rigs'
import type { LiveSource, Row } from './live/source'
import { useLive } from './useLive'
import { useSay } from './useSay'

/** So often the bench is asked whether the stick is held, with so many of the last rows. */
const ASK_MS = 120
const KEPT_ROWS = 150
/** Somebody reads what is asked of the next stick before anything of it counts: it may still stand where it is not to be read, ms. */
const READ_MS = 1200

export interface Taken {
  ask: SteadyAsk
  side: string
  us: number
  noise_us: number
}

/**
 * Readings by holding still: one stick or switch after the other is asked for, and when the bench sees that it is held, its value is taken, a tone
 * is heard, and the next is asked for. Both hands stay at the handset.
 */
export function useSteady(slug: () => string, kind: SteadyAsk['kind'], onTaken: (taken: Taken) => void) {
  const { tone, speak, wantsVoice, hasVoice } = useSay()
  let rows: Row[] = []
  /** From when on rows count. */
  let countsFrom = 0
  const live = useLive(({ t_ms, us }) => {
    if (performance.now() < countsFrom) return
    rows.push({ t_ms, us })
    if (rows.length > KEPT_ROWS) rows = rows.slice(-KEPT_ROWS)
  })
  const asks = useQuery({
    queryKey: computed(() => ['steady', slug()] as const),
    queryFn: ({ signal }) => getJson<{ asks: SteadyAsk[] }>(`/rigs/${slug()}/steady`, signal),
    staleTime: 0,
  })
  const holds = computed(() =>
    (asks.data.value?.asks ?? []).filter((ask) => ask.kind === kind).flatMap((ask) => ask.holds.map((hold) => ({ ask, ...hold }))),
  )
  const at = ref(0)
  const now = computed(() => holds.value[at.value] ?? null)
  const held = ref<SteadyHeld | null>(null)
  const problem = ref('')
  const isDone = computed(() => live.isOn.value && holds.value.length > 0 && at.value >= holds.value.length)
  /** The last value that was taken, of each function. */
  const taken = new Map<string, number>()
  let timer = 0
  let isAsking = false
  /** An answer to what another source sent is none to this one. */
  let run = 0

  async function ask(): Promise<void> {
    const hold = now.value
    if (isAsking || hold === null || rows.length < 2) return
    isAsking = true
    const mine = run
    try {
      const answer = await postJson<SteadyHeld>(`/rigs/${slug()}/steady`, {
        function: hold.ask.function,
        taken: taken.get(hold.ask.function) ?? null,
        log: rows,
      })
      if (mine !== run || !live.isOn.value || now.value !== hold) return
      held.value = answer
      problem.value = ''
      if (answer.is_taken) take(hold.ask, hold.side, answer)
    } catch (error) {
      problem.value = sentenceOf(error)
    } finally {
      isAsking = false
    }
  }

  function take(of: SteadyAsk, side: string, { us, noise_us }: SteadyHeld): void {
    taken.set(of.function, us)
    tone()
    onTaken({ ask: of, side, us, noise_us })
    go(at.value + 1)
  }

  function go(to: number): void {
    const before = now.value?.ask.function
    at.value = Math.max(0, to)
    // The next end of the same stick lies elsewhere, so nothing of it is taken before it is moved.
    if (now.value?.ask.function !== before || to === 0) countsFrom = performance.now() + READ_MS
    held.value = null
    // What was held for the one before does not count for the next.
    rows = []
  }

  function skip(): void {
    go(at.value + 1)
  }

  /** The one before once more, and whatever value it has counts. */
  function back(): void {
    go(at.value - 1)
    if (now.value) taken.delete(now.value.ask.function)
  }

  async function listen(source: LiveSource): Promise<void> {
    run += 1
    taken.clear()
    go(0)
    await live.listen(source)
  }

  watch(live.isOn, (isOn) => {
    window.clearInterval(timer)
    if (isOn) timer = window.setInterval(() => void ask(), ASK_MS)
  })
  watch([now, live.isOn], ([hold, isOn]) => {
    if (hold !== null && isOn) speak(hold.says)
  })
  onBeforeUnmount(() => window.clearInterval(timer))

  return { live, holds, at, now, held, problem, isDone, wantsVoice, hasVoice, listen, skip, back, stop: live.stop }
}
