import type { LiveSeen } from '@/api/captures'
import type { Row } from './live/source'

/** How far each channel went, of rows that come one after the other: for the marks of a meter. */
export function useExtremes() {
  let low: number[] = []
  let high: number[] = []

  function add({ us }: Row): void {
    if (us.length !== low.length) [low, high] = [[...us], [...us]]
    low = low.map((one, k) => Math.min(one, us[k] ?? one))
    high = high.map((one, k) => Math.max(one, us[k] ?? one))
  }

  function forget(): void {
    low = []
    high = []
  }

  const of = (row: Row | null): LiveSeen['channels'] =>
    (row?.us ?? []).map((us, k) => ({ channel: k + 1, us, low_us: low[k] ?? us, high_us: high[k] ?? us }))

  return { add, forget, of }
}
