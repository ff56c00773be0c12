import { nextTick } from 'vue'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { FactView, SwitchRowView, TravelRowView } from '@/api/rigs'
import { CHOICES, fakeHandle, lists, part, pick, reviewOf, rigOf } from '@/testing/bench'
import PackSelect from '@/components/PackSelect.vue'
import CraftForm from './CraftForm.vue'
import FunctionList from './FunctionList.vue'
import PathTold from './PathTold.vue'
import RigHead from './RigHead.vue'
import SchoolChoice from './SchoolChoice.vue'
import StepBar from './StepBar.vue'
import SwitchedServo from './SwitchedServo.vue'
import SwitchShape from './SwitchShape.vue'
import SwitchWindows from './SwitchWindows.vue'
import ToldFacts from './ToldFacts.vue'
import TravelRow from './TravelRow.vue'
import WiringStep from './WiringStep.vue'

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
})

const dunlin = () => reviewOf('rig-dunlin')
const rowOf = (name: string) => dunlin().switches.rows.find((row) => row.function === name) as SwitchRowView

describe('the windows of a switch', () => {
  it('name the window that is meant, whatever its place, and tell one edge only', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(SwitchWindows, { row: rowOf('mode'), hasController: true, handle })
    await page.find('[aria-label="hold, from"]').setValue('1450')
    await page.find('[aria-label="hold, from"]').trigger('change')
    await page.find('[aria-label="return holds position 3"]').setValue(false)
    expect(meant).toEqual([
      ['set-window', { window: 'hold', channel: 6, position: 2, lo: 1450 }],
      ['want-position', { window: 'return', channel: 6, position: 3, holds: 3, wanted: false }],
    ])
  })

  it('free their field for the next one at once, and put back what was not taken', async () => {
    const { handle, meant, answer } = fakeHandle()
    const page = part(SwitchWindows, { row: rowOf('arm'), hasController: true, handle })
    const field = page.find<HTMLInputElement>('[aria-label="New window for arm"]')
    await field.setValue('prearm')
    await page.find('form').trigger('submit')
    expect(meant).toEqual([['add-window', { function: 'arm', name: 'prearm' }]])
    expect(field.element.value).toBe('')
    answer(false)
    await flushPromises()
    expect(field.element.value).toBe('prearm')
  })

  it('cannot be added where no controller has windows', () => {
    const { handle } = fakeHandle()
    expect(
      part(SwitchWindows, { row: rowOf('arm'), hasController: false, handle })
        .find('form')
        .exists(),
    ).toBe(false)
  })
})

describe('the shape of a switch', () => {
  it('is told as it is meant: levels, weight, where it stands at power-up', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(SwitchShape, { row: rowOf('mode'), handle })
    const [weight, , levels] = page.findAll('input:not([role="combobox"])')
    await weight?.setValue('50')
    await weight?.trigger('change')
    await levels?.setValue('-50 0 100')
    await levels?.trigger('change')
    await levels?.setValue('100')
    await levels?.trigger('change')
    expect(levels?.attributes('aria-invalid')).toBe('true')
    await pick(page, 2)
    expect(meant).toEqual([
      ['set-switch', { function: 'mode', weight: 50 }],
      ['set-switch', { function: 'mode', curve: [-50, 0, 100] }],
      ['set-switch', { function: 'mode', power_up: 2 }],
    ])
  })
})

