import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { part, reviewOf } from '@/testing/bench'
import { useTheme } from '@/composables/useTheme'
import ChainStrip from './ChainStrip.vue'
import CurveDrawing from './CurveDrawing.vue'
import DelayBars from './DelayBars.vue'
import FindingLine from './FindingLine.vue'
import FrameDrawing from './FrameDrawing.vue'
import MiniChain from './MiniChain.vue'
import NoticeLine from './NoticeLine.vue'
import PulseField from './PulseField.vue'
import SheetBody from './SheetBody.vue'
import TrainAnswer from './TrainAnswer.vue'
import TravelRuler from './TravelRuler.vue'
import UnitSwitch from './UnitSwitch.vue'
import YearLine from './YearLine.vue'
import { useNotice } from '@/composables/useNotice'

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
})

describe('a year on one line', () => {
  it('puts each entry of the last twelve months in its lane, and none that is older', () => {
    const now = new Date().toISOString()
    const entries = ['test', 'flight', 'flight', 'note', 'undo', 'attempt'].map((kind) => ({ at: now, kind }))
    const page = part(YearLine, { entries: [...entries, { at: '2020-01-01T00:00:00Z', kind: 'flight' }] })
    expect(page.find('svg').attributes('aria-label')).toBe('The last twelve months: 1 checks, 1 readings, 1 changes, 2 flights, runs, 1 notes')
    expect(page.findAll('.flights path:not(.line)')).toHaveLength(2)
  })
})

describe('a ruler of travel', () => {
  const at = (page: ReturnType<typeof part>, name: string) => page.findAll(name).map((one) => Number(one.attributes('cx') ?? one.attributes('x1')))

  it('puts 1500 µs in the middle, and never a mark beyond its ends', () => {
    const page = part(TravelRuler, { after: { lo: 100, mid: 1500, hi: 4000 }, label: 'x' })
    expect(at(page, '.after')).toEqual([8, 130, 252])
  })

  it('draws what is read, what is to be hit, and windows that are missed as missed', () => {
    const page = part(TravelRuler, {
      read: { lo: 1000, mid: 1500, hi: 2000 },
      target: { lo: 988, mid: 1500, hi: 2012 },
      safe: { lo: 900, hi: null },
      windows: [
        { name: 'arm', lo: 1700, hi: 2100, ok: true },
        { name: 'hold', lo: 1400, hi: 1400, ok: false },
      ],
      levels: [{ position: 1, us: 988 }],
      label: 'Throttle',
    })
    expect(page.findAll('.target')).toHaveLength(3)
    expect(page.findAll('.read line')).toHaveLength(4)
    expect(page.find('.safe').exists()).toBe(true)
    expect(page.findAll('.window').map((one) => one.classes('bad'))).toEqual([false, true])
    // A window of no width can still be seen.
    expect(page.findAll('.window rect')[1]?.attributes('width')).toBe('2')
    expect(page.find('.level-text').text()).toBe('1')
    expect(page.find('svg').attributes('aria-label')).toBe('Throttle')
  })

  it('draws no servo range that nobody has told', () => {
    expect(
      part(TravelRuler, { safe: { lo: null, hi: null }, label: 'x' })
        .find('.safe')
        .exists(),
    ).toBe(false)
  })
})

describe('a stick curve', () => {
  it('runs from lower left to upper right, the low rate dashed', () => {
    const point = (stick_pct: number, out_pct: number) => ({ stick_pct, out_pct, us: 0 })
    const page = part(CurveDrawing, { curve: [point(-100, -100), point(100, 100)], low: [point(-100, -50), point(100, 50)], label: 'x' })
    expect(page.find('.line').attributes('d')).toBe('M6.0 114.0L126.0 18.0')
    expect(page.find('.low').attributes('d')).toBe('M6.0 90.0L126.0 42.0')
  })
})

