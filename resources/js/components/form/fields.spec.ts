import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import LabelledField from './LabelledField.vue'
import NumberField from './NumberField.vue'
import PickField from './PickField.vue'
import SelectField from './SelectField.vue'
import SuggestField from './SuggestField.vue'
import TextField from './TextField.vue'
import TickField from './TickField.vue'
import { asChoices } from '@/lib/choice'
import { lists, part, pick } from '@/testing/bench'

/** A bench that answers when it is told to. */
function slow() {
  const waiting: ((isTaken: boolean) => void)[] = []
  const save = vi.fn(() => new Promise<boolean>((resolve) => waiting.push(resolve)))
  return { save, answer: (isTaken: boolean) => waiting.shift()?.(isTaken) }
}

/** The element itself: a component's own setValue speaks of models. */
const box = (field: ReturnType<typeof mount>) => field.find('input, select')

/** Letters come, the field is not left. */
async function typeOn(field: ReturnType<typeof mount>, text: string): Promise<void> {
  ;(box(field).element as HTMLInputElement).value = text
  await box(field).trigger('input')
}

const value = (element: Element) => (element as HTMLInputElement).value

beforeEach(() => sessionStorage.clear())

describe('what stands in a field that was not left yet', () => {
  const again = (props: Record<string, unknown>, label = '') => {
    const bench = slow()
    const page = mount(LabelledField, {
      props: { label },
      slots: { default: () => h(TextField, { value: '', save: bench.save, ...props }) },
      attachTo: document.body,
    })
    return { page, ...bench }
  }

  it('was told before a reload: three less is three less once, and what the bench has by then is not said to be missing', async () => {
    const bench = slow()
    const shown = () => mount(NumberField, { props: { value: 1500, save: bench.save, 'aria-label': 'Low end' } as never, attachTo: document.body })
    const first = shown()
    await typeOn(first, '-3')
    await first.find('input').trigger('change')
    expect(bench.save.mock.calls).toEqual([[1497]])
    first.unmount()
    const again = shown()
    expect(value(box(again).element)).toBe('1497')
    expect(again.text()).toContain('Typed earlier, not kept yet.')
    await again.setProps({ value: 1497 } as never)
    expect(again.text()).toBe('')
    await box(again).trigger('change')
    expect(bench.save).toHaveBeenCalledTimes(1)
    again.unmount()
    expect(value(box(shown()).element)).toBe('1500')
  })

  it('is there again after a reload, and told when it is left', async () => {
    const { page } = again({}, 'Where it sits')
    await typeOn(page, 'behind the can')
    page.unmount()
    const { page: later, save, answer } = again({}, 'Where it sits')
    expect(value(box(later).element)).toBe('behind the can')
    expect(save).not.toHaveBeenCalled()
    expect(later.text()).toContain('Typed earlier, not kept yet.')
    // Left as it is, a browser tells of no change.
    await box(later).trigger('blur')
    expect(save).toHaveBeenCalledWith('behind the can')
    answer(true)
    await flushPromises()
    expect(later.text()).not.toContain('not kept yet')
    await box(later).trigger('blur')
    expect(save).toHaveBeenCalledTimes(1)
    expect(value(box(again({}, 'Where it sits').page).element)).toBe('')
  })

  it('is known by its accessible name, or by what it is kept as, and never shows up in two fields', async () => {
    const { page } = again({ 'aria-label': 'colour of the plus wire' })
    await typeOn(page, 'purple')
    expect(value(box(again({ 'aria-label': 'colour of the ground wire' }).page).element)).toBe('')
    const first = again({ 'aria-label': 'colour of the plus wire' })
    expect(value(box(first.page).element)).toBe('purple')
    await box(first.page).trigger('keydown', { key: 'Escape' })
    expect(value(box(again({ 'aria-label': 'colour of the plus wire' }).page).element)).toBe('')
    const kept = again({ keepAs: 'outputs.0.pin' })
    await typeOn(kept.page, '7')
    expect(value(box(again({ keepAs: 'outputs.1.pin' }).page).element)).toBe('')
    expect(value(box(again({ keepAs: 'outputs.0.pin' }).page).element)).toBe('7')
  })

  it('stays where the bench did not take it, and is not told again by passing through', async () => {
    const { page, answer, save } = again({}, 'Note')
    await typeOn(page, 'too long')
    await box(page).trigger('change')
    answer(false)
    await flushPromises()
    await box(page).trigger('blur')
    expect(save).toHaveBeenCalledTimes(1)
    page.unmount()
    expect(value(box(again({}, 'Note').page).element)).toBe('too long')
  })
})

