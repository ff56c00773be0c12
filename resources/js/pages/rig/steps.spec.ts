import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { BindHopView, FailsafeHopView, LossTestView, RigData, RigReview } from '@/api/rigs'
import { CHOICES, fakeHandle, lists, part, pick, reviewOf, rigOf } from '@/testing/bench'
import BindHop from './BindHop.vue'
import CheckOutStep from './CheckOutStep.vue'
import CountDown from './CountDown.vue'
import CouplingPanel from './CouplingPanel.vue'
import FailsafeHop from './FailsafeHop.vue'
import FailsafeStep from './FailsafeStep.vue'
import HandsetPanel from './HandsetPanel.vue'
import HistoryPanel from './HistoryPanel.vue'
import OrderStep from './OrderStep.vue'
import PathChoice from './PathChoice.vue'
import RatesPanel from './RatesPanel.vue'
import SettingTicks from './SettingTicks.vue'
import ThresholdsPanel from './ThresholdsPanel.vue'
import TimingPanel from './TimingPanel.vue'

vi.mock('vue-router', async (actual) => ({
  ...(await actual<typeof import('vue-router')>()),
  useRoute: () => ({ query: {}, params: {} }),
  useRouter: () => ({ push: () => undefined }),
}))

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
})

const dunlin = () => reviewOf('rig-dunlin')
const hopOf = (review: RigReview, k = 0) => review.bind[k] as BindHopView
const lossOf = (review: RigReview, k = 0) => review.failsafe.hops[k] as FailsafeHopView
const button = (page: ReturnType<typeof part>, text: string) => {
  const found = page.findAll('button').find((one) => one.text() === text)
  if (!found) throw new Error(`no button "${text}" among ${page.findAll('button').map((one) => one.text())}`)
  return found
}

beforeEach(() => {
  sessionStorage.clear()
  localStorage.clear()
})

describe('a hop that is bound', () => {
  const shown = (change: Partial<BindHopView> = {}) => {
    const bench = fakeHandle()
    const page = part(BindHop, { hop: { ...hopOf(dunlin()), ...change }, several: false, handle: bench.handle })
    return { page, ...bench }
  }

  it('names what to try next, and offers exactly what is left to choose from', () => {
    const { page } = shown()
    expect(page.find('.next').text()).toBe('weft-8, channels 1–16, world at 2 m')
    expect(lists(page).map((list) => list.picked)).toEqual(['weft-8', '1-16'])
    expect(lists(page)[0]?.offers).toEqual(['weft-8', 'weft-16'])
  })

  it('logs an attempt as it was made, and keeps the note until it is taken', async () => {
    const { page, meant, answer } = shown()
    await pick(page, '1-8', 1)
    const [distance, note] = page.findAll('input:not([role="combobox"])')
    await distance?.setValue('1,5')
    await note?.setValue('  blinks twice ')
    await button(page, 'It did not').trigger('click')
    expect(meant).toEqual([
      ['log-attempt', { hop: 1, variant: 'weft-8', channel_mode: '1-8', region: 'world', distance_m: 1.5, bound: false, note: 'blinks twice' }],
    ])
    answer(false)
    await flushPromises()
    expect((note?.element as HTMLInputElement).value).toBe('  blinks twice ')
    await button(page, 'It bound').trigger('click')
    expect((meant[1]?.[1] as { bound: boolean }).bound).toBe(true)
    answer(true)
    await flushPromises()
    expect((note?.element as HTMLInputElement).value).toBe('')
  })

  it('logs nothing while the distance cannot be read', async () => {
    const { page, meant } = shown()
    await page.findAll('input:not([role="combobox"])')[0]?.setValue('near')
    expect(page.findAll('input:not([role="combobox"])')[0]?.attributes('aria-invalid')).toBe('true')
    await button(page, 'It bound').trigger('click')
    expect(meant).toEqual([])
  })

  it('aims at what the ladder is asked for', async () => {
    const { page } = shown()
    const rungs = page.findAll('table .link-act')
    expect(rungs.map((one) => one.text())).toEqual([
      'weft-8, channels 1–16, world',
      'weft-8, channels 1–8, world',
      'weft-16, channels 1–16, world',
      'weft-16, channels 1–8, world',
    ])
    expect(page.findAll('tbody tr')[0]?.text()).toContain('44 %')
    await rungs[3]?.trigger('click')
    expect(lists(page).map((list) => list.picked)).toEqual(['weft-16', '1-8'])
  })

  it('asks for a proof only once it is bound, and says why an old one holds no longer', () => {
    const open = { state: 'open', at: null, by: null, observed: null, reasons: [] } as unknown as BindHopView['proof']
    expect(shown({ attempts: [], proof: open }).page.text()).not.toContain('Prove it')
    const stale = { ...open, state: 'stale', at: '2026-11-20T18:04:00Z', reasons: ['the receiver was changed'] } as BindHopView['proof']
    const page = shown({ proof: stale }).page
    expect(page.find('.proof').text()).toContain('Bind again: the receiver was changed since 20 Nov 2026, 20:04.')
    expect(page.find('.proof').text()).toContain(hopOf(dunlin()).proof_how)
  })

  it('proves by what was seen', async () => {
    const { page, meant, answer } = shown({ proof: { ...hopOf(dunlin()).proof, state: 'failed' } as BindHopView['proof'] })
    expect(button(page, 'It does').attributes('disabled')).toBe('')
    await page.find('[aria-label="Bind: seen by"]').setValue('Wren')
    await button(page, 'It does not').trigger('click')
    // Locked while it is on its way: a second press tells nothing.
    await button(page, 'It does').trigger('click')
    expect(meant).toEqual([['prove-bind', { hop: 1, passed: false, by: 'Wren' }]])
    answer(true)
    await flushPromises()
    await button(page, 'It does').trigger('click')
    expect(meant[1]).toEqual(['prove-bind', { hop: 1, passed: true, by: 'Wren' }])
  })
})

