import { computed, ref } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { Row } from './live/source'

/** As many as a dance takes: the last ten minutes of a quick sender at the pace at which values are told. */
const MOST = 20_000

/** Rows as they came from a live source, to be kept as a capture of channel values: the desk, Order, Travel and the dance read it. */
export function useKeptRows() {
  let rows: Row[] = []
  const count = ref(0)
  const isKeeping = ref(false)
  const problem = ref('')
  const capture = ref<number | null>(null)
  const dropped = ref(false)

  function add(row: Row): void {
    // Of another width it is another sender.
    if (rows.length > 0 && rows[0]?.us.length !== row.us.length) forget()
    rows.push(row)
    if (rows.length > MOST) {
      rows.shift()
      dropped.value = true
    }
    count.value = rows.length
  }

  function forget(): void {
    rows = []
    count.value = 0
    dropped.value = false
    capture.value = null
    problem.value = ''
  }

  /** As a channel log. */
  function csv(): string {
    const channels = (rows[0]?.us ?? []).map((_, k) => `ch${k + 1}`)
    return `${[['t_ms', ...channels], ...rows.map((row) => [row.t_ms, ...row.us])].map((line) => line.join(',')).join('\n')}\n`
  }

  async function keep(from = 'live'): Promise<void> {
    isKeeping.value = true
    problem.value = ''
    try {
      const name = `${from}-${new Date().toISOString().slice(0, 19).replaceAll(':', '')}.csv`
      const kept = await postJson<{ id: number }>('/captures', { text: csv(), name })
      capture.value = kept.id
    } catch (error) {
      problem.value = sentenceOf(error)
    } finally {
      isKeeping.value = false
    }
  }

  return { add, forget, keep, csv, count, isKeeping, problem, capture, isFull: computed(() => dropped.value) }
}
