import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { Select } from 'ant-design-vue/es'
import { readFileSync } from 'node:fs'
import { vi } from 'vitest'
import { type Component, nextTick, ref } from 'vue'
import type { RigData, RigReview } from '@/api/rigs'
import PickBase from '@/components/form/PickBase.vue'
import type { RigHandle } from '@/composables/useRig'

/** What the bench answers of a demo rig: the same files that the core's answers are held against. */
export const reviewOf = (name: string) => JSON.parse(readFileSync(`tests/fixtures/answers/${name}.json`, 'utf8')) as RigReview

/** A rig as a screen gets it, of such a review. */
export function rigOf(name: string, settings: Record<string, unknown> = {}): RigData {
  return {
    slug: 'rig',
    revision: 1,
    document: { linguator: 1, name: 'Rig', craft: { kind: 'multirotor' }, chain: [], settings },
    review: reviewOf(name),
    history: [],
    history_total: 0,
    undo: null,
    newer_cards: [],
    shares_memory_with: [],
    attachments: [],
  } as unknown as RigData
}

/** Stands in for the bench: remembers what was meant, and answers when and as the test says. */
export function fakeHandle() {
  const meant: [string, unknown][] = []
  const waiting: ((isTaken: boolean) => void)[] = []
  const intend = (intent: string, told: unknown) => {
    meant.push([intent, told])
    return new Promise<boolean>((resolve) => waiting.push(resolve))
  }
  const handle = {
    intend,
    prove: intend,
    isSending: ref(false),
    keptAt: ref(null),
    patch: () => Promise.resolve(true),
    undo: () => Promise.resolve(true),
    rig: ref(null),
    query: {},
  } as unknown as RigHandle
  return { handle, meant, answer: (isTaken: boolean) => waiting.shift()?.(isTaken) }
}

/** A part of a screen on its own, with what the bench has told before. */
export function part(component: Component, props: Record<string, unknown>, told: [readonly unknown[], unknown][] = []) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } })
  for (const [key, data] of told) client.setQueryData(key, data)
  return mount(component, {
    props,
    global: { plugins: [[VueQueryPlugin, { queryClient: client }]], stubs: { RouterLink: RouterLinkStub } },
    attachTo: document.body,
  } as never)
}

export const CHOICES: [readonly string[], unknown] = [
  ['choices'],
  {
    packs: {
      handset: [
        { chemistry: 'lipo', cells: 3, label: '3 LiPo' },
        { chemistry: 'life', cells: 2, label: '2 LiFe' },
      ],
      craft: [{ chemistry: 'nimh', cells: 4, label: '4 NiMH' }],
    },
    chemistries: [],
    wire_formats: [],
    serial_formats: [],
    lines: [],
    orders: [],
    landmarks: { lo: 1000, mid: 1500, hi: 2000 },
  },
]

/** The lists to pick from on a screen, in sequence: what is picked of each, and what each offers. */
export const lists = (page: VueWrapper) =>
  page.findAllComponents(PickBase).map((list) => ({
    picked: list.props('value'),
    offers: list.props('options').map((one) => one.label),
    list,
  }))

/** Picks one of a list, as a hand does that opens it: what it does not offer cannot be picked. */
export async function pick(page: VueWrapper, value: string | number, k = 0): Promise<void> {
  // On the bench they come a moment later than the rigs.
  await vi.dynamicImportSettled()
  await flushPromises()
  const list = page.findAllComponents(PickBase)[k]
  const one = list?.props('options').find((offered) => offered.value === value && offered.isOff !== true)
  if (list === undefined || one === undefined) throw new Error(`not offered: ${value}`)
  list.findComponent(Select).vm.$emit('change', value)
  await nextTick()
}
