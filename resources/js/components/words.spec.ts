import { flushPromises, mount } from '@vue/test-utils'
import { h } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import * as http from '@/api/http'
import { part } from '@/testing/bench'
import { WholeText } from './WholeText'
import LossWay from './LossWay.vue'
import WordHint from './WordHint.vue'

beforeEach(() => {
  document.body.innerHTML = ''
  vi.restoreAllMocks()
})

describe('a word that is explained', () => {
  it('asks for the words only when somebody wants to know, and closes again', async () => {
    const asked = vi.spyOn(http, 'getJson').mockResolvedValue({ words: [{ word: 'hop', also: [], says: 'One stretch through the air.', see: [] }] })
    const hint = part(WordHint, { word: 'hop' })
    expect(asked).not.toHaveBeenCalled()
    await hint.get('button').trigger('focusin')
    await flushPromises()
    const says = hint.get('[role=tooltip]')
    expect(says.text()).toBe('One stretch through the air.')
    expect(hint.get('button').attributes('aria-describedby')).toBe(says.attributes('id'))
    await hint.get('button').trigger('keydown', { key: 'Escape' })
    expect(hint.find('[role=tooltip]').exists()).toBe(false)
    expect(hint.get('button').attributes('aria-describedby')).toBeUndefined()
  })

  it('says nothing of a word that is not in the list', async () => {
    vi.spyOn(http, 'getJson').mockResolvedValue({ words: [] })
    const hint = part(WordHint, { word: 'nothing' })
    await hint.get('button').trigger('click')
    await flushPromises()
    expect(hint.find('[role=tooltip]').exists()).toBe(false)
  })
})

describe('the way of a loss', () => {
  const way = [
    { box: 'Ostrel 9', says: 'is off, or out of reach', flow: 'silent', is_harmful: false },
    { box: 'Weft R16i', says: 'repeats the last values', flow: 'old', is_harmful: false },
    { box: 'Dunlin', says: 'The craft goes on with the last commands.', flow: null, is_harmful: true },
  ]

  it('is a list in words, whatever is drawn, and all of it stands unless it is played', async () => {
    vi.useFakeTimers()
    const drawn = part(LossWay, { way })
    expect(drawn.findAll('li').map((one) => one.text().replace(/\s+/g, ' '))).toEqual([
      'Ostrel 9is off, or out of reach✕the link',
      'Weft R16irepeats the last valuesold values',
      'DunlinThe craft goes on with the last commands.',
    ])
    expect(drawn.findAll('.ahead')).toHaveLength(0)
    await drawn.get('button').trigger('click')
    expect(drawn.findAll('.ahead')).toHaveLength(2)
    await vi.advanceTimersByTimeAsync(1100)
    expect(drawn.get('.now').text()).toContain('Weft R16i')
    await vi.advanceTimersByTimeAsync(2200)
    expect(drawn.findAll('.ahead')).toHaveLength(0)
    expect(drawn.get('.harmful').text()).toContain('Dunlin')
    vi.useRealTimers()
  })
})

describe('a text with figures', () => {
  const whole = (text: string) =>
    mount(WholeText, { props: { text } })
      .findAll('.line-whole')
      .map((one) => one.text())

  it('keeps a figure and its unit, and both ends of a range, on one line, and nothing else', () => {
    expect(whole('The lowest throttle, 1085 µs, is not below 1060 µs.')).toEqual(['1085 µs', '1060 µs'])
    expect(whole('Avocet, 5 V; takes 3.5–9.6 V')).toEqual(['5 V', '3.5–9.6 V'])
    expect(whole('Memory 6 made for the new board; 2 servos by a Y lead, 3 minutes')).toEqual([])
  })

  it('says all of it', () => {
    const text = 'every 4.00 ms, then every 14.00 ms'
    expect(mount(() => h('p', h(WholeText, { text }))).text()).toBe(text)
  })
})