describe('a text field', () => {
  it('keeps what is typed while older answers come, and lets go of it once it is taken', async () => {
    const { save, answer } = slow()
    const field = mount(TextField, { props: { value: 'white', save } })
    await box(field).setValue('red')
    expect(save).toHaveBeenCalledWith('red')
    await box(field).trigger('change')
    expect(save).toHaveBeenCalledTimes(1)
    // Typing goes on before the answer; the answer is to `red`.
    await typeOn(field, 'red and bl')
    await field.setProps({ value: 'red' })
    answer(true)
    await flushPromises()
    expect(value(box(field).element)).toBe('red and bl')
    await box(field).setValue('red and black')
    answer(true)
    await field.setProps({ value: 'red and black' })
    await flushPromises()
    await field.setProps({ value: 'green' })
    expect(value(box(field).element)).toBe('green')
  })

  it('keeps what was not taken', async () => {
    const { save, answer } = slow()
    const field = mount(TextField, { props: { value: 'white', save } })
    await box(field).setValue('red')
    await box(field).trigger('change')
    answer(false)
    await flushPromises()
    expect(value(box(field).element)).toBe('red')
  })

  it('tells nothing twice, nothing unchanged, and nothing that cannot be meant', async () => {
    const { save } = slow()
    const field = mount(TextField, { props: { value: 'white', save, wrong: (text: string) => (text === '?' ? 'no question' : '') } })
    await box(field).setValue(' white ')
    await box(field).trigger('change')
    await box(field).trigger('change')
    expect(save).not.toHaveBeenCalled()
    await box(field).setValue('?')
    await box(field).trigger('change')
    expect(save).not.toHaveBeenCalled()
    expect(box(field).attributes('aria-invalid')).toBe('true')
    expect(value(box(field).element)).toBe('?')
    await box(field).trigger('keydown', { key: 'Escape' })
    expect(value(box(field).element)).toBe('white')
    expect(box(field).attributes('aria-invalid')).toBe('false')
  })
})

describe('a number field', () => {
  const typed = async (props: Record<string, unknown>, text: string) => {
    const { save } = slow()
    const field = mount(NumberField, { props: { value: 100, save, ...props } })
    await box(field).setValue(text)
    await box(field).trigger('change')
    return { told: save.mock.calls[0] as unknown[] | undefined, isWrong: box(field).attributes('aria-invalid') === 'true' }
  }

  it.each([
    ['85', {}, 85],
    ['85,5', {}, 85.5],
    ['85 %', {}, 85],
    ['+3', {}, 103],
    ['-3', { isSigned: true, lowest: -100 }, -3],
    ['', { mayBeEmpty: true }, null],
  ])('takes "%s"', async (text, props, number) => expect((await typed(props, text)).told).toEqual([number]))

  it.each([
    ['lots', {}],
    ['', {}],
    ['1.5', { isWhole: true }],
    ['33', { highest: 32 }],
    ['0', { lowest: 1 }],
  ])('marks "%s" and tells nothing', async (text, props) => expect(await typed(props, text)).toEqual({ told: undefined, isWrong: true }))
})

describe('a choice', () => {
  const options = asChoices(['a', 'b', 'c'])
  const shown = (field: VueWrapper) => lists(field)[0]?.picked

  it('shows what was chosen until it is answered, and what the bench has when it was not taken', async () => {
    const { save, answer } = slow()
    const field = mount(SelectField, { props: { value: 'a', options, save } as never })
    await pick(field, 'b')
    await field.setProps({ value: 'a' })
    expect(shown(field)).toBe('b')
    answer(false)
    await flushPromises()
    expect(shown(field)).toBe('a')
  })

  it('is not turned back by the answer to an older one', async () => {
    const { save, answer } = slow()
    const field = mount(SelectField, { props: { value: 'a', options, save } as never })
    await pick(field, 'b')
    await pick(field, 'c')
    await field.setProps({ value: 'b' })
    answer(true)
    await flushPromises()
    expect(shown(field)).toBe('c')
  })
})

describe('a tick', () => {
  it('is never shown where the bench did not take it', async () => {
    const { save, answer } = slow()
    const there = ref(false)
    const page = mount(defineComponent({ setup: () => () => h(TickField, { value: there.value, save }) }))
    const tick = page.find('input')
    await tick.setValue(true)
    expect(tick.element.checked).toBe(true)
    answer(false)
    await flushPromises()
    expect(tick.element.checked).toBe(false)
    await tick.setValue(true)
    expect(save).toHaveBeenLastCalledWith(true)
    there.value = true
    answer(true)
    await flushPromises()
    expect(tick.element.checked).toBe(true)
  })
})

