import { onBeforeUnmount, ref } from 'vue'
import type { LiveSeen } from '@/api/captures'
import { sentenceOf } from '@/api/http'
import type { LiveSource, Row } from './live/source'

/** Frames are counted over so long. */
const COUNT_MS = 500
const MS_PER_S = 1000
/** A source that sends nothing for so long is silent; looked at so often. */
const SILENT_MS = 400
const LOOK_MS = 100

/** Frames a second, of a count that only grows. */
function useRate() {
  const rate = ref(0)
  let lastCount = 0
  let lastAt = 0

  function count(good: number): void {
    const at = performance.now()
    if (at - lastAt <= COUNT_MS) return
    rate.value = lastAt === 0 ? 0 : ((good - lastCount) * MS_PER_S) / (at - lastAt)
    lastCount = good
    lastAt = at
  }

  function reset(): void {
    lastAt = lastCount = 0
  }

  return { rate, count, reset }
}

/**
 * Something that sends now: its newest values, until it is stopped. Silence is said at once with its likely reason, and it takes up again by
 * itself; where the source ends by itself, that is told too.
 */
export function useLive(onRow: (row: Row) => void = () => undefined, onEnd: () => void = () => undefined) {
  const seen = ref<LiveSeen | null>(null)
  const row = ref<Row | null>(null)
  const isOn = ref(false)
  const problem = ref('')
  const silence = ref('')
  const { rate, count, reset } = useRate()
  let source: LiveSource | null = null
  let lastAt = 0
  let looking = 0

  function look(): void {
    if (performance.now() - lastAt < SILENT_MS) silence.value = ''
    else silence.value = seen.value?.says ?? 'Nothing comes in: look at the lead, and whether the sender is on. It goes on by itself.'
  }

  async function listen(to: LiveSource): Promise<void> {
    stop()
    problem.value = ''
    seen.value = row.value = null
    reset()
    source = to
    lastAt = performance.now()
    isOn.value = true
    looking = window.setInterval(look, LOOK_MS)
    try {
      await to.start({
        take: (one) => {
          lastAt = performance.now()
          row.value = one
          onRow(one)
        },
        seen: (now) => {
          count(now.good)
          seen.value = now
        },
        ended: (why) => {
          problem.value = why
          stop()
          onEnd()
        },
      })
    } catch (error) {
      problem.value = sentenceOf(error)
      if (source === to) stop()
    }
  }

  function stop(): void {
    window.clearInterval(looking)
    silence.value = ''
    source?.stop()
    source = null
    isOn.value = false
  }
  onBeforeUnmount(stop)

  return { seen, row, isOn, problem, silence, rate, listen, stop }
}
