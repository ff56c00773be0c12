import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import * as http from '@/api/http'
import { CHOICES, fakeHandle, lists, part, pick, reviewOf, rigOf } from '@/testing/bench'
import BenchPage from './bench/BenchPage.vue'
import LogbookPage from './logbook/LogbookPage.vue'
import ComparePanel from './rig/ComparePanel.vue'
import DuplicateForm from './rig/DuplicateForm.vue'
import MovementCheck from './rig/MovementCheck.vue'
import PathAsk from './rig/PathAsk.vue'
import NamesPanel from './shelf/NamesPanel.vue'
import ToolPage from './tools/ToolPage.vue'

const route = reactive<{ query: Record<string, string>; params: Record<string, string>; hash: string }>({ query: {}, params: {}, hash: '' })
const went: unknown[] = []
vi.mock('vue-router', async (actual) => ({
  ...(await actual<typeof import('vue-router')>()),
  useRoute: () => route,
  useRouter: () => ({ push: (to: unknown) => went.push(to), replace: (to: unknown) => went.push(to) }),
  onBeforeRouteLeave: () => undefined,
  onBeforeRouteUpdate: () => undefined,
}))

const sent: [string, string, unknown][] = []
let answers: (method: string, address: string, body: unknown) => unknown = () => ({})

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
  vi.restoreAllMocks()
  sent.length = went.length = 0
  route.query = {}
  route.params = {}
  answers = () => ({})
  const stub = (method: string) => (address: string, body?: unknown) => {
    sent.push([method, address, body])
    const answer = address === '/demo' ? { rigs: [], cards: 0, captures: 0 } : answers(method, address, body)
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
  }
  vi.spyOn(http, 'postJson').mockImplementation(stub('POST') as never)
  vi.spyOn(http, 'putJson').mockImplementation(stub('PUT') as never)
  vi.spyOn(http, 'getJson').mockImplementation(stub('GET') as never)
})
const button = (page: ReturnType<typeof part>, text: string) => page.findAll('button').find((one) => one.text() === text)
const rest = async (ms = 300) => {
  await new Promise((resolve) => setTimeout(resolve, ms))
  await flushPromises()
}

describe('the bench', () => {
  const summary = (name: string, severity: string) => {
    const review = reviewOf('rig-dunlin')
    return {
      slug: name,
      name,
      craft: { kind: 'plane' },
      changed_at: '2026-11-20T18:00:00Z',
      boxes: review.boxes,
      couplings: review.couplings,
      next: { ...review.next, severity },
    }
  }

  it('says of every rig what it needs, in words, and where that is done', () => {
    const page = part(BenchPage, {}, [[['rigs'], { rigs: [summary('Dunlin', 'attention'), summary('Avocet', 'done')] }]])
    const rows = page.findAll('.rigs > li')
    expect(rows.map((row) => row.find('.sr-only').text())).toEqual(['needs you', 'done'])
    expect(rows[0]?.text()).toContain(reviewOf('rig-dunlin').next.sentence)
    expect(rows[0]?.find('.go').attributes('aria-label')).toBe(`${reviewOf('rig-dunlin').next.action}: Dunlin`)
    expect(rows[0]?.text()).toContain('changed 20 Nov 2026')
  })

  it('starts a rig by its name, and asks for one where there is none', async () => {
    answers = (method) => (method === 'POST' ? { slug: 'teal', document: { name: 'Teal' } } : { rigs: [] })
    const page = part(BenchPage, {}, [[['rigs'], { rigs: [] }]])
    expect(page.text()).toContain('Nothing on the bench yet')
    await button(page, 'New rig')?.trigger('click')
    await page.find('form.new').trigger('submit')
    expect(page.find('#new-problem').text()).toBe('Give the rig the name of its craft.')
    await page.find('form.new input').setValue('  Teal ')
    await pick(page, 'boat')
    await page.find('form.new').trigger('submit')
    await flushPromises()
    expect(sent.find(([method]) => method === 'POST')).toEqual(['POST', '/rigs', { name: 'Teal', craft_kind: 'boat' }])
    expect(went).toEqual(['/rigs/teal/path'])
  })

  it('keeps the name where the bench does not take it', async () => {
    answers = (method) => (method === 'POST' ? new http.ApiError(422, 'too_long', 'The name is too long.', 'name') : { rigs: [] })
    const page = part(BenchPage, {}, [[['rigs'], { rigs: [] }]])
    await button(page, 'New rig')?.trigger('click')
    await page.find('form.new input').setValue('Teal')
    await page.find('form.new').trigger('submit')
    await flushPromises()
    expect(page.find('#new-problem').text()).toContain('The name is too long.')
    expect((page.find('form.new input').element as HTMLInputElement).value).toBe('Teal')
    expect(went).toEqual([])
  })
})