describe('the seconds left to bind', () => {
  it('run down, and say when it is too late', async () => {
    vi.useFakeTimers()
    const page = part(CountDown, { seconds: 2, label: 'Seconds left to bind' })
    expect(page.find('[role="timer"]').exists()).toBe(false)
    await page.find('button').trigger('click')
    expect(page.find('[role="timer"]').text()).toBe('2.0 s')
    await vi.advanceTimersByTimeAsync(1000)
    expect(page.find('[role="timer"]').text()).toBe('1.0 s')
    await vi.advanceTimersByTimeAsync(1500)
    expect(page.find('[role="timer"]').text()).toBe('too late')
    await page.find('button').trigger('click')
    expect(page.find('[role="timer"]').text()).toBe('2.0 s')
    vi.useRealTimers()
  })
})

describe('what happens when the link is lost', () => {
  const testOf = () => lossOf(dunlin()).tests[0] as LossTestView
  const shown = (change: Partial<FailsafeHopView> = {}, name = 'rig-dunlin') => {
    const bench = fakeHandle()
    const rig = rigOf(name)
    const page = part(FailsafeHop, { hop: { ...lossOf(rig.review), ...change }, rig, handle: bench.handle })
    return { page, rig, ...bench }
  }

  it('says what it does now, what it should do, and how it is tested', () => {
    const text = shown().page.text()
    expect(text).toContain('The controller notices and acts by itself.')
    expect(text).toContain('This is how it is delivered; nothing was set yet.')
    expect(text).toContain('Should stop all output.')
    expect(text).toContain('Propellers off, or wheels and hull clear of the ground or water.')
    expect(text).toContain('Never tested.')
  })

  it('is set as recommended, by the way that was chosen', async () => {
    const { page, meant, answer } = shown()
    await button(page, 'Set it').trigger('click')
    const modes = page.findAll('input[name="mode-1"]')
    expect(modes.map((one) => (one.element as HTMLInputElement).checked)).toEqual([true, false, false, false])
    await page.findAll('input[name="way-1"]')[1]?.setValue(true)
    expect(page.find('.how').text()).toContain('With the button of Weft R16i, as its manual says; no values are stored.')
    await page.find('form').trigger('submit')
    expect(meant).toEqual([['set-failsafe', { hop: 1, mode: 'none', set_by: 'button' }]])
    answer(true)
    await flushPromises()
    expect(page.find('form').exists()).toBe(false)
  })

  it('stores values channel by channel, from what is safe', async () => {
    const { page, meant, answer } = shown()
    await button(page, 'Set it').trigger('click')
    await page.findAll('input[name="mode-1"]')[1]?.setValue(true)
    const values = page.findAll('.values input')
    expect(values.map((one) => (one.element as HTMLInputElement).value)).toEqual(['1500', '1500', '1548.5', '1518', '2012', '2012', '988'])
    await values[5]?.setValue('1990')
    await values[5]?.trigger('change')
    await values[5]?.trigger('blur')
    await page.find('form').trigger('submit')
    expect(meant[0]).toEqual(['set-failsafe', { hop: 1, mode: 'stored', set_by: 'handset', stored_us: [1500, 1500, 1548.5, 1518, 2012, 1990, 988] }])
    answer(false)
    await flushPromises()
    expect(page.find('form').exists()).toBe(true)
    await button(page, 'as recommended').trigger('click')
    expect((page.findAll('.values input')[5]?.element as HTMLInputElement).value).toBe('2012')
  })

  it('is not tested as sound while the motor would run', async () => {
    const fill = async (one: ReturnType<typeof shown>['page']) => {
      await one.find('[aria-label="Failsafe test of hop 1: what was seen"]').setValue('motor stopped')
      await one.find('[aria-label="Failsafe test of hop 1: seen by"]').setValue('Wren')
    }
    const page = shown({ tests: [{ ...testOf(), may_pass: false, mend_first: 'Mend it first.' }] }).page
    await fill(page)
    expect(button(page, 'As expected').attributes('disabled')).toBe('')
    expect(button(page, 'Not as expected').attributes('disabled')).toBeUndefined()
    expect(page.text()).toContain('Mend it first. As it is, this would be seen:')
    const sound = shown().page
    await fill(sound)
    expect(button(sound, 'As expected').attributes('disabled')).toBeUndefined()
    expect(sound.text()).not.toContain('Mend it first')
  })

  it('is told as it was seen where nobody can know beforehand', async () => {
    const choices = [
      { shows: 'motor_stops' as const, says: 'the motor stopped' },
      { shows: 'holds' as const, says: 'it went on as before' },
    ]
    const { page, meant } = shown({ tests: [{ ...testOf(), choices }] })
    expect(page.text()).toContain('Nobody can say beforehand what it does')
    expect(button(page, 'Write it down').attributes('disabled')).toBe('')
    await page.findAll('input[name="shows-1-link"]')[1]?.setValue(true)
    expect(button(page, 'Write it down').attributes('disabled')).toBe('')
    await page.find('[aria-label="Failsafe test of hop 1: seen by"]').setValue('Wren')
    await button(page, 'Write it down').trigger('click')
    expect(meant).toEqual([['test-failsafe', { hop: 1, passed: true, shows: 'holds', observed: '', by: 'Wren' }]])
  })

  it('needs what was seen and who saw it, and keeps both until they are written down', async () => {
    const { page, meant, answer } = shown()
    expect(button(page, 'As expected').attributes('disabled')).toBe('')
    await button(page, 'exactly as written').trigger('click')
    await page.find('[aria-label="Failsafe test of hop 1: seen by"]').setValue(' Wren ')
    await button(page, 'As expected').trigger('click')
    expect(meant[0]).toEqual(['test-failsafe', { hop: 1, passed: true, observed: 'exactly as written', by: 'Wren' }])
    answer(true)
    await flushPromises()
    const seen = page.find('[aria-label="Failsafe test of hop 1: what was seen"]')
    expect((seen.element as HTMLInputElement).value).toBe('')
    await seen.setValue('motor ran on')
    await button(page, 'Not as expected').trigger('click')
    expect(meant[1]).toEqual(['test-failsafe', { hop: 1, passed: false, observed: 'motor ran on', by: 'Wren' }])
    answer(false)
    await flushPromises()
    expect((seen.element as HTMLInputElement).value).toBe('motor ran on')
    // A reload loses nothing either.
    page.unmount()
    expect((shown().page.find('[aria-label="Failsafe test of hop 1: what was seen"]').element as HTMLInputElement).value).toBe('motor ran on')
  })

  it('is tested a second time where a lead can come off, and tells that this is what was done', async () => {
    const lead = {
      ...testOf(),
      cut: 'lead' as const,
      do: 'Throttle up a little, leave Ostrel 9 on, pull the lead of Longshore 868, watch the craft.',
    }
    const { page, meant } = shown({ tests: [testOf(), lead] })
    expect(page.findAll('.test h3').map((one) => one.text())).toEqual(['Test it', 'Test it with the lead pulled'])
    await page.find('[aria-label="Lead test of hop 1: what was seen"]').setValue('it landed')
    await page.find('[aria-label="Lead test of hop 1: seen by"]').setValue('Wren')
    await page.find('[aria-label="Lead test of hop 1: As expected"]').trigger('click')
    expect(meant).toEqual([['test-failsafe', { hop: 1, passed: true, observed: 'it landed', by: 'Wren', cut: 'lead' }]])
  })

  it('lists every hop of a relay by its number', () => {
    const { handle } = fakeHandle()
    const text = part(FailsafeStep, { rig: rigOf('rig-oystercatcher-two-hops'), handle }).text()
    expect(text).toContain('Hop 1: ')
    expect(text).toContain('Hop 2: ')
  })

  it('shows what is stored, in the unit that is chosen', () => {
    const page = shown({}, 'rig-dunlin-stored').page
    expect(page.text()).toMatch(/Stored:.*throttle\s*[\d.]+ µs/s)
  })
})

