import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { age, byDay, clock, day, dayForm, dayKey, dayPattern, heading, moment, monthsOfYear, shareOfYear, weekStart } from './dates'

// The tests run by a clock two hours ahead (vitest.config): what documents hold in UTC is told by it.
describe('moments of a document', () => {
  beforeEach(() => vi.useFakeTimers({ now: new Date('2026-11-25T08:00:00Z') }))
  afterEach(() => vi.useRealTimers())

  it('are told by the clock on the wall', () => {
    expect(day('2026-11-03T22:59:00Z')).toBe('4 Nov 2026')
    expect(clock('2026-11-03T22:59:00Z')).toBe('00:59')
    expect(moment('2026-11-03T22:59:00Z')).toBe('4 Nov 2026, 00:59')
    expect(dayKey('2026-11-03T22:59:00Z')).toBe('2026-11-04')
    expect(heading('2026-11-03')).toBe('Tuesday 3 November 2026')
    expect(heading('some day')).toBe('some day')
    expect([day(null), clock(undefined), moment(null), age(null)]).toEqual(['', '', '', ''])
  })

  it.each([
    ['2026-11-25T07:59:00Z', 'today'],
    ['2026-11-25T09:00:00Z', 'today'],
    // Eight hours ago, and yesterday by the calendar.
    ['2026-11-24T21:59:00Z', 'yesterday'],
    ['2026-11-24T22:00:00Z', 'today'],
    ['2026-11-22T08:00:00Z', '3 days ago'],
    ['2026-09-27T08:00:00Z', '59 days ago'],
    ['2026-09-26T08:00:00Z', '2 months ago'],
  ])('%s is %s', (at, words) => expect(age(at)).toBe(words))

  it('are grouped by day of that clock in the sequence given', () => {
    const items = ['2026-11-25T08:00:00Z', '2026-11-24T10:00:00Z', '2026-11-24T23:00:00Z', '2026-11-24T09:00:00Z']
    expect(byDay(items, (item) => item)).toEqual([
      ['2026-11-25', [items[0], items[2]]],
      ['2026-11-24', [items[1], items[3]]],
    ])
    expect(byDay([], String)).toEqual([])
  })
})

describe('as the browser has them', () => {
  const at = '2026-11-03T20:59:00Z'
  const inBrowserOf = (language: string) => {
    vi.stubGlobal('navigator', { language })
    const told = [moment(at), heading('2026-11-03'), dayPattern(), dayForm()]
    vi.unstubAllGlobals()
    return told.map((text) => text.replaceAll('\u202f', ' '))
  }

  it.each([
    ['en-US', ['Nov 3, 2026, 10:59 PM', 'Tuesday, November 3, 2026', 'MM/DD/YYYY', 'month-first']],
    ['en-GB', ['3 Nov 2026, 22:59', 'Tuesday 3 November 2026', 'DD/MM/YYYY', 'day-first']],
    // Another language: its sequence and its clock, with English words.
    ['de-DE', ['3 Nov 2026, 22:59', 'Tuesday 3 November 2026', 'DD.MM.YYYY', 'day-first']],
    ['fr', ['3 Nov 2026, 22:59', 'Tuesday 3 November 2026', 'DD/MM/YYYY', 'day-first']],
    // A region that English has no form of its own for: never the month first by chance.
    ['is-IS', ['3 Nov 2026, 22:59', 'Tuesday 3 November 2026', 'DD.MM.YYYY', 'day-first']],
  ])('%s', (language, told) => expect(inBrowserOf(language)).toEqual(told))
})

describe('a week', () => {
  afterEach(() => vi.unstubAllGlobals())
  it.each([
    ['en-GB', 1],
    ['en-US', 0],
    ['de-DE', 1],
    ['ar-EG', 6],
  ])('begins in %s with the day that it begins with there', (language, first) => {
    vi.stubGlobal('navigator', { language })
    expect(weekStart()).toBe(first)
  })
})

describe('a year on one line', () => {
  const now = new Date('2026-11-29T12:00:00').getTime()
  it('places a moment between a year ago and now, and none before', () => {
    expect(shareOfYear('2026-11-29T12:00:00', now)).toBe(1)
    expect(shareOfYear('2026-05-31T00:00:00', now)).toBeCloseTo(0.5, 2)
    expect(shareOfYear('2025-11-01T00:00:00', now)).toBeNull()
    expect(shareOfYear('not a day', now)).toBeNull()
    expect(shareOfYear('2026-12-24T00:00:00', now)).toBe(1)
  })
  it('names the first of each of its months', () => {
    const months = monthsOfYear(now)
    expect(months.map((month) => month.name)).toEqual(['Dec', 'Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Oct', 'Nov'])
    expect(months[11]?.share).toBeCloseTo(1 - 28.5 / 365, 3)
  })
})