describe('the logbook', () => {
  const log = {
    entries: [
      { rig: { slug: 'dunlin', name: 'Dunlin' }, position: 3, at: '2026-11-20T18:20:00Z', kind: 'note', text: 'Will not arm.' },
      { rig: { slug: 'dunlin', name: 'Dunlin' }, position: 2, at: '2026-11-19T08:05:00Z', kind: 'change', text: 'Order' },
    ],
    attachments: [],
    more: false,
    kinds: ['note', 'change'],
  }

  it('stands by days, and filters by the address', async () => {
    answers = (_, address) => (address.startsWith('/logbook') ? log : { rigs: [{ slug: 'dunlin', name: 'Dunlin' }] })
    route.query = { rig: 'dunlin', q: 'arm' }
    const page = part(LogbookPage, {})
    await flushPromises()
    expect(sent.map(([, address]) => address)).toContain('/logbook?rig=dunlin&q=arm&page=1')
    expect(page.findAll('h2').map((one) => one.text())).toEqual(['Friday 20 November 2026', 'Thursday 19 November 2026'])
    expect(page.find('.exports a').attributes('href')).toBe('/api/v1/logbook.csv?rig=dunlin&q=arm')
  })

  it('waits while words are typed, and loses none of them to another choice', async () => {
    answers = (_, address) => (address.startsWith('/logbook') ? log : { rigs: [{ slug: 'dunlin', name: 'Dunlin' }] })
    const page = part(LogbookPage, {})
    await flushPromises()
    const words = page.find('input[type="search"]:not([role="combobox"])')
    ;(words.element as HTMLInputElement).value = 'arm'
    await words.trigger('input')
    expect(went).toEqual([])
    await pick(page, 'note', 1)
    expect(went).toEqual([{ query: { q: 'arm', kind: 'note' } }])
    await rest()
    expect(went).toHaveLength(1)
  })
})

describe('names', () => {
  const entry = { kind: 'format', target: 's100i', name: '16 × 11-bit', line: ['100000 8E2'], aliases: ['first'] }

  it('are told with those that were there before, so that nobody overwrites another', async () => {
    answers = () => ({ entries: [{ ...entry, aliases: ['first', 'second'] }] })
    const page = part(NamesPanel, { focus: 'format/s100i' }, [[['aliases'], { entries: [{ ...entry, target: 's115u', name: 'words' }, entry] }]])
    // What was asked for stands first.
    expect(page.find('tbody tr').text()).toContain('s100i')
    expect(page.find('tbody tr').text()).toContain('wire format: 100000 8E2')
    const field = page.find('[aria-label="Names for 16 × 11-bit, s100i"]')
    await field.setValue(' first, , second ')
    await flushPromises()
    expect(sent[0]).toEqual(['PUT', '/aliases', { kind: 'format', target: 's100i', aliases: ['first', 'second'], were: ['first'] }])
  })

  it('say why where they are not taken', async () => {
    answers = () => new http.ApiError(409, 'conflict', 'Somebody else has changed these names.', '')
    const page = part(NamesPanel, { focus: '' }, [[['aliases'], { entries: [entry] }]])
    await page.find('input').setValue('x')
    await flushPromises()
    expect(page.find('[role="alert"]').text()).toContain('Somebody else has changed these names.')
  })
})

