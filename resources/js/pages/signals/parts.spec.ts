import { flushPromises } from '@vue/test-utils'
import { readFileSync } from 'node:fs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { CaptureReading, FrameSeen, Span } from '@/api/captures'
import * as http from '@/api/http'
import { usOf } from '@/lib/scale'
import { CHOICES, lists, part, pick } from '@/testing/bench'
import CaptureExport from './CaptureExport.vue'
import CaptureUse from './CaptureUse.vue'
import ChannelMeters from './ChannelMeters.vue'
import ChannelTable from './ChannelTable.vue'
import FlagTimes from './FlagTimes.vue'
import FrameInspector from './FrameInspector.vue'
import FrameTiming from './FrameTiming.vue'
import LineFactsList from './LineFactsList.vue'
import OverlayDrawing from './OverlayDrawing.vue'
import StandInForm from './StandInForm.vue'
import WholeDrawing from './WholeDrawing.vue'

vi.mock('vue-router', async (actual) => ({ ...(await actual<typeof import('vue-router')>()), useRouter: () => ({ push: () => undefined }) }))

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
  vi.restoreAllMocks()
})

/** What the core answers of a capture, as in the reviewed files. */
const readingOf = (name: string) => JSON.parse(readFileSync(`tests/fixtures/answers/capture-${name}.json`, 'utf8')) as CaptureReading
const button = (page: ReturnType<typeof part>, text: string) => page.findAll('button').find((one) => one.text() === text)

describe('the channels of a capture', () => {
  it('stand in two lists: those that move with their figures, those that stand still with their value', async () => {
    const reading = readingOf('dunlin-damaged.bin')
    const page = part(ChannelTable, { answer: reading.answer, stillChannels: reading.desk.still, chosen: 5 }, [CHOICES])
    const moving = page.findAll('tbody tr')
    expect(moving.map((row) => row.find('button').text())).toEqual(['1', '2', '3', '4', '5'])
    expect(page.findAll('.still li')).toHaveLength(9)
    expect(page.find('.still li').text()).toBe('6still at 1500 µs')
    expect(page.find('[aria-label="Draw channel 5"]').attributes('aria-pressed')).toBe('true')
    await page.find('[aria-label="Draw channel 7"]').trigger('click')
    expect(page.emitted('choose')).toEqual([[7]])
  })

  it('are said in words where they are drawn', () => {
    const reading = readingOf('dunlin-damaged.bin')
    const first = reading.answer.channels[0]
    const page = part(ChannelTable, { answer: reading.answer, stillChannels: reading.desk.still, chosen: 1 }, [CHOICES])
    expect(page.find('svg').attributes('aria-label')).toBe(
      `Channel 1: from ${first?.min_us} to ${first?.max_us} µs, last ${first?.last_us} µs; targets at 1000, 1500, 2000 µs`,
    )
  })

  it('move as they come in', () => {
    const page = part(ChannelMeters, { channels: [{ channel: 3, us: 1200.4, low_us: 1100, high_us: 1900 }] }, [CHOICES])
    expect(page.find('.big').text()).toBe('1200')
    expect(page.find('svg').attributes('aria-label')).toBe('Channel 3 at 1200 µs, so far from 1100 to 1900 µs')
  })
})

describe('flags', () => {
  it('are told by when they were up, and for how many frames', () => {
    const text = part(FlagTimes, { answer: readingOf('oystercatcher-link-cut.hex').answer }).text()
    expect(text).toMatch(/failsafe up from 1\.61\d* s/)
    expect(text).toContain('frames')
  })

  it('are told by the frame where there are no times, and many of them only by their number', () => {
    const answer = readingOf('s100i_clean.hex').answer
    const stretch = { flag: 'frame_lost', from_frame: 4, frames: 2, from_ms: null, to_ms: null }
    const page = part(FlagTimes, { answer: { ...answer, flag_times: Array.from({ length: 14 }, () => stretch) } })
    expect(page.findAll('li')[0]?.text()).toBe('frame lost up from frame 5, 2 frames')
    expect(page.findAll('li')[12]?.text()).toBe('and 2 stretches more')
    expect(
      part(FlagTimes, { answer: { ...answer, flag_times: [], others: [] } })
        .find('section')
        .exists(),
    ).toBe(false)
  })
})