describe('a row of travel', () => {
  const drafts = (typed: unknown[]) => ({
    valueOf: (row: TravelRowView, side: 'lo' | 'mid' | 'hi') => row.reading?.[side] ?? null,
    type: (...given: unknown[]) => typed.push(given.slice(1)),
    put: (...given: unknown[]) => typed.push(given.slice(1)),
    enter: () => undefined,
    leave: () => undefined,
  })
  const props = (channel: number, typed: unknown[] = [], problem: unknown = null) => {
    const review = dunlin()
    const row = review.travel.rows.find((one) => one.channel === channel)
    return { row, view: review.travel, units: review.units, drafts: drafts(typed), problem, tellsWhy: false }
  }

  it('shows what to set where something is to be set, and what it will give', () => {
    const text = part(TravelRow, props(4)).text()
    expect(text).toContain('to be set')
    expect(text).toContain('−18')
    expect(text).toContain('will give')
  })

  it('says what is wrong instead, at the field that is wrong', () => {
    const page = part(TravelRow, props(4, [], { message: 'Found the middle below the low end.', path: 'drafts.4.mid', is_reversed: false }))
    expect(page.find('[role="alert"]').text()).toBe('Found the middle below the low end.')
    expect(page.findAll('input').map((field) => field.attributes('aria-invalid'))).toEqual(['false', 'true', 'false'])
  })

  it('hands on what is typed in µs', async () => {
    const typed: unknown[] = []
    const page = part(TravelRow, props(4, typed))
    await page.findAll('input')[2]?.setValue('1990')
    expect(typed).toEqual([['hi', 1990]])
  })
})

describe('a reading that falls, and a target that is not the usual', () => {
  const row = () => dunlin().travel.rows.find((one) => one.channel === 4) as TravelRowView
  const drafts = { valueOf: () => 1500, type: () => undefined, put: () => undefined, enter: () => undefined, leave: () => undefined }
  const shown = (problem: unknown) => part(TravelRow, { row: row(), view: dunlin().travel, units: dunlin().units, drafts, problem, tellsWhy: false })

  it('is taken as read where it is only reversed', async () => {
    const page = shown({ message: 'These values fall where the stick rises.', path: 'drafts.4.lo', is_reversed: true })
    await page
      .findAll('button')
      .find((one) => one.text() === 'It is reversed: take it as read')
      ?.trigger('click')
    expect(page.emitted('fell')).toHaveLength(1)
    const wrong = shown({ message: 'Found the middle below the low end.', path: 'drafts.4.mid', is_reversed: false })
    expect(wrong.text()).not.toContain('take it as read')
  })

  it('is typed as numbers are, and told whole', async () => {
    const page = shown(null)
    await page.find('[aria-label="aim elsewhere: rudder"]').trigger('click')
    const [lo, mid, hi] = page.findAll('.aim input')
    await lo?.setValue('1100,5')
    await hi?.setValue('up')
    expect(page.find('.aim [role="alert"]').text()).toContain('highest: expected a number in µs')
    expect(page.find('.aim button').attributes('disabled')).toBe('')
    await hi?.setValue('1900')
    expect((mid?.element as HTMLInputElement).value).toBe('1500')
    await page.find('.aim').trigger('submit')
    expect(page.emitted('aim')).toEqual([[{ lo: 1100.5, mid: 1500, hi: 1900 }]])
    expect(page.find('.aim').exists()).toBe(false)
  })
})

describe('a servo on a switch', () => {
  it('keeps its limits, ends and direction in the travel step, and is turned round there', async () => {
    const flap = reviewOf('rig-avocet').travel.switched[0]
    if (!flap) throw new Error('Avocet has its flap on a switch')
    const page = part(SwitchedServo, { servo: flap, slug: 'avocet', units: reviewOf('rig-avocet').units })
    expect(page.text()).toContain('R2: 1500 / 1277.3 / 1054.6 µs')
    expect(page.text()).toContain('computed, not read')
    expect(page.text()).toContain('the servo can take 1050 to 1950 µs')
    expect(page.find('svg').attributes('aria-label')).toBe('flap: position 1 1500 µs, position 2 1277.3 µs, position 3 1054.6 µs')
    await page.find('[aria-label="flap moves the wrong way"]').trigger('click')
    expect(page.emitted('reverse')).toHaveLength(1)
    const unknown = part(SwitchedServo, {
      servo: { ...flap, switch: null, is_read: true, safe: { lo: null, hi: null }, now: { ...flap.now, reversed: true } },
      slug: 'avocet',
      units: reviewOf('rig-avocet').units,
    })
    expect(unknown.text()).toContain('what the servo can take is not known · reversed in the handset')
    expect(unknown.text()).toContain('no switch yet')
    expect(unknown.text()).toContain('as read')
  })
})