describe('a pulse frame', () => {
  const budget = (verdict: string) => ({
    verdict,
    worst_sync_us: 2100,
    required_sync_us: 3000,
    remedies: { frame_us: 22_500, max_channels: 7, hold_unused: { at_us: 1000, worst_sync_us: 3300, sound: true } },
  })

  it('shows the gap and what a reader needs', () => {
    const page = part(FrameDrawing, {
      frameUs: 20_000,
      channels: [
        { us: 2000, held: false },
        { us: 1000, held: true },
      ],
      gapUs: 17_000,
      requiredSyncUs: 3000,
      sound: true,
    })
    expect(page.find('svg').attributes('aria-label')).toBe('Frame of 20 ms with 2 channels; the gap is 17000 µs, needed are 3000 µs')
    expect(page.findAll('text.number').map((one) => one.text())).toEqual(['1', '2·', 'gap 17000', 'needed 3000 µs'])
    expect(page.find('.gap').classes('short')).toBe(false)
    const [gap, end] = [Number(page.find('.gap').attributes('x')), Number(page.find('.end').attributes('x1'))]
    expect(gap).toBeCloseTo(6 + (3000 / 20_000) * 708, 3)
    expect(end).toBeCloseTo(714, 3)
  })

  it('that is ambiguous says so first, and names every way out', () => {
    const page = part(TrainAnswer, { budget: budget('ambiguous'), frameUs: 20_000, channels: 8, used: 6, maxUs: 2100 })
    expect(page.find('.verdict').text()).toBe('The gap can be taken for a channel: values jump or freeze at full stick.')
    expect(page.text()).toContain('22.5 ms holds all 8 channels')
    expect(page.text()).toContain('Hold the 2 unused ones')
    expect(page.text()).toContain('a serial wire has no gap to lose')
    expect(page.find('.gap').classes('short')).toBe(true)
  })

  it('that is sound needs no other format', () => {
    const text = part(TrainAnswer, { budget: budget('sound'), frameUs: 22_500, channels: 8, used: 8, maxUs: 2100 }).text()
    expect(text).toContain('The gap cannot be mistaken.')
    expect(text).not.toContain('Another format')
    expect(text).not.toContain('A longer frame')
  })
})

describe('a delay', () => {
  it('names the stage that makes most of it', () => {
    const stages = [
      { name: 'air', mean_ms: 12.3, share: 0.6 },
      { name: 'wire', mean_ms: 8.2, share: 0.4 },
    ]
    const page = part(DelayBars, { ms: { best: 5, mean: 20.5, p95: 31, worst: 40 }, stages })
    expect(page.find('.big').text()).toContain('20.5 ms mean')
    expect(page.findAll('tbody tr').map((row) => row.classes('most'))).toEqual([true, false])
    expect(page.findAll('tbody tr')[1]?.text()).toBe('wire8.2 ms40 %')
  })
})

describe('a finding', () => {
  it('says how bad it is in a word, with its numbers and what mends it', () => {
    const finding = {
      code: 'T2',
      severity: 'fix',
      message: 'Too high.',
      found: '1085 µs',
      expected: 'below 1060 µs',
      why: 'It never arms.',
      change: 'Lower it.',
    }
    const shown = part(FindingLine, { finding })
    expect(shown.findAll('p, dt, dd').map((one) => one.text())).toEqual([
      'Mend. Too high.',
      'found',
      '1085 µs',
      'expected',
      'below 1060 µs',
      'Lower it.',
      'It never arms. T2',
    ])
    // Why, and by which rule, is a detail.
    expect(shown.find('details').attributes('open')).toBeUndefined()
    const short = part(FindingLine, { finding: { code: 'F6', severity: 'stop', message: 'Never tested.' } })
    expect(short.get('details').text()).toBe('rule F6')
    expect(short.get('p').text()).toBe('Stop. Never tested.')
  })
})

describe('a chain', () => {
  const review = reviewOf('rig-dunlin')

  it('is read out box by box, with how each coupling stands', async () => {
    const page = part(ChainStrip, { boxes: review.boxes, couplings: review.couplings, selected: 1 })
    const marks = page.findAll('button')
    expect(marks.map((one) => one.attributes('aria-label'))).toEqual([
      'Ostrel 9 to Weft R16i: weft-8, 9 ms, joined',
      'Weft R16i to Ruddle F6: 16 × 11-bit, 100 k inverted, 9 ms, joined',
    ])
    expect(marks.map((one) => one.attributes('aria-expanded'))).toEqual(['false', 'true'])
    await marks[0]?.trigger('click')
    expect(page.emitted('select')).toEqual([[0]])
  })

  it('is short on the bench, and says when there is none', () => {
    const page = part(MiniChain, { boxes: review.boxes, couplings: review.couplings })
    expect(page.findAll('.sr-only').map((one) => one.text())).toEqual(['joined', 'joined'])
    expect(part(MiniChain, { boxes: [], couplings: [] }).text()).toBe('no chain yet')
  })
})