describe('the time from frame to frame', () => {
  it('is told in ms, its spread in µs, its rate in frames a second, and what is late', () => {
    const reading = readingOf('dunlin-serial.csv')
    const period = reading.answer.period_ms
    const text = part(FrameTiming, { reading }).text()
    expect(text).toContain(`${period?.mean.toFixed(3).replace(/\.?0+$/, '')}`)
    expect(text).toContain(`${Number((1000 / (period?.mean ?? 1)).toFixed(1))} frames/s`)
    expect(text).toContain('% of the frames late')
  })

  it('is left out where the capture has no times', () => {
    expect(
      part(FrameTiming, { reading: readingOf('dunlin-damaged.bin') })
        .find('section')
        .exists(),
    ).toBe(false)
  })
})

describe('the facts of a line', () => {
  const facts = (name: string) => {
    const page = part(LineFactsList, { answer: readingOf(name).answer, grain: readingOf(name).desk.grain_us })
    return Object.fromEntries(page.findAll('div').map((row) => [row.find('dt').text(), row.find('dd').text()]))
  }

  it('say how coarse a recording is, and nothing of the kind where times are their own', () => {
    expect(facts('mudlark-train.wav').grain).toMatch(/^a sample every (20\.8|22\.7) µs \((48000|44100) a second\)/)
    expect(facts('dunlin-wrong-way-up.vcd').grain).toBeUndefined()
  })

  it('name baud, parity and polarity of a format that is known', () => {
    const line = facts('dunlin-wrong-way-up.vcd')
    expect(line.line).toMatch(/^\d+ baud, 8[NEO][12]$/)
    expect(line.polarity).toMatch(/^idles (low \(inverted\)|high)$/)
    expect(line['one bit']).toMatch(/ µs, \d+ baud measured$/)
    expect(line['captured as']).toMatch(/^VCD, \d+ bytes$/)
    expect(line['begins with']).toBeUndefined()
  })

  it('name the wire where there is more than one', () => {
    expect(facts('two_wires.vcd').wire).toContain(' of ')
  })

  it('of bytes that nobody knows are what repeats, what is always the same, and which check holds', () => {
    const answer = {
      ...readingOf('s115u_clean.bin').answer,
      format: null,
      line: null,
      line_facts: { frame_bytes: 8, header: '71', check: 'sum8, over the bytes from 1 on', first_bytes: '7105dc', parity_errors: 0, stop_errors: 3 },
    }
    const page = part(LineFactsList, { answer, grain: null })
    expect(page.text()).toContain('repeats every8 bytes')
    expect(page.text()).toContain('always the same0x71')
    expect(page.text()).toContain('check that holdssum8, over the bytes from 1 on')
    expect(page.text()).toContain('begins with71 05 dc')
    expect(page.text()).toContain('stop bit missing in3 bytes')
    expect(page.text()).not.toContain('parity wrong in')
  })
})

describe('one frame', () => {
  const frame = {
    index: 4,
    t_ms: 57.1234,
    offset: 128,
    begins_us: 57_123.4,
    lasts_us: 3000,
    hex: '0fff',
    fields: [
      { name: 'start', from: 0, bytes: 1, hex: '0f', says: 'always 0f', sound: true },
      { name: 'channels', from: 1, bytes: 22, hex: 'ff00', says: '16 values', sound: false },
    ],
    channels: [{ channel: 2, from_bit: 19, bits: 11, raw: 992, us: 1500.04 }],
  } as unknown as FrameSeen

  it('is told by its number, time and place, byte by byte', async () => {
    const page = part(FrameInspector, { frame })
    expect(page.find('h3').text()).toBe('Frame 5, at 57.123 ms, byte 128 of the capture')
    const rows = page.findAll('tbody tr')
    expect(rows.map((row) => row.find('td').text())).toEqual(['0', '1–22'])
    expect(rows[1]?.classes()).toContain('unsound')
    expect(rows[1]?.text()).toContain('ff 00')
    expect(page.find('.channels li').text()).toContain('1500 µs')
    await page.get('.channels button').trigger('focusin')
    expect(page.get('[role=tooltip]').text()).toBe('byte 2, bit 3 to byte 3, bit 5')
  })

  it('of a pulse train has no bytes', () => {
    const pulses = {
      ...frame,
      t_ms: null,
      offset: null,
      hex: null,
      fields: [],
      channels: [{ channel: 1, from_bit: null, bits: null, raw: null, us: 1501 }],
    }
    const page = part(FrameInspector, { frame: pulses })
    expect(page.find('h3').text()).toBe('Frame 5')
    expect(page.find('table').exists()).toBe(false)
    expect(page.find('.channels li button').exists()).toBe(false)
  })
})

