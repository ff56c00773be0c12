import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { RigData, TravelPreview, TravelRowView } from '@/api/rigs'
import { type Cell, SIDES, type Side } from '@/lib/paste'
import type { RigHandle } from './useRig'

export type Draft = Partial<Record<Side, number | null>>
type Problems = Record<string, { message: string; path: string; is_reversed: boolean }>

const WAIT_MS = 40

const isSame = (a: Record<Side, number>, b: Record<Side, number>) => SIDES.every((side) => a[side] === b[side])

/** Where drafts of a rig's readings are kept, so that they survive a reload. */
export const draftsPlace = (slug: string) => `linguator.travel.${slug}`

/**
 * Readings while they are typed: kept in the browser, judged by the bench as they stand, and told to it row by row when the hand leaves a
 * row that is whole and sound. Nothing that was typed is lost to a reload, a slow answer or a stopped server.
 */
export function useTravelDrafts(rig: () => RigData, handle: RigHandle) {
  const drafts = reactive<Record<number, Draft>>({})
  const preview = ref<TravelPreview | null>(null)
  const failed = ref('')
  const view = computed(() => preview.value?.travel ?? rig().review.travel)
  const problems = computed<Problems>(() => (preview.value?.problems ?? {}) as Problems)
  /** Channels whose row the hand has left: each is kept by the first answer that knows its last numbers and finds them sound. */
  const left = new Set<number>()
  /** Rows on their way to the bench: what goes, and when it has arrived. Nothing goes twice. */
  const going = new Map<number, { values: Record<Side, number>; arrival: Promise<void> }>()
  let asked = 0
  let newest: Promise<void> = Promise.resolve()

  const soon = useDebounceFn(() => judge(), WAIT_MS)
  const place = computed(() => draftsPlace(rig().slug))
  watch(place, restore, { immediate: true })

  function restore(): void {
    for (const channel of Object.keys(drafts)) Reflect.deleteProperty(drafts, channel)
    Object.assign(drafts, JSON.parse(localStorage.getItem(place.value) ?? '{}'))
    left.clear()
    for (const channel of Object.keys(drafts)) left.add(Number(channel))
    void judge()
  }

  function store(): void {
    localStorage.setItem(place.value, JSON.stringify(drafts))
  }

  /** Of channels that were read by holding: how far they shook meanwhile. Typed over, it is not known any more. */
  const noise = new Map<number, number>()

  function held(row: TravelRowView, side: Side, us: number, noiseUs: number): void {
    const before = noise.get(row.channel)
    type(row, side, us)
    noise.set(row.channel, Math.max(before ?? 0, noiseUs))
  }

  function valueOf(row: TravelRowView, side: Side): number | null {
    const draft = drafts[row.channel]
    return draft && side in draft ? (draft[side] ?? null) : (row.reading?.[side] ?? null)
  }

  function type(row: TravelRowView, side: Side, us: number | null): void {
    if (us === valueOf(row, side)) return
    noise.delete(row.channel)
    drafts[row.channel] = { ...drafts[row.channel], [side]: us }
    store()
    void soon()
  }

  /** Cells that were pasted, the first row of them at this one. */
  function put(from: TravelRowView, cells: Cell[]): void {
    const rows = view.value.rows
    const start = rows.findIndex((row) => row.channel === from.channel)
    for (const cell of cells) {
      const row = rows[start + cell.row]
      if (!row) continue
      drafts[row.channel] = { ...drafts[row.channel], [cell.side]: cell.value }
      left.add(row.channel)
    }
    store()
    void judge()
  }

  /** A row as it stands: what was read before, with what is being typed over it. */
  function whole(row: TravelRowView): Record<Side, number> | null {
    const values = SIDES.map((side) => valueOf(row, side))
    return values.includes(null) ? null : ({ lo: values[0], mid: values[1], hi: values[2] } as Record<Side, number>)
  }

  function enter(row: TravelRowView): void {
    left.delete(row.channel)
  }

  function leave(row: TravelRowView): void {
    left.add(row.channel)
    void soon()
  }

  function judge(): Promise<void> {
    newest = ask()
    return newest
  }

  /** Until everything typed so far has been judged, and kept where it is sound. */
  async function settle(): Promise<void> {
    for (const row of view.value.rows) left.add(row.channel)
    for (let seen = judge(); ; seen = newest) {
      await seen
      if (seen === newest) return
    }
  }

  function drafted(): Record<number, Record<Side, number>> {
    const rows: Record<number, Record<Side, number>> = {}
    for (const row of rig().review.travel.rows) {
      const values = drafts[row.channel] ? whole(row) : null
      if (values) rows[row.channel] = values
    }
    return rows
  }

  async function ask(): Promise<void> {
    const mine = ++asked
    const rows = drafted()
    if (Object.keys(rows).length === 0) {
      preview.value = null
      return
    }
    try {
      const answer = await postJson<TravelPreview>(`/rigs/${rig().slug}/travel`, { drafts: rows })
      // Typing is quicker than answers under load: only the newest one counts.
      if (mine !== asked) return
      preview.value = answer
      failed.value = ''
    } catch (error) {
      if (mine === asked) failed.value = sentenceOf(error)
      return
    }
    for (const row of [...rig().review.travel.rows]) if (left.has(row.channel)) await keep(row)
  }

  /** Tells a row that is whole and sound. */
  async function keep(row: TravelRowView): Promise<void> {
    const values = whole(row)
    if (!drafts[row.channel] || !values || problems.value[row.channel]) return
    left.delete(row.channel)
    const before = going.get(row.channel)
    if (before && isSame(before.values, values)) return before.arrival
    const shook = noise.get(row.channel)
    const arrival = tell(row, values, shook === undefined ? {} : { noise_us: shook, source: 'live' }).finally(() => {
      if (going.get(row.channel)?.arrival === arrival) going.delete(row.channel)
    })
    going.set(row.channel, { values, arrival })
    await arrival
  }

  /** Values that fall where the stick rises are those of a reversed stick: told as they were read. */
  async function fell(row: TravelRowView): Promise<void> {
    const values = whole(row)
    if (values) await tell(row, values, { reversed: true })
  }

  async function tell(
    row: TravelRowView,
    values: Record<Side, number>,
    more: { reversed?: boolean; noise_us?: number; source?: string },
  ): Promise<void> {
    if (!(await handle.intend('keep-reading', { channel: row.channel, ...values, ...more }))) return
    // What was typed while the answer was on its way stays, and is kept in its turn.
    const now = whole(row)
    if (now === null || isSame(now, values)) Reflect.deleteProperty(drafts, row.channel)
    store()
    await judge()
  }

  return { view, problems, failed, valueOf, type, held, put, enter, leave, settle, fell }
}