describe('an order that is proven', () => {
  const result = { rows: [], passes: true, sentence: 'Each stick moves what it should.', explanation: null, movement: null }
  const check = () => {
    const bench = fakeHandle()
    return { page: part(MovementCheck, { rig: rigOf('rig-dunlin'), handle: bench.handle }), ...bench }
  }

  it('by sight is asked once all four sticks are told', async () => {
    answers = () => result
    const { page } = check()
    const sticks = page.findAll('.sticks label').map((one) => one.find('b').text())
    const set = (stick: string, what: string) => pick(page, what, sticks.indexOf(stick))
    for (const stick of ['A', 'E', 'T']) await set(stick, stick)
    await rest()
    expect(sent).toEqual([])
    await set('R', 'none')
    await rest()
    expect(sent).toEqual([['POST', '/rigs/rig/order-check', { moved: { A: 'A', E: 'E', T: 'T', R: null } }]])
  })

  it('by a log is asked with the sequence in letters, and kept as it was asked', async () => {
    answers = () => result
    const { page, meant, answer } = check()
    await page.find('input[value="log"]').setValue(true)
    await page.find('textarea').setValue('0,1500,1500\n20,1500,1900')
    await page.find('input[maxlength="7"]').setValue('t e')
    await rest()
    const question = { log: '0,1500,1500\n20,1500,1900', sequence: ['T', 'E'] }
    expect(sent).toEqual([['POST', '/rigs/rig/order-check', question]])
    await page.find('[aria-label="Order check: seen by"]').setValue('Wren')
    const keep = page.findAll('button').find((one) => /keep|write/i.test(one.text()))
    await keep?.trigger('click')
    expect(meant).toEqual([['keep-order-check', { ...question, by: 'Wren' }]])
    answer(true)
    await flushPromises()
    expect(page.find('textarea').element.value).toBe('')
  })

  it('offers nothing to be kept while a newer question waits, and keeps who looked with every letter', async () => {
    answers = () => result
    const { page } = check()
    await page.find('input[value="log"]').setValue(true)
    await page.find('textarea').setValue('0,1500,1500\n20,1500,1900')
    await rest()
    const by = page.get<HTMLInputElement>('[aria-label="Order check: seen by"]')
    by.element.value = 'Wre'
    by.element.dispatchEvent(new Event('input'))
    // Before anything is drawn again.
    expect(localStorage.getItem('linguator.by')).toBe('Wre')
    await page.find('textarea').setValue('0,1500,1500\n20,1500,1900\n40,1500,1100')
    expect(page.find('[aria-label="Order check: seen by"]').exists()).toBe(false)
    await rest()
    expect(page.get<HTMLInputElement>('[aria-label="Order check: seen by"]').element.value).toBe('Wre')
  })

  it('says what is wrong with a log', async () => {
    answers = () => new http.ApiError(422, 'not_a_number', 'Line 3, value 2: found "oops"; expected a number.', 'log')
    const { page } = check()
    await page.find('input[value="log"]').setValue(true)
    await page.find('textarea').setValue('x')
    await rest()
    expect(page.text()).toContain('Line 3, value 2')
  })
})

describe('two moments of a rig', () => {
  it('are compared place by place, and any can be brought back', async () => {
    const difference = { place: 'settings.memory', name: 'Model memory', then_says: '4', now_says: '6', set: { 'settings.memory': 4 }, clear: [] }
    answers = () => ({ differences: [difference] })
    const patched: unknown[] = []
    const handle = { ...fakeHandle().handle, patch: (patch: unknown) => (patched.push(patch), Promise.resolve(true)) }
    const rig = {
      ...rigOf('rig-dunlin'),
      history: [{ position: 1, standing: true, run: null, entry: { at: '2026-11-20T18:01:00Z', kind: 'change', text: 'Ends' } }],
    }
    const page = part(ComparePanel, { rig, handle, then: 1 })
    await flushPromises()
    expect(sent[0]?.[1]).toBe('/rigs/rig/compare?then=1')
    expect(page.find('tbody tr').text()).toContain('Model memory46')
    await page.find('[aria-label="Bring back: Model memory"]').trigger('click')
    expect(patched).toEqual([expect.objectContaining({ set: { 'settings.memory': 4 }, clear: [] })])
    answers = () => ({ differences: [] })
    await pick(page, '1')
    await flushPromises()
    expect(sent[1]?.[1]).toBe('/rigs/rig/compare?then=1&now=1')
    expect(page.text()).toContain('Nothing is set differently.')
  })
})