describe('the whole capture, drawn', () => {
  const drawn = (reading: CaptureReading, channel: number) =>
    part(
      WholeDrawing,
      {
        reading,
        channel,
        stretch: { from: 0, to: reading.desk.ends_us ?? 1 },
        bracket: { from: 0, to: 1000 },
        timeOf: (span: Span) => usOf(span.t_ms ?? span.frame),
      },
      [CHOICES],
    )
  const heights = (path: string) => [...path.matchAll(/ ([\d.]+)(?=L|Z)/g)].map((one) => Number(one[1]))

  it('puts a higher value higher, and nothing outside', () => {
    const reading = readingOf('dunlin-damaged.bin')
    const span = (frame: number, us: number): Span => ({ frame, t_ms: frame, gap_ms: null, low: { 1: us }, high: { 1: us } }) as unknown as Span
    const page = drawn(
      { ...reading, desk: { ...reading.desk, ends_us: 4000, spans: [span(0, 1000), span(1, 2000), span(2, 100), span(3, 9000)] } },
      1,
    )
    const [low, high, under, over] = heights(page.find('.band').attributes('d') ?? '')
    expect(high).toBeLessThan(low ?? 0)
    expect(under).toBeLessThanOrEqual(78)
    expect(over).toBeGreaterThanOrEqual(5)
  })

  it('draws nothing where frames are missing for a while', () => {
    const reading = readingOf('dunlin-damaged.bin')
    const spans = [0, 1, 2, 3, 40, 41].map((t, k) => ({
      frame: k,
      t_ms: t,
      gap_ms: k === 0 ? null : k === 4 ? 37 : 1,
      low: { 1: 1500 },
      high: { 1: 1500 },
    })) as unknown as Span[]
    const path =
      drawn({ ...reading, desk: { ...reading.desk, ends_us: 42_000, spans } }, 1)
        .find('.band')
        .attributes('d') ?? ''
    expect(path.match(/M/g)).toHaveLength(2)
  })

  it('marks every bad frame where its bytes are, and says how many', () => {
    const reading = readingOf('dunlin-damaged.bin')
    const page = drawn(reading, 1)
    expect(page.findAll('.bad')).toHaveLength(reading.answer.bad_frames.length)
    expect(page.find('svg').attributes('aria-label')).toContain(`${reading.answer.bad_frames.length} bad frames marked`)
    const first = reading.answer.bad_frames[0]
    expect(Number(page.find('.bad').attributes('x1'))).toBeCloseTo(((first?.offset ?? 0) / (reading.answer.bytes ?? 1)) * 1000, 3)
  })
})

describe('two captures, one over the other', () => {
  const compared = {
    comparison: {
      delay_ms: 20,
      a: [0, 10, 20].map((t) => ({ t_ms: t, us: { 1: 1500 } })),
      b: [20, 30, 40].map((t) => ({ t_ms: t, us: { 2: 1500 } })),
    },
  }
  it('lie on one another once the delay is taken off', () => {
    const page = part(OverlayDrawing, { compared, row: { a: 1, b: 2 } }, [CHOICES])
    expect(page.find('.first').attributes('d')).toBe(page.find('.second').attributes('d'))
    expect(page.find('svg').attributes('aria-label')).toContain('channel 2 of the second one, dashed, moved back by 20 ms')
  })
  it('say so where nothing goes with a channel', () => {
    const page = part(OverlayDrawing, { compared, row: { a: 1, b: null } }, [CHOICES])
    expect(page.find('.second').exists()).toBe(false)
    expect(page.find('svg').attributes('aria-label')).toContain('nothing that goes with it')
  })
})

describe('a stand-in', () => {
  const shown = () => part(StandInForm, { formats: [{ id: 's100i', name: '16 × 11-bit' }] })
  const sent = (page: ReturnType<typeof shown>) => (page.emitted('send') ?? []).map((one) => (one as unknown[])[0])

  it('sends what was chosen; percent go as shares', async () => {
    const page = shown()
    await pick(page, 'dropped', 2)
    await page.find('[aria-label="by how much"]').setValue('25')
    await page.find('[aria-label="by how much"]').trigger('change')
    await page.find('input[type="checkbox"]').setValue(true)
    await page.find('form').trigger('submit')
    expect(sent(page)).toEqual([{ kind: 'csv', stand_in: { format: 's100i', seconds: 2, inverted: true, dropped: 0.25 } }])
  })

  it('proposes a usual amount for each fault, in its unit', async () => {
    const page = shown()
    await pick(page, 'baud', 2)
    expect((page.find('[aria-label="by how much"]').element as HTMLInputElement).value).toBe('115200')
    expect(page.text()).toContain('baud')
    await page.find('form').trigger('submit')
    expect(sent(page)).toEqual([{ kind: 'csv', stand_in: { format: 's100i', seconds: 2, baud: 115200 } }])
  })

  it('captures pulses only as what can hold them', async () => {
    const page = shown()
    await pick(page, 'hex', 1)
    await pick(page, 'ppm')
    expect(lists(page)[1]).toMatchObject({ offers: ['csv', 'vcd', 'wav'], picked: 'csv' })
  })
})