describe('the check-out', () => {
  const checkOut = (change: Partial<RigReview['readiness']> = {}) => {
    const bench = fakeHandle()
    const rig = rigOf('rig-dunlin')
    rig.review = { ...rig.review, readiness: { ...rig.review.readiness, ...change } }
    const page = part(CheckOutStep, { rig, handle: bench.handle })
    return { page, ...bench }
  }

  it('lists what must hold in the order in which it is redone, each with its state in words', () => {
    const rows = checkOut()
      .page.findAll('.checks > li')
      .map((row) => row.find('.what').text())
    expect(rows).toHaveLength(10)
    expect(rows[0]).toMatch(/^Bind holds/)
    expect(rows[2]).toMatch(/^Directions open/)
    expect(rows[2]).toContain('Expected: with the craft in front of you')
    expect(rows[9]).toContain('depends on the power they are made at; it is not told yet')
  })

  it('takes the power that is set from the range check, and says what the check then stands for', async () => {
    const { handle, meant } = fakeHandle()
    const rig = rigOf('rig-oystercatcher')
    const row = part(CheckOutStep, { rig, handle }).findAll('.checks > li').at(-1)
    expect(row?.text()).toContain('at 100 mW stand for 27 m at 1000 mW')
    const field = row?.find('.power')
    expect((field?.element as HTMLInputElement).value).toBe('100')
    await field?.setValue('500')
    await field?.trigger('change')
    expect(meant).toEqual([['tell-power', { mw: 500 }]])
  })

  it('makes a check by what was seen and who looked', async () => {
    const { page, meant, answer } = checkOut()
    const [directions, antennas] = [page.find('[aria-label="Directions: holds"]'), page.find('[aria-label="Antennas: failed"]')]
    await page.find('[aria-label="Directions: what was seen"]').setValue('all the right way')
    expect(directions.attributes('disabled')).toBe('')
    await page.find('.who input').setValue(' Wren ')
    await directions.trigger('click')
    // The name is known by now; what was seen of the antennas is not.
    expect(antennas.attributes('disabled')).toBe('')
    await page.find('[aria-label="Antennas: what was seen"]').setValue('one tip is bare')
    await antennas.trigger('click')
    expect(meant).toEqual([
      ['make-check', { check: 'direction', passed: true, observed: 'all the right way', by: 'Wren' }],
      ['make-check', { check: 'antenna', passed: false, observed: 'one tip is bare', by: 'Wren' }],
    ])
    answer(true)
    await flushPromises()
    expect((page.find('[aria-label="Directions: what was seen"]').element as HTMLInputElement).value).toBe('')
  })

  it('sends to the step where a check is made, and offers no button for it', () => {
    const { page } = checkOut()
    expect(page.find('[aria-label="Failsafe setting: holds"]').exists()).toBe(false)
    const rows = page.findAll('.checks > li')
    expect(rows[5]?.find('.to').text()).toBe('do it')
    expect(rows[0]?.find('.to').text()).toBe('see it')
  })

  it('is signed off by somebody, and only when nothing refuses it', async () => {
    const refused = checkOut().page
    expect(refused.find('.verdict').text()).toBe('Not ready. The lowest throttle, 1085 µs, is not below the low threshold of 1060 µs.')
    expect(button(refused, 'Sign it off').attributes('disabled')).toBe('')
    expect(refused.find('.sign').text()).toContain(`${dunlin().readiness.refused_because.length} things stand against it.`)
    const { page, meant } = checkOut({ ready: true, stops: [], refused_because: [] })
    expect(button(page, 'Sign it off').attributes('disabled')).toBe('')
    await page.findAll('.sign input')[0]?.setValue('Wren')
    expect(button(page, 'Sign it off').attributes('disabled')).toBeUndefined()
    await page.findAll('.sign input')[1]?.setValue('windless')
    await page.find('.sign form').trigger('submit')
    expect(meant).toEqual([['sign-off', { by: 'Wren', note: 'windless' }]])
  })

  it('never calls a rig ready whose sign-off has gone stale', () => {
    const stale = { state: 'stale', at: '2026-11-20T18:30:00Z', by: 'Wren', observed: null, reasons: ['the ends were changed'] }
    const text = checkOut({ sign_off: stale as RigReview['readiness']['sign_off'] }).page.text()
    expect(text).not.toContain('Ready')
    expect(text).toContain('by Wren; no longer, because the ends were changed.')
  })

  it('leaves something as it is by reason and name, and takes it up again', async () => {
    const { page, meant, answer } = checkOut()
    const rows = page.findAll('.leftovers li')
    expect(rows.length).toBe(dunlin().readiness.leftovers.length)
    const sentence = dunlin().readiness.leftovers[0]?.sentence ?? ''
    await page.find(`[aria-label="Leave as it is: ${sentence}"]`).trigger('click')
    expect(button(page, 'Leave it as it is').attributes('disabled')).toBe('')
    await page.find('.leftovers form input').setValue('the controller is set so')
    await page.findAll('.leftovers form input')[1]?.setValue('Wren')
    await page.find('.leftovers form').trigger('submit')
    expect(meant).toEqual([['leave-as-is', { what: dunlin().readiness.leftovers[0]?.what, reason: 'the controller is set so', by: 'Wren' }]])
    answer(true)
    await flushPromises()
    expect(page.find('.leftovers form').exists()).toBe(false)
    const left = dunlin().readiness.leftovers.map((one) => ({
      ...one,
      left: { was: one.sentence, reason: 'on purpose', by: 'Wren', at: '2026-11-20T18:30:00Z' },
    }))
    const kept = checkOut({ leftovers: left })
    expect(kept.page.find('.leftovers li').text()).toContain('Left as it is: on purpose (Wren, 20 Nov 2026).')
    await button(kept.page, 'Take it up again').trigger('click')
    expect(kept.meant).toEqual([['take-up-again', { what: left[0]?.what }]])
  })

  it('tells where the antenna sits and whether it stays in a room', async () => {
    const { page, meant } = checkOut()
    await page.find('[placeholder="upright behind the canopy"]').setValue('at 45°')
    await page.find('.inline input[type="checkbox"]').setValue(true)
    expect(meant).toEqual([
      ['tell-antenna', { antenna: 'at 45°' }],
      ['tell-indoors', { indoors: true }],
    ])
  })
})

