import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import * as http from '@/api/http'
import { part } from '@/testing/bench'
import { useDryBench } from './useDryBench'

interface Asked {
  question: { sticks: Record<string, number>; faults: { cause: string }[]; link: { lost: number[] } }
  answer: (shown: unknown) => void
  refuse: (error: Error) => void
}

/** Rigs that still stand on the bench would hear of each other's hands. */
const standing: { unmount: () => void }[] = []

beforeEach(() => {
  for (const page of standing.splice(0)) page.unmount()
  sessionStorage.clear()
  vi.restoreAllMocks()
})

/** A rig on a bench whose answers come when the test says. */
async function onBench(refusal: string | null = null) {
  const asked: Asked[] = []
  vi.spyOn(http, 'getJson').mockResolvedValue({ name: 'Wren', refusal } as never)
  vi.spyOn(http, 'postJson').mockImplementation(((_: string, question: Asked['question']) => {
    const copy = JSON.parse(JSON.stringify(question)) as Asked['question']
    return new Promise((answer, refuse) => asked.push({ question: copy, answer, refuse }))
  }) as never)
  let bench: ReturnType<typeof useDryBench> | undefined
  const page = part(
    defineComponent({
      setup() {
        bench = useDryBench('wren')
        return () => h('p')
      },
    }),
    {},
  )
  standing.push(page)
  await flushPromises()
  if (!bench) throw new Error('no bench')
  return { bench, asked }
}

const named = (name: string) => ({ couplings: [], craft: [], lights: [], planned: null, waves: [], names: [name] })

describe('a rig on the dry bench', () => {
  it('asks for every move, two at once at most, and the last move goes next', async () => {
    const { bench, asked } = await onBench()
    expect(asked).toHaveLength(1)
    bench.moveStick('A', 10)
    await flushPromises()
    bench.moveStick('A', 20)
    await flushPromises()
    bench.moveStick('A', 30)
    await flushPromises()
    expect(asked.map((one) => one.question.sticks.A)).toEqual([0, 10])
    asked[0]?.answer(named('first'))
    await flushPromises()
    expect(asked.map((one) => one.question.sticks.A)).toEqual([0, 10, 30])
  })

  it('draws no answer over a later one', async () => {
    const { bench, asked } = await onBench()
    bench.moveStick('T', 50)
    await flushPromises()
    asked[1]?.answer(named('later'))
    await flushPromises()
    asked[0]?.answer(named('earlier'))
    await flushPromises()
    expect(bench.shown.value?.names).toEqual(['later'])
    expect(bench.drawn.value).toBe(1)
  })

  it('keeps sticks within their ends, puts in and takes out, and lies at rest again when asked', async () => {
    const { bench, asked } = await onBench()
    asked[0]?.answer(named('x'))
    bench.moveStick('R', 140)
    bench.putIn('trim_bumped')
    bench.lose(1)
    bench.hang(2)
    bench.lose(1)
    await flushPromises()
    expect(asked.at(-1)?.question).toMatchObject({
      sticks: { A: 0, E: 0, T: -100, R: 100 },
      faults: [{ cause: 'trim_bumped' }],
      link: { lost: [] },
      waves: [2],
    })
    bench.startAgain()
    expect([bench.hands.value.sticks.R, bench.hands.value.faults, bench.hands.value.probes]).toEqual([0, [], [2]])
  })

  it('says what went wrong, and goes on with the next move', async () => {
    const { bench, asked } = await onBench()
    asked[0]?.refuse(new Error('The bench does not answer.'))
    await flushPromises()
    expect(bench.problem.value).toBe('The bench does not answer.')
    bench.moveStick('E', 5)
    await flushPromises()
    asked[1]?.answer(named('again'))
    await flushPromises()
    expect([bench.problem.value, bench.shown.value?.names]).toEqual([null, ['again']])
  })

  it('asks nothing of a rig that cannot be run', async () => {
    const { asked, bench } = await onBench('Nothing is recorded.')
    bench.moveStick('A', 10)
    await flushPromises()
    expect(asked).toHaveLength(0)
  })
})