describe('a second rig', () => {
  it('is made from the first, by another name and with another receiver', async () => {
    answers = (method) => (method === 'POST' ? { slug: 'dunlin-2', document: { name: 'Dunlin 2' } } : { cards: [] })
    const page = part(DuplicateForm, { rig: rigOf('rig-dunlin') }, [
      [
        ['shelf'],
        {
          cards: [
            { id: 'weft-r6', name: 'Weft R6', kind: 'receiver' },
            { id: 'x', name: 'X', kind: 'module' },
          ],
        },
      ],
    ])
    await page.find('button').trigger('click')
    expect((page.find('input').element as HTMLInputElement).value).toBe('Rig 2')
    expect(lists(page)[0]?.offers).toEqual(['the same', 'Weft R6'])
    await pick(page, 'weft-r6')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(sent.find(([method]) => method === 'POST')).toEqual(['POST', '/rigs/rig/duplicate', { name: 'Rig 2', receiver: 'weft-r6' }])
    expect(went).toEqual(['/rigs/dunlin-2/check-out'])
  })
})

describe('asking for a path', () => {
  const shelf: [readonly unknown[], unknown] = [
    ['shelf'],
    {
      cards: [
        { id: 'ostrel-9', name: 'Ostrel 9', kind: 'handset', line: '' },
        { id: 'ruddle-f6', name: 'Ruddle F6', kind: 'controller', line: 'AETR' },
      ],
    },
  ]

  it('plans nothing before both ends are told', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(PathAsk, { rig: rigOf('rig-blank'), handle }, [shelf, CHOICES])
    await flushPromises()
    expect(page.text()).toContain('Choose a handset and a craft first.')
    expect(sent.filter(([, address]) => address.endsWith('/plan'))).toEqual([])
    await pick(page, 'ostrel-9')
    expect(meant).toEqual([['ask-handset', { handset: 'ostrel-9' }]])
  })

  it('says what comes nearest where nothing joins', async () => {
    answers = (_, address) =>
      address.endsWith('/plan')
        ? {
            paths: [],
            names: { a: 'Ostrel 9', b: 'Ruddle F6' },
            setting_names: {},
            nearest_miss: { boxes: ['a', 'b'], misses: [] },
            misses: [{ code: 'M15', message: 'They share no air protocol.', change: 'Use a module.' }],
          }
        : { cards: [] }
    const { handle } = fakeHandle()
    const rig = rigOf('rig-dunlin')
    rig.document = { ...rig.document, path: { handset: 'ostrel-9', craft: 'ruddle-f6' } } as typeof rig.document
    const page = part(PathAsk, { rig, handle }, [shelf, CHOICES])
    await rest(50)
    expect(page.text()).toContain('Ostrel 9 → Ruddle F6')
    expect(page.text()).toContain('They share no air protocol. Use a module. M15')
  })
})

describe('a quick tool', () => {
  it('asks its verb with what stands in the address, and keeps what is typed there', async () => {
    route.params = { tool: 'percent' }
    answers = () => ({ percent: 102.4, us: 2012 })
    const page = part(ToolPage, {}, [CHOICES])
    await rest(150)
    expect(sent[0]?.[1]).toBe('/percent')
    expect(page.find('h1').text()).not.toBe('')
    const field = page.findAll('form.fields input')[0]
    await field?.setValue('80')
    await rest(250)
    expect(sent[sent.length - 1]?.[1]).toBe('/percent')
    expect(went.length).toBeGreaterThan(0)
  })

  it('says at the field what is wrong with it', async () => {
    route.params = { tool: 'percent' }
    answers = () => new http.ApiError(422, 'wrong', 'Found "x"; expected a number.', 'percent')
    const page = part(ToolPage, {}, [CHOICES])
    await rest(150)
    expect(page.text()).toContain('Found "x"; expected a number.')
    expect(page.find('[aria-invalid="true"]').exists()).toBe(true)
    // At its field, once, and without the key that scripts know it by.
    expect(page.findAll('[role="alert"]').map((one) => one.text())).toEqual(['Found "x"; expected a number.'])
  })

  it('says of an emptied field what it expects, and keeps the answer to the numbers before', async () => {
    route.params = { tool: 'percent' }
    answers = () => ({ percent: 100, us: 2012 })
    const page = part(ToolPage, {}, [CHOICES])
    await rest(150)
    answers = () => new http.ApiError(422, 'missing_key', 'The key "percent" is missing.', 'percent')
    await page.findAll('form.fields input')[0]?.setValue('')
    await rest(250)
    expect(page.find('[role="alert"]').text()).toBe('Nothing stands here; expected a number. Below stands the answer to the numbers before.')
    expect(page.text()).not.toContain('is missing')
  })
})
