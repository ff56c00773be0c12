import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import * as http from '@/api/http'
import type { RigData, TravelRowView } from '@/api/rigs'
import { fakeHandle, rigOf } from '@/testing/bench'
import { draftsPlace, useTravelDrafts } from './useTravelDrafts'

type Judge = (drafts: Record<string, { lo: number; mid: number; hi: number }>) => unknown

beforeEach(() => {
  localStorage.clear()
  vi.restoreAllMocks()
  vi.useFakeTimers()
  return () => vi.useRealTimers()
})

/** Readings typed against a bench that judges as it is told, and takes when it is told. */
function typing(judge: Judge = () => ({})) {
  const asked: Record<string, unknown>[] = []
  const rig = ref<RigData>(rigOf('rig-dunlin'))
  vi.spyOn(http, 'postJson').mockImplementation(((_: string, body: { drafts: Record<string, never> }) => {
    asked.push(body.drafts)
    const answer = judge(body.drafts)
    return answer instanceof Promise ? answer : Promise.resolve({ travel: rig.value.review.travel, problems: answer })
  }) as never)
  const bench = fakeHandle()
  const drafts = effectScope().run(() => useTravelDrafts(() => rig.value, bench.handle))
  if (!drafts) throw new Error('no scope')
  const row = (channel: number) => drafts.view.value.rows.find((one) => one.channel === channel) as TravelRowView
  const rest = async () => {
    await vi.advanceTimersByTimeAsync(60)
    await flushPromises()
  }
  return { drafts, row, asked, rest, ...bench }
}
const stored = () => JSON.parse(localStorage.getItem(draftsPlace('rig')) ?? '{}') as Record<string, unknown>

describe('readings while they are typed', () => {
  it('are judged with what was read before, and told when the hand leaves a sound row', async () => {
    const { drafts, row, asked, rest, meant, answer } = typing()
    drafts.enter(row(1))
    drafts.type(row(1), 'hi', 1990)
    await rest()
    const before = row(1).reading
    expect(asked).toEqual([{ 1: { lo: before?.lo, mid: before?.mid, hi: 1990 } }])
    expect(meant).toEqual([])
    expect(stored()).toEqual({ 1: { hi: 1990 } })
    drafts.leave(row(1))
    await rest()
    expect(meant).toEqual([['keep-reading', { channel: 1, lo: before?.lo, mid: before?.mid, hi: 1990 }]])
    answer(true)
    await rest()
    expect(stored()).toEqual({})
  })

  it('that are not sound are not told, and stay', async () => {
    const { drafts, row, rest, meant } = typing(() => ({ 1: { message: 'The middle is below the low end.', path: 'drafts.1.mid' } }))
    drafts.enter(row(1))
    drafts.type(row(1), 'mid', 900)
    drafts.leave(row(1))
    await rest()
    expect(meant).toEqual([])
    expect(drafts.problems.value[1]?.message).toBe('The middle is below the low end.')
    expect(stored()).toEqual({ 1: { mid: 900 } })
  })

  it('that the bench did not take stay for another time', async () => {
    const { drafts, row, rest, answer } = typing()
    drafts.type(row(1), 'lo', 1001)
    drafts.leave(row(1))
    await rest()
    answer(false)
    await rest()
    expect(stored()).toEqual({ 1: { lo: 1001 } })
    expect(drafts.valueOf(row(1), 'lo')).toBe(1001)
  })

  it('go to the bench once, however often somebody asks for them to be kept', async () => {
    const { drafts, row, rest, meant, answer } = typing()
    drafts.type(row(1), 'lo', 1001)
    drafts.leave(row(1))
    await rest()
    const settled = drafts.settle()
    await rest()
    drafts.leave(row(1))
    await rest()
    expect(meant).toHaveLength(1)
    answer(true)
    await rest()
    await settled
    expect(meant).toHaveLength(1)
    expect(stored()).toEqual({})
  })

  it('that were typed on while the answer was on its way are kept in their turn', async () => {
    const { drafts, row, rest, meant, answer } = typing()
    drafts.type(row(1), 'lo', 1001)
    drafts.leave(row(1))
    await rest()
    drafts.type(row(1), 'lo', 1002)
    answer(true)
    await rest()
    expect(stored()).toEqual({ 1: { lo: 1002 } })
    drafts.leave(row(1))
    await rest()
    expect((meant[meant.length - 1]?.[1] as { lo: number }).lo).toBe(1002)
  })

  it('count by the newest answer only, however late an older one comes', async () => {
    const late: ((value: unknown) => void)[] = []
    const { drafts, row, rest } = typing(() => new Promise((resolve) => late.push(resolve)))
    drafts.enter(row(1))
    drafts.type(row(1), 'hi', 1980)
    await rest()
    drafts.type(row(1), 'hi', 1990)
    await rest()
    const of = (text: string) => ({ travel: rigOf('rig-dunlin').review.travel, problems: { 1: { message: text, path: '' } } })
    late[1]?.(of('newest'))
    await rest()
    late[0]?.(of('older'))
    await rest()
    expect(drafts.problems.value[1]?.message).toBe('newest')
  })

  it('say when the bench does not answer, and are still there', async () => {
    const { drafts, row, rest } = typing(() => Promise.reject(new http.ApiError(0, 'unreachable', 'The bench does not answer.', '')))
    drafts.type(row(1), 'hi', 1980)
    await rest()
    expect(drafts.failed.value).toContain('The bench does not answer.')
    expect(stored()).toEqual({ 1: { hi: 1980 } })
  })

  it('survive a reload, and are kept then', async () => {
    localStorage.setItem(draftsPlace('rig'), JSON.stringify({ 1: { hi: 1977 } }))
    const { drafts, row, rest, meant } = typing()
    expect(drafts.valueOf(row(1), 'hi')).toBe(1977)
    await rest()
    expect(meant).toHaveLength(1)
  })

  it('that were pasted go to the rows below, as far as there are any', async () => {
    const { drafts, row, rest, meant } = typing()
    drafts.put(row(1), [
      { row: 0, side: 'lo', value: 1001 },
      { row: 1, side: 'hi', value: 1999 },
      { row: 99, side: 'hi', value: 1 },
    ] as never)
    await rest()
    const rows = drafts.view.value.rows
    expect(Object.keys(stored())).toEqual([String(rows[0]?.channel), String(rows[1]?.channel)])
    expect(meant[0]?.[0]).toBe('keep-reading')
  })

  it('that are the same as before are no draft; an emptied cell is one that is not told', async () => {
    const { drafts, row, rest, meant, asked } = typing()
    drafts.type(row(1), 'hi', row(1).reading?.hi ?? 0)
    await rest()
    expect(asked).toEqual([])
    drafts.type(row(1), 'hi', null)
    drafts.leave(row(1))
    await rest()
    expect(drafts.valueOf(row(1), 'hi')).toBeNull()
    expect(meant).toEqual([])
  })
})
