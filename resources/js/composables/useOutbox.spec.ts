import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { RigData } from '@/api/rigs'

const rig = (slug: string, revision: number) => ({ slug, revision, document: { name: slug } }) as unknown as RigData
const memory = (value: number) => ({ intent: 'set-memory', told: { memory: value } }) as never

/** A bench that takes what is told on the revision it has, once each, or answers as the test says. */
function bench() {
  const state = { revision: 1, taken: [] as string[], answer: null as number | null, told: [] as unknown[] }
  vi.stubGlobal('fetch', (_: string, init?: RequestInit) => {
    if (init?.body === undefined || init.body === null) return Promise.resolve(new Response(JSON.stringify(rig('dunlin', state.revision))))
    const { revision, once, told } = JSON.parse(String(init.body)) as { revision: number; once: string; told: unknown }
    if (state.answer === 0) return Promise.reject(new TypeError('stopped'))
    const error = state.answer ?? (state.taken.includes(once) || revision === state.revision ? null : 409)
    if (error !== null) return Promise.resolve(new Response(JSON.stringify({ error: { message: 'No.' } }), { status: error }))
    if (!state.taken.includes(once)) {
      state.taken.push(once)
      state.told.push(told)
      state.revision += 1
    }
    return Promise.resolve(new Response(JSON.stringify(rig('dunlin', state.revision))))
  })
  return state
}

/** As a page that has just been opened has it: what waits is there from the one before. */
async function outbox() {
  vi.resetModules()
  return (await import('./useOutbox')).useOutbox()
}

describe('what is meant and not answered', () => {
  beforeEach(() => localStorage.clear())

  it('is told by the next page, in the sequence in which it was meant, and once though it was done already', async () => {
    const state = bench()
    const first = await outbox()
    const { queries } = await import('@/api/queries')
    const { rigQuery } = await import('@/api/rigs')
    queries.setQueryData(rigQuery('dunlin').queryKey, rig('dunlin', 1))
    const meant = [1, 2, 3].map((value) => first.begin(memory(value), 'dunlin'))
    // The second was answered; the first is done, and nobody heard of it.
    if (meant[1]) first.end(meant[1])
    state.taken.push(meant[0]?.once ?? '')
    state.revision = 2
    window.dispatchEvent(new Event('pagehide'))
    // Nothing overtakes: a page that is left sends nothing more.
    expect(first.isBehind('dunlin')).toBe(true)
    await first.sendAll()
    expect(state.told).toEqual([])
    await flushPromises()

    const second = await outbox()
    expect(second.waiting.value.map((one) => one.told)).toEqual([{ memory: 1 }, { memory: 3 }])
    await second.sendAll()
    expect(state.told).toEqual([{ memory: 3 }])
    expect(second.waiting.value).toEqual([])
    expect(second.conflicts.value).toEqual([])
  })

  it.each([0, 401, 419, 503])('waits where the answer is %s, which says nothing of it', async (status) => {
    const state = bench()
    const { begin, put, sendAll, waiting } = await outbox()
    state.answer = status
    put(begin(memory(4), 'dunlin'), rig('dunlin', 1))
    await sendAll()
    expect(waiting.value).toHaveLength(1)
    state.answer = null
    await sendAll()
    expect([waiting.value, state.told]).toEqual([[], [{ memory: 4 }]])
  })

  it('waits for somebody where the rig was changed elsewhere; what cannot be meant does not wait', async () => {
    const state = bench()
    const { begin, put, sendAll, sendAllTheSame, waiting, conflicts, isBehind, isTaken } = await outbox()
    state.revision = 7
    put(begin(memory(4), 'dunlin'), rig('dunlin', 1))
    await sendAll()
    expect([waiting.value.length, conflicts.value, isBehind('dunlin'), state.told]).toEqual([1, ['dunlin'], false, []])
    await sendAllTheSame('dunlin')
    expect([waiting.value, conflicts.value, state.told]).toEqual([[], [], [{ memory: 4 }]])
    state.answer = 422
    const { useNotice } = await import('./useNotice')
    const never = begin(memory(5), 'dunlin')
    put(never, rig('dunlin', 8))
    await sendAll()
    expect([waiting.value, state.told, isTaken(never)]).toEqual([[], [{ memory: 4 }], false])
    expect(useNotice().state.current?.text).toContain('is not taken')
  })

  it('is sent with what is put in meanwhile', async () => {
    const state = bench()
    const { begin, put, sendAll, isTaken } = await outbox()
    put(begin(memory(1), 'dunlin'), rig('dunlin', 1))
    const running = sendAll()
    const late = begin(memory(2), 'dunlin')
    put(late, rig('dunlin', 1))
    await Promise.all([running, sendAll()])
    expect(isTaken(late)).toBe(true)
    expect(state.told).toEqual([{ memory: 1 }, { memory: 2 }])
  })

  it('stays as it was answered, though an older answer comes later', async () => {
    bench()
    const { begin, put, sendAll } = await outbox()
    const { queries } = await import('@/api/queries')
    const { rigQuery } = await import('@/api/rigs')
    const { queryKey } = rigQuery('dunlin')
    let answer = () => undefined as unknown
    const asked = queries.fetchQuery({ queryKey, queryFn: () => new Promise<RigData>((resolve) => (answer = () => resolve(rig('dunlin', 1)))) })
    put(begin(memory(4), 'dunlin'), rig('dunlin', 1))
    await sendAll()
    answer()
    await asked.catch(() => undefined)
    await flushPromises()
    expect(queries.getQueryData<RigData>(queryKey)?.revision).toBe(2)
  })
})