describe('what nobody can work out', () => {
  const shown = (told: Partial<FactView>[]) => {
    const rig = rigOf('rig-avocet')
    rig.review.told = rig.review.told.map((fact) => ({ ...fact, ...told.find((one) => one.fact === fact.fact) }))
    const bench = fakeHandle()
    return { page: part(ToldFacts, { rig, handle: bench.handle, group: 'handset' }), ...bench }
  }

  it('is asked where it matters, and told as the kind of thing that it is', async () => {
    const { page, meant } = shown([{ fact: 'throttle_cut', value: 'R1 back' }])
    expect(page.findAll('label').map((one) => one.text().split(':')[0])).toContain('Extended limits')
    expect(page.text()).not.toContain('Firmware')
    const [cut, timer] = page.findAll<HTMLInputElement>('input:not([type=checkbox])')
    expect(cut?.element.value).toBe('R1 back')
    await cut?.setValue(' ')
    await cut?.trigger('blur')
    await timer?.setValue('3,5')
    await timer?.trigger('blur')
    await page.find('input[type=checkbox]').setValue(true)
    expect(meant).toEqual([
      ['tell-fact', { fact: 'throttle_cut', value: '' }],
      ['tell-fact', { fact: 'timer_min', value: 3.5 }],
      ['tell-fact', { fact: 'extended_limits', value: true }],
    ])
  })

  it('says at its field what a number may be, and sends nothing that cannot be meant', async () => {
    const { page, meant } = shown([])
    const timer = page.findAll<HTMLInputElement>('input:not([type=checkbox])')[1]
    await timer?.setValue('900')
    await timer?.trigger('blur')
    expect(meant).toEqual([])
    expect(page.find('[role=alert]').text()).toContain('600')
  })

  it('is asked nowhere where there is nothing of that kind', () => {
    const rig = rigOf('rig-avocet')
    rig.review.told = []
    expect(part(ToldFacts, { rig, handle: fakeHandle().handle, group: 'bind' }).find('section').exists()).toBe(false)
  })
})

describe('the craft itself', () => {
  it('can be renamed, and turns out to be of another kind', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(CraftForm, { rig: rigOf('rig-avocet'), handle })
    const [name, note] = page.findAll<HTMLInputElement>('input:not([role="combobox"])')
    await name?.setValue('Avocet two')
    await name?.trigger('blur')
    await pick(page, 'glider')
    await note?.setValue('with a motor')
    await note?.trigger('blur')
    expect(meant).toEqual([
      ['rename-rig', { name: 'Avocet two' }],
      ['tell-craft', { kind: 'glider' }],
      ['tell-craft', { note: 'with a motor' }],
    ])
  })

  it('is never without a name', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(CraftForm, { rig: rigOf('rig-avocet'), handle })
    await page.find('input').setValue(' ')
    await page.find('input').trigger('blur')
    expect(meant).toEqual([])
    expect(page.find('[role=alert]').text()).toBe('A craft has a name; it stays Rig.')
  })
})

describe('the two schools', () => {
  it('name the usual pulse widths as the core has them, and tell the choice', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(SchoolChoice, { view: dunlin().travel, units: dunlin().units, handle }, [CHOICES])
    expect(page.text()).toContain('Bring the handset to 1000–1500–2000 µs')
    await page.findAll('input')[1]?.setValue(true)
    await page.findAll('input')[3]?.setValue(true)
    expect(meant).toEqual([
      ['choose-school', { school: 'leave' }],
      ['choose-centring', { centring: 'controller' }],
    ])
  })
})