describe('rates', () => {
  it('are told one by one, inside their bounds', async () => {
    const { handle, meant } = fakeHandle()
    const rates = dunlin().switches.rates
    const page = part(RatesPanel, { rates, handle, menu: null })
    const field = (label: string) => page.find(`[aria-label="${rates[0]?.function}, ${label}"]`)
    await field('Rate, %').setValue('70')
    await field('Low rate, %').setValue('')
    await field('Expo, %').setValue('-20')
    await field('Rate, %').setValue('400')
    expect(field('Rate, %').attributes('aria-invalid')).toBe('true')
    expect(meant).toEqual([
      ['set-rates', { channel: 1, rate_pct: 70 }],
      ['set-rates', { channel: 1, expo_pct: -20 }],
    ])
  })
})

describe('thresholds', () => {
  it('are set as suggested in one go, or one by one', async () => {
    const { handle, meant } = fakeHandle()
    const read = dunlin().travel.thresholds
    const waits = part(ThresholdsPanel, { thresholds: read, handle, menu: null })
    expect(waits.text()).toContain('its ends are about to change')
    expect(waits.text()).not.toContain('Set as suggested')
    waits.unmount()
    const thresholds = { ...read, waits_for: null, suggested: { low: 1095, high: 2002, deadband: 3 } }
    const page = part(ThresholdsPanel, { thresholds, handle, menu: 'In' })
    expect(page.text()).toContain('1095 µs')
    await button(page, 'Set as suggested').trigger('click')
    await page.find('[aria-label="Dead band, µs"]').setValue('6')
    expect(meant).toEqual([
      ['set-thresholds', { low: 1095, high: 2002, deadband: 3 }],
      ['set-thresholds', { deadband: 6 }],
    ])
  })

  it('offer nothing where they are as suggested', () => {
    const { handle } = fakeHandle()
    const thresholds = dunlin().travel.thresholds
    const page = part(ThresholdsPanel, { thresholds: { ...thresholds, ...thresholds?.suggested }, handle, menu: null })
    expect(page.text()).not.toContain('Set as suggested')
  })
})

