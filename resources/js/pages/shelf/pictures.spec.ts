import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { namesQuery } from '@/api/shelf'
import { CHOICES, lists, part, pick } from '@/testing/bench'
import FieldRow from './FieldRow.vue'
import { CHAPTERS, type Field } from './fields'
import PlugPins from './PlugPins.vue'

const fields = (all: Field[]): Field[] => all.flatMap((field) => [field, ...fields(field.fields ?? [])])
const fieldOf = (kind: 'handset' | 'receiver', key: string) =>
  fields(CHAPTERS[kind].flatMap((chapter) => chapter.fields)).find((field) => field.key === key)
const modes = [
  { mode: 1, gimbals: ['R', 'E', 'A', 'T'] },
  { mode: 2, gimbals: ['R', 'T', 'A', 'E'] },
]
const choices: [readonly string[], unknown] = [CHOICES[0], { ...(CHOICES[1] as object), stick_modes: modes }]

describe('pictures in the card form', () => {
  const changed = (row: ReturnType<typeof part>) => row.emitted('change')?.at(-1)?.[0]

  it('takes where a stick is held from its place in the well, and lets go of it again', async () => {
    const row = part(FieldRow, { field: fieldOf('receiver', 'bind.left_stick'), entry: { bind: { methods: ['sticks_in_corner'] } } })
    expect(row.findAll('input[type=radio]')).toHaveLength(5)
    expect(row.text()).toContain('not known')
    await row.find('input[aria-label="down, left"]').setValue()
    expect(changed(row)).toEqual({ bind: { methods: ['sticks_in_corner'], left_stick: 'lower_left' } })
    await row.setProps({ entry: changed(row) } as never)
    expect(row.find<HTMLInputElement>('input[aria-label="down, left"]').element.checked).toBe(true)
    await row.find('button').trigger('click')
    expect(changed(row)).toEqual({ bind: { methods: ['sticks_in_corner'] } })
  })

  it('shows every stick mode of the core with its letters, and takes the number', async () => {
    const row = part(FieldRow, { field: fieldOf('handset', 'sticks.mode'), entry: {} }, [choices])
    expect(row.findAll('text').map((one) => one.text())).toEqual(['R', 'E', 'A', 'T', 'R', 'T', 'A', 'E'])
    await row.find('input[aria-label="2, left: R across, T up; right: A across, E up"]').setValue()
    expect(changed(row)).toEqual({ sticks: { mode: 2 } })
    await row.setProps({ entry: changed(row) } as never)
    await row.find('input[value=""]').setValue()
    expect(changed(row)).toEqual({})
  })

  it('takes a plug pin by pin, or as one that is known by its name', async () => {
    const known = [
      { kind: 'plug', target: 'signal-plus-ground', name: 'A plug of 3 pins: signal, plus, ground', line: [], aliases: ['three-hole lead'] },
      { kind: 'format', target: 'ppm', name: 'Pulse train', line: [], aliases: [] },
    ]
    const field = fieldOf('receiver', 'plug')
    const row = part(FieldRow, { field, entry: { plug: ['ground'] } }, [[namesQuery.queryKey, { entries: known }]])
    expect(lists(row)).toHaveLength(1)
    await pick(row, 'ground')
    expect(changed(row)).toEqual({ plug: ['ground', 'ground'] })
    await row.setProps({ entry: {} } as never)
    expect(lists(row)[1]?.offers.filter((one) => one.startsWith('three-hole lead ('))).toHaveLength(1)
    expect(lists(row)[1]?.offers).toHaveLength(2)
    await pick(row, 'signal-plus-ground', 1)
    expect(changed(row)).toEqual({ plug: ['signal', 'plus', 'ground'] })
  })

  it('draws the pins in their order, and takes the last away', async () => {
    const plug = mount(PlugPins, { props: { question: 'Pins', options: [['plus', 'plus']], pins: ['ground', 'plus'], known: [] } })
    expect(plug.findAll('text').map((one) => one.text())).toEqual(['–', '+'])
    await plug.find('button').trigger('click')
    expect(plug.emitted('change')?.[0]).toEqual([['ground']])
  })

  it('draws what is printed beside the pins as it stands there', () => {
    const row = part(FieldRow, { field: fieldOf('receiver', 'labels'), entry: { format: 'pwm', labels: ['T', 'A', 'E'] } })
    expect(row.findAll('svg text').map((one) => one.text())).toEqual(['T', '1', 'A', '2', 'E', '3'])
  })
})