describe('what is wrong with a number', () => {
  const said = async (props: Record<string, unknown>, text: string) => {
    const page = part(NumberField, { value: 1060, save: () => Promise.resolve(true), ...props })
    const field = page.find('input')
    await field.setValue(text)
    await field.trigger('change')
    return page.find('[role="alert"]').exists() ? page.find('[role="alert"]').text() : ''
  }
  it.each([
    ['abc', {}, 'Found “abc”; expected a number like 12.5. It stays 1060.'],
    ['', {}, 'A number is needed here. It stays 1060.'],
    ['', { mayBeEmpty: true }, ''],
    ['9999999', { lowest: 1, highest: 5000 }, 'Found 9999999; expected 1 to 5000. It stays 1060.'],
    ['-1', { isSigned: true, lowest: 0 }, 'Found -1; expected 0 or more. It stays 1060.'],
    ['1.5', { isWhole: true }, 'Found 1.5; expected a whole number. It stays 1060.'],
    ['abc', { value: null }, 'Found “abc”; expected a number like 12.5.'],
    ['1085,5', {}, ''],
    ['+3', {}, ''],
  ])('"%s" is told in words at its place', async (text, props, words) => expect(await said(props, text)).toBe(words))

  it('is no longer said once it is typed anew, and the field is described by it', async () => {
    const page = part(NumberField, { value: 1, save: () => Promise.resolve(true) })
    const field = page.find('input')
    await field.setValue('x')
    await field.trigger('change')
    expect(page.find(`#${field.attributes('aria-describedby') ?? 'none'}`).text()).toContain('It stays 1.')
    await field.setValue('2')
    expect(page.find('[role="alert"]').exists()).toBe(false)
  })
})

describe('a list', () => {
  const OPTIONS = asChoices(['sisal', 'hemp', 'long hemp'])
  async function typedThenTab(options: readonly unknown[], text: string) {
    const page = mount(PickField, { props: { modelValue: 'sisal', options, 'aria-label': 'Family' } as never, attachTo: document.body })
    await nextTick()
    const combobox = page.get('[role=combobox]')
    ;(combobox.element as HTMLInputElement).value = text
    await combobox.trigger('input')
    await combobox.trigger('keydown', { key: 'Tab' })
    return page
  }

  it('takes what was typed as far as it is clear, once it is left', async () => {
    expect((await typedThenTab(OPTIONS, 'hem')).emitted('update:modelValue')).toEqual([['hemp']])
    expect((await typedThenTab(OPTIONS, 'jute')).emitted('update:modelValue')).toBeUndefined()
  })

  it('takes what was typed and left before there was anything to choose from, once there is', async () => {
    const page = await typedThenTab([], 'long')
    expect(page.emitted('update:modelValue')).toBeUndefined()
    await page.setProps({ options: OPTIONS } as never)
    expect(page.emitted('update:modelValue')).toEqual([['long hemp']])
    // Once: what is chosen since stays.
    await page.setProps({ options: OPTIONS.slice(0, 2) } as never)
    expect(page.emitted('update:modelValue')).toHaveLength(1)
  })
})

describe('a text with what is usual', () => {
  const OFFERS = asChoices(['arm', 'gear', 'flap'])
  const typed = async (text: string) => {
    const field = mount(SuggestField, { props: { modelValue: text, offers: OFFERS, 'aria-label': 'Function' } as never, attachTo: document.body })
    await nextTick()
    return { field, combobox: field.get('[role=combobox]') }
  }

  it('is called by its label and takes any text', async () => {
    const { field, combobox } = await typed('')
    expect(combobox.attributes('aria-label')).toBe('Function')
    ;(combobox.element as HTMLInputElement).value = 'lamp'
    await combobox.trigger('input')
    expect(field.emitted('update:modelValue')).toEqual([['lamp']])
    expect(field.emitted('done')).toBeUndefined()
  })

  it('goes on with Enter where nothing is picked, and says when it is given up', async () => {
    const { field, combobox } = await typed('lamp')
    await combobox.trigger('keydown', { key: 'Enter' })
    expect(field.emitted('enter')).toHaveLength(1)
    const escape = new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true })
    combobox.element.dispatchEvent(escape)
    expect(field.emitted('escape')).toHaveLength(1)
    // The browser would empty the field.
    expect(escape.defaultPrevented).toBe(true)
  })

  it('offers nothing once it is left, also where nothing fitted what was typed and it was emptied since', async () => {
    const { field, combobox } = await typed('')
    const opened = () => combobox.attributes('aria-expanded')
    await combobox.trigger('focus')
    await typeOn(field, 'f')
    await field.setProps({ modelValue: 'f' } as never)
    expect(opened()).toBe('true')
    await typeOn(field, 'rescue')
    await field.setProps({ modelValue: 'rescue' } as never)
    expect(opened()).toBe('false')
    await combobox.trigger('focusout')
    expect(field.emitted('done')).toHaveLength(1)
    await field.setProps({ modelValue: '' } as never)
    await nextTick()
    expect(opened()).toBe('false')
  })
})
