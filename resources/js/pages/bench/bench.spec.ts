import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import * as http from '@/api/http'
import type { RigSummary } from '@/api/rigs'
import { useNotice } from '@/composables/useNotice'
import { part, pick } from '@/testing/bench'
import DemoLine from './DemoLine.vue'
import RigList from './RigList.vue'

const summary = (name: string, more: Partial<RigSummary> = {}): RigSummary => ({
  slug: name.toLowerCase(),
  name,
  craft: { kind: 'plane' },
  changed_at: '2026-11-20T18:00:00Z',
  boxes: [],
  couplings: [],
  next: { severity: 'open', step: 'path', action: 'Open the path', label: 'Not ready', sentence: 'No chain yet.' },
  is_archived: false,
  is_demo: false,
  ...more,
})

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
  vi.restoreAllMocks()
})

describe('the demo', () => {
  it('is offered large on an empty bench, and put on it by one press', async () => {
    const none = { rigs: [], cards: 0, captures: 0 }
    const post = vi.spyOn(http, 'postJson').mockResolvedValue(none)
    vi.spyOn(http, 'getJson').mockResolvedValue(none)
    const line = part(DemoLine, { isEmpty: true }, [[['demo'], { rigs: [], cards: 0, captures: 0 }]])
    expect(line.get('button').text()).toContain('See the demo bench')
    await line.get('button').trigger('click')
    await flushPromises()
    expect(post).toHaveBeenCalledWith('/demo', {})
  })

  it('says what of it is here, clears it in one go, and names what stays because it was changed', async () => {
    const clear = vi.spyOn(http, 'deleteJson').mockResolvedValue({ gone: {}, stays: ['Avocet', 'Ostrel 9'] })
    vi.spyOn(http, 'getJson').mockResolvedValue({ rigs: [], cards: 0, captures: 0 })
    const line = part(DemoLine, {}, [[['demo'], { rigs: ['avocet', 'dunlin'], cards: 3, captures: 1 }]])
    expect(line.text()).toContain('Of the demo: 2 rigs, 3 cards, 1 captures.')
    await line.get('button').trigger('click')
    await flushPromises()
    expect(clear).toHaveBeenCalledWith('/demo', {})
    expect(useNotice().state.current?.text).toContain('Yours now, because you changed or use it: Avocet, Ostrel 9.')
    expect(line.text()).not.toContain('Of the demo')
  })

  it('is nowhere to be seen where nothing of it is here', () => {
    expect(part(DemoLine, {}, [[['demo'], { rigs: [], cards: 0, captures: 0 }]]).text()).toBe('')
  })
})

describe('the list of rigs', () => {
  const many = ['Whimbrel', 'Avocet 10', 'Avocet 9', 'Knot', 'Ruff', 'Stint'].map((name, k) =>
    summary(name, { changed_at: `2026-11-2${k}T00:00:00Z` }),
  )
  const names = (list: ReturnType<typeof part>) => list.findAll('.rig .name').map((one) => one.text())

  it('keeps the bench’s own sequence, or sorts by name as people count, or by the last change', async () => {
    const list = part(RigList, { rigs: many })
    expect(names(list)).toEqual(many.map((rig) => rig.name))
    await pick(list, 'name')
    expect(names(list).slice(0, 3)).toEqual(['Avocet 9', 'Avocet 10', 'Knot'])
    await pick(list, 'changed')
    expect(names(list)[0]).toBe('Stint')
  })

  it('shows only what has all the words, and says so where nothing has', async () => {
    const list = part(RigList, { rigs: many })
    await list.get('input').setValue('avocet 10')
    expect(names(list)).toEqual(['Avocet 10'])
    await list.get('input').setValue('heron')
    expect(list.text()).toContain('No rig has these words.')
  })

  it('puts a rig by, and has those that are apart', async () => {
    const post = vi.spyOn(http, 'postJson').mockResolvedValue({})
    const list = part(RigList, { rigs: [summary('Knot'), summary('Ruff', { is_archived: true })] })
    expect(list.find('input').exists()).toBe(false)
    expect(list.get('details').text()).toContain('Archived: 1')
    await list.get('[aria-label="Archive: Knot"]').trigger('click')
    expect(post).toHaveBeenCalledWith('/rigs/knot/archive', { is_archived: true })
    await list.get('[aria-label="Bring back: Ruff"]').trigger('click')
    expect(post).toHaveBeenCalledWith('/rigs/ruff/archive', { is_archived: false })
  })
})