describe('a coupling', () => {
  it('says what must match, side by side, and takes ticks', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(CouplingPanel, { rig: rigOf('rig-dunlin'), position: 0, handle })
    expect(page.find('h2').text()).toBe('Ostrel 9 to Weft R16i: joined')
    expect(page.findAll('th').map((one) => one.text())).toEqual(['What must match', 'Ostrel 9 gives', 'Weft R16i takes'])
    expect(page.findAll('tbody tr')[1]?.text()).toBe('Variantweft-8weft-8')
    await page.find('input[type="checkbox"]').setValue(false)
    expect(meant).toEqual([['tick-setting', { box: 'weft-r16i', setting: 'protocol', done: false }]])
  })

  it('says that nothing is to be set where nothing is, and why two do not join where they do not', () => {
    const { handle } = fakeHandle()
    expect(part(CouplingPanel, { rig: rigOf('rig-dunlin'), position: 1, handle }).text()).toContain('Joined as delivered; nothing to set here.')
    const rig = rigOf('rig-dunlin')
    const apart = {
      ...rig.review.couplings[1],
      state: 'will_not_join',
      misses: [{ code: 'M3', message: 'Upside down.', change: 'Put an inverter between.' }],
    }
    rig.review = { ...rig.review, couplings: [rig.review.couplings[0], apart] as RigReview['couplings'] }
    const page = part(CouplingPanel, { rig, position: 1, handle })
    expect(page.find('h2').text()).toContain('will not join')
    expect(page.find('.band.stop').text()).toBe('Upside down. Put an inverter between. M3')
  })

  it('shows a value to be set with the name of its box', () => {
    const { handle } = fakeHandle()
    const change = { name: 'Order', done: false, to: 'AETR', box: 'a', box_name: 'Ostrel 9', setting: 'order', value: 'AETR' }
    expect(
      part(SettingTicks, { changes: [change], handle })
        .find('label')
        .text(),
    ).toBe('Ostrel 9 Order AETR')
  })
})

