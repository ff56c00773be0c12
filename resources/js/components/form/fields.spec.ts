import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import NumberField from './NumberField.vue'
import SelectField from './SelectField.vue'
import TextField from './TextField.vue'
import TickField from './TickField.vue'

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
  ;(field.element as HTMLInputElement).value = text
  await box(field).trigger('input')
}

const value = (element: Element) => (element as HTMLInputElement).value

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
    expect(value(field.element)).toBe('red and bl')
    await box(field).setValue('red and black')
    answer(true)
    await field.setProps({ value: 'red and black' })
    await flushPromises()
    await field.setProps({ value: 'green' })
    expect(value(field.element)).toBe('green')
  })

  it('keeps what was not taken', async () => {
    const { save, answer } = slow()
    const field = mount(TextField, { props: { value: 'white', save } })
    await box(field).setValue('red')
    await box(field).trigger('change')
    answer(false)
    await flushPromises()
    expect(value(field.element)).toBe('red')
  })

  it('tells nothing twice, nothing unchanged, and nothing that cannot be meant', async () => {
    const { save } = slow()
    const field = mount(TextField, { props: { value: 'white', save, reads: (text: string) => text !== '?' } })
    await box(field).setValue(' white ')
    await box(field).trigger('change')
    await box(field).trigger('change')
    expect(save).not.toHaveBeenCalled()
    await box(field).setValue('?')
    await box(field).trigger('change')
    expect(save).not.toHaveBeenCalled()
    expect(field.attributes('aria-invalid')).toBe('true')
    expect(value(field.element)).toBe('?')
    await box(field).trigger('keydown', { key: 'Escape' })
    expect(value(field.element)).toBe('white')
    expect(field.attributes('aria-invalid')).toBe('false')
  })
})

describe('a number field', () => {
  const typed = async (props: Record<string, unknown>, text: string) => {
    const { save } = slow()
    const field = mount(NumberField, { props: { value: 100, save, ...props } })
    await box(field).setValue(text)
    await box(field).trigger('change')
    return { told: save.mock.calls[0] as unknown[] | undefined, isWrong: field.attributes('aria-invalid') === 'true' }
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
  const options = () => ['a', 'b', 'c'].map((one) => h('option', { value: one }, one))

  it('shows what was chosen until it is answered, and what the bench has when it was not taken', async () => {
    const { save, answer } = slow()
    const field = mount(SelectField, { props: { value: 'a', save }, slots: { default: options } })
    await box(field).setValue('b')
    await field.setProps({ value: 'a' })
    expect(value(field.element)).toBe('b')
    answer(false)
    await flushPromises()
    expect(value(field.element)).toBe('a')
  })

  it('is not turned back by the answer to an older one', async () => {
    const { save, answer } = slow()
    const field = mount(SelectField, { props: { value: 'a', save }, slots: { default: options } })
    await box(field).setValue('b')
    await box(field).setValue('c')
    await field.setProps({ value: 'b' })
    answer(true)
    await flushPromises()
    expect(value(field.element)).toBe('c')
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