describe('a pack', () => {
  it('is chosen from the lists of the core; one that is not usual stays what it is', async () => {
    const told: unknown[] = []
    const save = (pack: unknown) => Promise.resolve(told.push(pack) > 0)
    const page = part(PackSelect, { pack: { chemistry: 'nimh', cells: 12 }, where: 'handset', none: 'as on its card', save }, [CHOICES])
    expect(lists(page)[0]?.picked).toBe('nimh 12')
    expect(lists(page)[0]?.offers).toEqual(['as on its card', '12 nimh', '3 LiPo', '2 LiFe'])
    await pick(page, 'life 2')
    await pick(page, '')
    expect(told).toEqual([{ chemistry: 'life', cells: 2 }, null])
  })
})

describe('functions', () => {
  it('are put one by one, and refused before they are sent when they cannot be meant', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(FunctionList, { rig: rigOf('rig-dunlin'), handle })
    const [name, channel] = page.findAll('input')
    await name?.setValue('Landing Gear')
    await channel?.setValue('33')
    await channel?.trigger('keydown', { key: 'Enter' })
    expect(page.find('[role="alert"]').text()).toBe('A channel is a whole number from 1 to 32.')
    await channel?.setValue('8')
    await channel?.trigger('keydown', { key: 'Enter' })
    await page.find('[aria-label="Remove arm"]').trigger('click')
    expect(meant).toEqual([
      ['put-function', { function: 'landing_gear', channel: 8 }],
      ['remove-function', { function: 'arm' }],
    ])
  })
})

describe('the wires', () => {
  it('are told one by one, by their row', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(WiringStep, { rig: rigOf('rig-dunlin'), handle }, [CHOICES])
    const fields = page.findAll('input.colour')
    await fields[0]?.setValue(' yellow ')
    await fields[0]?.trigger('change')
    await fields[2]?.setValue('brown')
    await fields[2]?.trigger('change')
    expect(meant).toEqual([
      ['colour-wire', { row: 'weft-r16i-all-channels', wire: 'signal', colour: 'yellow' }],
      ['colour-wire', { row: 'weft-r16i-all-channels', wire: 'ground', colour: 'brown' }],
    ])
  })
})

describe('the head of a rig and its steps', () => {
  it('say how it stands, in words beside the mark', () => {
    const { handle } = fakeHandle()
    const page = part(RigHead, { rig: rigOf('rig-dunlin'), handle, selected: null })
    expect(page.find('[aria-live="polite"]').text()).toContain(dunlin().next.sentence)
  })

  it('show that what was meant is being kept, and since when it is', async () => {
    const { handle } = fakeHandle()
    const page = part(RigHead, { rig: rigOf('rig-dunlin'), handle, selected: null })
    expect(page.find('.saved').exists()).toBe(false)
    const now = handle as unknown as { isSending: { value: boolean }; keptAt: { value: string } }
    now.isSending.value = true
    await nextTick()
    expect(page.find('.saved').text()).toBe('saving …')
    now.isSending.value = false
    now.keptAt.value = '2026-11-03T08:31:00Z'
    await nextTick()
    expect(page.find('.saved').text()).toBe('✓ saved 10:31')
  })

  it('offer the eight steps in the order of the job, each with its state, and what stands beside them', () => {
    const page = part(StepBar, { rig: rigOf('rig-dunlin'), step: 'travel', isAsked: true })
    const steps = page.findAll('li').map((item) => item.text())
    expect(steps).toHaveLength(11)
    expect(steps[0]).toMatch(/^·Handset/)
    expect(steps[5]).toBe('5Travelneeds you')
    expect(page.find('[aria-current="step"]').text()).toContain('Travel')
  })
})

describe('a chain that was taken', () => {
  it('says what it costs in time, and where', () => {
    const { handle } = fakeHandle()
    const text = part(PathTold, { rig: rigOf('rig-dunlin'), handle }).text()
    expect(text).toContain('Delay, stick to servo')
    expect(text).toContain(`${dunlin().latency_ms?.mean.toFixed(1)} ms`)
    expect(text).toContain('Where the delay arises')
  })
})