describe('the handset, made ready', () => {
  it('counts what is left, ticks it, and takes numbers and modes as they are meant', async () => {
    const { handle, meant } = fakeHandle()
    const rig = rigOf('rig-dunlin', { memory: '06', receiver_number: 4, stick_mode: 2 })
    const page = part(HandsetPanel, { rig, handle })
    const open = rig.review.handset.filter((item) => !item.done).length
    expect(page.text()).toContain(`${open} of ${rig.review.handset.length} still to do.`)
    const [memory, number] = page.findAll('.facts input:not([role="combobox"])')
    expect((memory?.element as HTMLInputElement).value).toBe('06')
    await memory?.setValue('00')
    await number?.setValue('7')
    await pick(page, '')
    const first = rig.review.handset.findIndex((item) => !item.done)
    await page.findAll('input[type="checkbox"]')[first]?.setValue(true)
    expect(meant).toEqual([
      ['tell-memory', { memory: '00' }],
      ['tell-receiver-number', { number: 7 }],
      ['tell-stick-mode', { mode: null }],
      ['tick-handset', { item: rig.review.handset[first]?.key, done: true }],
    ])
  })

  it('sends to the path while there is no handset', () => {
    const { handle } = fakeHandle()
    expect(part(HandsetPanel, { rig: rigOf('rig-blank'), handle }).text()).toContain('Choose a handset')
  })
})