describe('taking a capture along', () => {
  const capture = { id: 7, name: 'x.bin' }
  it('asks for the values, or for the signal in another format', async () => {
    const save = vi.spyOn(http, 'saveFrom').mockResolvedValue(undefined as never)
    const page = part(CaptureExport, { capture, options: { as: 's100i' }, formats: [{ id: 's115u', name: 'words' }] })
    await button(page, 'JSON')?.trigger('click')
    expect(button(page, 'WAV')).toBeUndefined()
    await pick(page, 'ppm')
    expect(button(page, 'binary')).toBeUndefined()
    await button(page, 'WAV')?.trigger('click')
    expect(save.mock.calls).toEqual([
      ['/captures/7/export', { as: 'json', options: { as: 's100i' } }, 'capture-7.json'],
      ['/captures/7/export', { as: 'wav', options: { as: 's100i' }, format: 'ppm' }, 'capture-7.wav'],
    ])
  })

  it('says why where it cannot be had', async () => {
    vi.spyOn(http, 'saveFrom').mockRejectedValue(new http.ApiError(422, 'not_recognised', 'It is not recognised.', 'capture'))
    const page = part(CaptureExport, { capture, options: {}, formats: [] })
    await button(page, 'CSV')?.trigger('click')
    await flushPromises()
    expect(page.find('[role="alert"]').text()).toBe('It is not recognised. (capture)')
  })
})

describe('using a capture for a rig', () => {
  const look = {
    revision: 9,
    keeps_file: true,
    travel: [
      { channel: 1, name: 'aileron', lo: 989, mid: 1500, hi: 2011, moved: true, rested: true },
      { channel: 3, name: 'throttle', lo: 1085, mid: 1548.5, hi: 2012, moved: true, rested: false },
      { channel: 4, name: 'rudder', lo: 1490, mid: 1500, hi: 1510, moved: false, rested: true },
    ],
    failsafe: [{ hop: 1, expected: 'Motor off.' }],
    observed: 'failsafe flag up from 1.6 s',
  }
  const RIGS: [readonly string[], unknown] = [['rigs'], { rigs: [{ slug: 'avocet', name: 'Avocet' }] }]
  const chosen = async () => {
    const asked: unknown[] = []
    vi.spyOn(http, 'getJson').mockResolvedValue(RIGS[1] as never)
    vi.spyOn(http, 'postJson').mockImplementation(((_: string, body: unknown) => (asked.push(body), Promise.resolve(look))) as never)
    const page = part(CaptureUse, { capture: { id: 3, name: 'x' }, options: {} }, [RIGS])
    await pick(page, 'avocet')
    await flushPromises()
    return { page, asked }
  }

  it('ticks those sticks that were moved to their ends, and takes over what is ticked', async () => {
    const { page, asked } = await chosen()
    expect(page.findAll('input[type="checkbox"]').map((one) => (one.element as HTMLInputElement).checked)).toEqual([true, true, false])
    expect(page.text()).toContain('the middle is halfway: it does not rest there')
    expect(page.text()).toContain('was not moved to its ends')
    await page.findAll('input[type="checkbox"]')[1]?.setValue(false)
    await button(page, 'Take them over')?.trigger('click')
    expect(asked[1]).toEqual({ capture: 3, options: {}, revision: 9, use: 'travel', channels: [1] })
  })

  it('records what a cut link did, as it was seen', async () => {
    const { page, asked } = await chosen()
    expect(page.text()).toContain('Expected: Motor off.')
    expect(button(page, 'As expected')?.attributes('disabled')).toBe('')
    await page.find('.by').setValue('Wren')
    await button(page, 'Not as expected')?.trigger('click')
    expect(asked[1]).toEqual({ capture: 3, options: {}, revision: 9, use: 'failsafe', hop: 1, passed: false, by: 'Wren' })
  })
})
