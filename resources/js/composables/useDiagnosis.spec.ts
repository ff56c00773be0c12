import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import * as http from '@/api/http'
import { part } from '@/testing/bench'
import { useDiagnosis } from './useDiagnosis'

const TESTS = [
  { id: 'light', asks: 'Is it on?', how: 'Look.', minutes: 1, risk: null, needs: null, outcomes: [{ key: 'on', title: 'it is' }] },
  { id: 'ends', asks: 'How far?', how: 'Read.', minutes: 2, risk: null, needs: null, outcomes: [{ key: 'full', title: 'all the way' }] },
]
const SYMPTOMS = {
  name: 'Wren',
  parts: { module: true, relay: false, controller: true },
  symptoms: [{ test: 'ends', outcome: 'full', from: 'Read.' }],
}

beforeEach(() => {
  sessionStorage.clear()
  vi.restoreAllMocks()
})

/** A search against a bench that knows two tests. */
async function searching(slug: string | null) {
  const asked: Record<string, unknown>[] = []
  vi.spyOn(http, 'getJson').mockImplementation(((address: string) =>
    Promise.resolve(
      address === '/faults' ? { tests: TESTS, causes: [{ id: 'dark', says: 'It is dark.', fix: 'Light it.', prove: 'light' }] } : SYMPTOMS,
    )) as never)
  vi.spyOn(http, 'postJson').mockImplementation(((_: string, question: Record<string, unknown>) => {
    asked.push(question)
    return Promise.resolve({ causes: [{ cause: 'dark', p: 1, because: [] }], next_test: null, done: true, sure: true })
  }) as never)
  let search: ReturnType<typeof useDiagnosis> | undefined
  part(
    defineComponent({
      setup() {
        search = useDiagnosis(slug)
        return () => h('p')
      },
    }),
    {},
  )
  await flushPromises()
  if (!search) throw new Error('no search')
  const last = async () => {
    await flushPromises()
    return asked.at(-1)
  }
  return { search, last }
}

describe('a search for a fault', () => {
  it('of a rig begins with what it knows of itself and which parts it has', async () => {
    const { search, last } = await searching('wren')
    expect(await last()).toEqual({
      evidence: [{ test: 'ends', outcome: 'full' }],
      parts: { module: true, relay: false, controller: true },
      allow_risk: false,
      fixed: [],
    })
    search.take('ends')
    expect((await last())?.evidence).toEqual([])
  })

  it('counts what somebody saw before what the rig says', async () => {
    const { search, last } = await searching('wren')
    search.tell('ends', 'short')
    search.tell('light', 'on')
    search.tell('light', 'off')
    expect((await last())?.evidence).toEqual([
      { test: 'ends', outcome: 'short' },
      { test: 'light', outcome: 'off' },
    ])
  })

  it('goes on after a mend with what is seen from then on, and begins anew when asked', async () => {
    const { search, last } = await searching('wren')
    search.tell('light', 'on')
    search.mended('dark')
    expect(await last()).toMatchObject({ evidence: [], fixed: ['dark'] })
    search.startAgain()
    await last()
    expect([search.byItself.value.length, search.course.value.fixed, search.course.value.seen]).toEqual([1, [], []])
  })

  it('without a rig goes by the parts that are told, and is there again after a reload', async () => {
    const { search, last } = await searching(null)
    search.course.value.parts.relay = true
    search.course.value.allowRisk = true
    search.tell('light', 'on')
    expect(await last()).toEqual({
      evidence: [{ test: 'light', outcome: 'on' }],
      parts: { module: true, relay: true, controller: true },
      allow_risk: true,
      fixed: [],
    })
    const again = await searching(null)
    expect((await again.last())?.evidence).toEqual([{ test: 'light', outcome: 'on' }])
  })
})