describe('the order', () => {
  it('says in words which stick would move what, and offers what mends it', async () => {
    const { handle, meant } = fakeHandle()
    const page = part(OrderStep, { rig: rigOf('rig-avocet-order-changed'), handle }, [CHOICES])
    const order = reviewOf('rig-avocet-order-changed').order
    expect(order.right).toBe(false)
    expect(page.find('.verdict').text()).toMatch(/^Wrong: the \w+ stick would move \w+\.$/)
    const make = page.findAll('ol button, li button')
    expect(make.length).toBeGreaterThan(0)
    await make[0]?.trigger('click')
    expect(meant).toEqual([
      ['mend-order', { at: order.fixes[0]?.at, ...(order.fixes[0]?.module === undefined ? {} : { module: order.fixes[0]?.module }) }],
    ])
  })

  it('says that it is right where it is', () => {
    const { handle } = fakeHandle()
    expect(
      part(OrderStep, { rig: rigOf('rig-dunlin'), handle }, [CHOICES])
        .find('.verdict')
        .text(),
    ).toBe('Right: each stick moves what it should.')
  })
})

describe('a path that could be taken', () => {
  const way = {
    boxes: ['a', 'b', 'c'],
    links: [
      { from: 'a', to: 'b', via: 'weft/weft-8', settings: {} },
      { from: 'b', to: 'c', via: 's100i', settings: {} },
    ],
    settings_to_change: [{ box: 'b', setting: 'remap', to: false }],
    findings: [{ code: 'M6', severity: 'fix', message: 'Channel 5 is kept.' }],
    telemetry: 'link',
    latency_ms: { best: 1, mean: 17.25, p95: 25, worst: 30 },
  }

  it('says in one line why it is where it is', async () => {
    const page = part(PathChoice, { way, names: { a: 'Ostrel 9', b: 'Weft R16i' }, settingNames: { remap: 'Remapping' }, best: true, taken: false })
    expect(page.find('.boxes').text().replace(/\s+/g, ' ')).toBe('Ostrel 9 weft weft-8 →Weft R16i s100i →c')
    expect(page.text()).toContain('Best: 1 to mend · 3 boxes · 1 to set · 17.3 ms mean delay · telemetry of the link')
    expect(page.text()).toContain('Weft R16i, remapping off')
    await page.find('button').trigger('click')
    expect(page.emitted('take')).toHaveLength(1)
  })

  it('offers nothing where the rig has it', () => {
    const page = part(PathChoice, { way: { ...way, findings: [], settings_to_change: [] }, names: {}, settingNames: {}, best: false, taken: true })
    expect(page.text()).toContain('nothing to mend · 3 boxes · nothing to set')
    expect(page.text()).toContain('This rig has it')
    expect(page.find('button').exists()).toBe(false)
  })
})

