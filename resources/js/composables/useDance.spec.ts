import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import type { DanceSetUp, DanceShown } from '@/api/rigs'
import type { Listener, Row } from './live/source'
import { useDance } from './useDance'

const moves = ['rest', 'stick', 'stick', 'stick'].map((move, k) => ({ move, says: `move ${k}` })) as unknown as DanceSetUp['moves']

/** What the bench was asked, and an answer in which only the moves that were asked about are seen; late by so much, with what a stick said. */
function bench(late_ms = 0, sign: DanceShown['sign'] = null) {
  const asked: { log: Row[]; prompts: { move: number; t_ms: number }[] }[] = []
  vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
    const told = JSON.parse(String(init.body)) as (typeof asked)[number]
    asked.push(told)
    const about = new Set(told.prompts.map((one) => one.move))
    const until = told.log[told.log.length - 1]?.t_ms ?? 0
    const answer = {
      order: null,
      redo: [1, 2, 3].filter((move) => !about.has(move)),
      moves: moves.map((_, k) => ({ state: about.has(k) ? 'found' : 'not_seen', channel: k, from_ms: 0, to_ms: about.has(k) ? until - 600 : null })),
      channels: [{ channel: 1 }],
      findings: [],
      lines: [],
      sign: asked.length === 1 ? sign : null,
    } as unknown as DanceShown
    const response = new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } })
    return late_ms === 0 ? Promise.resolve(response) : new Promise((resolve) => setTimeout(() => resolve(response), late_ms))
  })
  return asked
}

describe('a dance as it goes on', () => {
  beforeEach(() => vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'setTimeout', 'performance'] }))
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  async function danced(
    seconds: number,
    late_ms = 0,
    sign: DanceShown['sign'] = null,
    meanwhile?: (dance: ReturnType<typeof useDance>, ms: number) => void,
  ) {
    const asked = bench(late_ms, sign)
    const heard: Listener[] = []
    const made: ReturnType<typeof useDance>[] = []
    mount(
      defineComponent(() => {
        made.push(
          useDance(
            () => 'rig',
            () => moves,
            () => false,
          ),
        )
        return () => null
      }),
    )
    const [dance] = made
    if (dance === undefined) throw new Error('not mounted')
    await dance.start({ start: (to) => Promise.resolve(void heard.push(to)), stop: () => undefined }, null, '')
    const first: unknown[] = []
    for (let ms = 0; ms < seconds * 1000; ms += 40) {
      heard[0]?.take({ t_ms: ms, us: [1500] })
      await vi.advanceTimersByTimeAsync(40)
      meanwhile?.(dance, ms)
      first.push(dance.shown.value?.moves[1]?.state)
    }
    return { dance, asked, first }
  }

  it('asks about the newest moves only while it goes on, and keeps what was seen of those before', async () => {
    const { asked, first } = await danced(7)
    const part = asked.find((one) => one.prompts[one.prompts.length - 1]?.move === 3)
    expect(part?.prompts.map((one) => one.move)).toEqual([2, 3])
    expect(part?.log[0]?.t_ms).toBeGreaterThan(0)
    expect(part?.log[0]?.t_ms).toBeGreaterThanOrEqual((part?.prompts[0]?.t_ms ?? 0) - 1500)
    const since = first.slice(first.indexOf('found'))
    expect(since.length).toBeGreaterThan(50)
    expect(new Set(since)).toEqual(new Set(['found']))
  })

  it('asks about all of it once it is over, and only that answer stands', async () => {
    const { dance, asked } = await danced(2.6)
    await dance.finish()
    const whole = asked[asked.length - 1]
    expect(whole?.log[0]?.t_ms).toBe(0)
    expect(whole?.prompts.map((one) => one.move)).toEqual(dance.prompts.value.map((one) => one.move))
    expect(dance.state.value).toBe('done')
    expect(dance.shown.value?.redo).toEqual([1, 2, 3].filter((move) => !whole?.prompts.some((one) => one.move === move)))
  })

  it('shows nothing of what was said of a part where no answer to all of it comes', async () => {
    const { dance } = await danced(2.6)
    expect(dance.shown.value).not.toBeNull()
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('stopped')))
    await dance.finish()
    expect(dance.shown.value).toBeNull()
    expect(dance.problem.value).not.toBe('')
  })

  const SKIP = { says: 'skip', from_ms: 100, to_ms: 300, is_over: true } as const

  it('does what a stick said once, however late the bench answers', async () => {
    const { dance } = await danced(2, 1100, SKIP)
    expect(dance.prompts.value.map((one) => one.move)).toEqual([0, 1])
  })

  it('does not go on by what was said of a move that was left meanwhile', async () => {
    const { dance } = await danced(1.9, 1100, SKIP, (dance, ms) => {
      if (ms === 800) dance.next()
    })
    expect(dance.prompts.value.map((one) => one.move)).toEqual([0, 1])
  })
})