describe('a set-up sheet', () => {
  it('shows every section with its rows', () => {
    const { sheet } = reviewOf('rig-dunlin')
    const page = part(SheetBody, { sections: sheet })
    for (const section of sheet) {
      expect(page.text()).toContain(section.title)
      for (const row of section.rows) expect(page.text()).toContain(row.value)
    }
  })
})

describe('the unit of values', () => {
  it('is chosen once, for every field', async () => {
    const units = { percent: { centre: 0, per_us: 0.2 }, raw: { centre: 992, per_us: 1.6 } }
    const page = part(UnitSwitch, {})
    const field = part(PulseField, { value: 1600, label: 'High', units })
    const shown = () => (field.find('input').element as HTMLInputElement).value
    expect(shown()).toBe('1600')
    await page.find('input[value="pct"]').setValue(true)
    expect(shown()).toBe('20')
    await page.find('input[value="raw"]').setValue(true)
    expect(shown()).toBe('1152')
    await page.find('input[value="us"]').setValue(true)
  })

  it('raw is µs where no wire carries counts', async () => {
    const page = part(UnitSwitch, {})
    await page.find('input[value="raw"]').setValue(true)
    const field = part(PulseField, { value: 1600, label: 'High', units: { percent: { centre: 0, per_us: 0.2 }, raw: null } })
    expect((field.find('input').element as HTMLInputElement).value).toBe('1600')
    await page.find('input[value="us"]').setValue(true)
  })
})

describe('a field of a pulse width', () => {
  const units = { percent: { centre: 0, per_us: 0.2 }, raw: null }
  const field = (value: number | null) => part(PulseField, { value, label: 'Low', units })
  const told = (page: ReturnType<typeof field>) => (page.emitted('change') ?? []).map((one) => (one as unknown[])[0])

  it('tells whole numbers while they are typed, and what must be finished first when it is left', async () => {
    const page = field(1500)
    await page.find('input').setValue('1200')
    expect(told(page)).toContain(1200)
    const other = field(1500)
    other.find('input').element.value = '+3'
    await other.find('input').trigger('input')
    expect(told(other)).toEqual([])
    await other.find('input').trigger('blur')
    expect(told(other)).toEqual([1503])
  })

  it('keeps and marks what cannot be read, and tells nothing', async () => {
    const page = field(1500)
    await page.find('input').setValue('abc')
    await page.find('input').trigger('blur')
    expect((page.find('input').element as HTMLInputElement).value).toBe('abc')
    expect(page.find('input').attributes('aria-invalid')).toBe('true')
    expect(told(page)).toEqual([])
  })

  it('hands on several values that were pasted, and goes on at Enter', async () => {
    const page = field(1500)
    const paste = new Event('paste', { cancelable: true }) as Event & { clipboardData: unknown }
    paste.clipboardData = { getData: () => '1000\t1500\t2000' }
    page.find('input').element.dispatchEvent(paste)
    expect(page.emitted('paste')).toEqual([['1000\t1500\t2000']])
    expect(paste.defaultPrevented).toBe(true)
    await page.find('input').trigger('keydown', { key: 'Enter' })
    expect(page.emitted('next')).toHaveLength(1)
  })
})

describe('light and dark', () => {
  it('follow the machine until somebody chooses, and stay then', async () => {
    const { isDark, toggle } = useTheme()
    const before = isDark.value
    toggle()
    await nextTick()
    expect(isDark.value).toBe(!before)
    expect(document.documentElement.dataset.theme).toBe(before ? 'light' : 'dark')
    expect(localStorage.getItem('linguator.theme')).toBe(before ? 'light' : 'dark')
    toggle()
    await nextTick()
    expect(isDark.value).toBe(before)
  })
})

describe('what has just happened', () => {
  it('is said at the foot of the page, and can be taken back there', async () => {
    const notice = useNotice()
    const page = part(NoticeLine, {})
    let taken = 0
    notice.say('Card is off the shelf.', { label: 'Put it back', run: () => taken++ })
    await nextTick()
    expect(page.text()).toContain('Card is off the shelf.')
    await page
      .findAll('button')
      .find((one) => one.text() === 'Put it back')
      ?.trigger('click')
    expect(taken).toBe(1)
    notice.warn('It did not work.')
    await nextTick()
    expect(page.text()).toContain('It did not work.')
    notice.clear()
    await nextTick()
    expect(page.text()).not.toContain('It did not work.')
  })
})