describe('timing', () => {
  it('tells delay and resolution with their units, and what another way would gain', () => {
    const text = part(TimingPanel, { rig: rigOf('rig-dunlin') }).text()
    const timing = dunlin().timing
    expect(text).toContain('Delay from stick to craft')
    expect(text).toContain(`${timing.resolution.coarsest?.levels} steps`)
    const first = timing.alternatives[0]
    if (first) expect(text).toContain(first.gain_ms > 0 ? 'ms faster' : first.gain_ms < 0 ? 'ms slower' : 'the same')
  })

  it('says that nothing is known before the chain joins', () => {
    expect(part(TimingPanel, { rig: rigOf('rig-blank') }).text()).toContain('Frames and delay are known once the chain joins.')
  })
})

describe('the history', () => {
  const item = (position: number, text: string, standing = true, kind = 'change') => ({
    position,
    standing,
    run: null as { newest: number; says: string } | null,
    entry: { at: `2026-11-20T18:0${position}:00Z`, kind, text },
  })
  const history = (change: Partial<RigData> = {}) => {
    const bench = fakeHandle()
    const undone: unknown[] = []
    const handle = { ...bench.handle, undo: (position?: number) => (undone.push(position), Promise.resolve(true)) }
    const rig = {
      ...rigOf('rig-dunlin'),
      history: [item(2, 'Ends set'), item(1, 'Order', false, 'undo')],
      history_total: 5,
      undo: 2,
      ...change,
    } as unknown as RigData
    return { page: part(HistoryPanel, { rig, handle }), undone, ...bench }
  }

  it('takes back the last change, or any that still stands', async () => {
    const { page, undone } = history()
    await button(page, 'Take the last change back').trigger('click')
    await page.find('[aria-label="Take back: Ends set"]').trigger('click')
    expect(page.find('[aria-label="Take back: Order"]').exists()).toBe(false)
    expect(undone).toEqual([undefined, 2])
    expect(page.text()).toContain('3 older entries stand in')
  })

  it('writes a note, keeps it until it is written, and never an empty one', async () => {
    const { page, meant, answer } = history()
    await page.find('.note').trigger('submit')
    await page.find('[aria-label="A note"]').setValue('  servos grind ')
    await page.find('.note').trigger('submit')
    expect(meant).toEqual([['write-note', { text: 'servos grind' }]])
    answer(true)
    await flushPromises()
    expect((page.find('[aria-label="A note"]').element as HTMLInputElement).value).toBe('')
  })

  it('tells a flight with or without words, and keeps what is typed where it was not taken', async () => {
    const { page, meant, answer } = history()
    await button(page, 'It flew or ran').trigger('click')
    answer(true)
    await flushPromises()
    await page.find('[aria-label="A note"]').setValue(' gusty ')
    await button(page, 'It flew or ran').trigger('click')
    expect(meant).toEqual([
      ['tell-flight', {}],
      ['tell-flight', { text: 'gusty' }],
    ])
    answer(false)
    await flushPromises()
    expect((page.find('[aria-label="A note"]').element as HTMLInputElement).value).toBe(' gusty ')
  })

  it('shows changes made in one go as one line that opens, each of them still to be taken back', async () => {
    const run = { newest: 4, says: 'Switches and windows: 3 changes in one go' }
    const items = [item(5, 'Order'), ...[4, 3, 2].map((position) => ({ ...item(position, `Window ${position}`), run })), item(1, 'Ends set')]
    const { page, undone } = history({ history: items } as Partial<RigData>)
    expect(page.findAll('details')).toHaveLength(1)
    expect(page.find('summary').text()).toContain(run.says)
    expect(page.findAll('details li')).toHaveLength(3)
    expect(page.find('details').text()).not.toContain('Ends set')
    await page.find('[aria-label="Take back: Window 3"]').trigger('click')
    expect(undone).toEqual([3])
  })

  it('asks before a rig is taken off the bench', async () => {
    const { page } = history()
    await button(page, 'Take this rig off the bench').trigger('click')
    expect(page.emitted('remove')).toBeUndefined()
    await button(page, 'Take it off the bench').trigger('click')
    expect(page.emitted('remove')).toHaveLength(1)
  })
})
