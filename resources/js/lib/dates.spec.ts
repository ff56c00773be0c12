import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { age, byDay, clock, day, heading } from './dates'

describe('moments of a document', () => {
  beforeEach(() => vi.useFakeTimers({ now: new Date('2026-11-25T08:00:00Z') }))
  afterEach(() => vi.useRealTimers())

  it('are told as days and times of the document, not of the machine', () => {
    expect(day('2026-11-03T23:59:00Z')).toBe('3 Nov 2026')
    expect(clock('2026-11-03T23:59:00Z')).toBe('23:59')
    expect(heading('2026-11-03')).toBe('Tuesday 3 November 2026')
    expect(heading('some day')).toBe('some day')
    expect([day(null), clock(undefined), age(null)]).toEqual(['', '', ''])
  })

  it.each([
    ['2026-11-25T07:59:00Z', 'today'],
    ['2026-11-25T09:00:00Z', 'today'],
    ['2026-11-24T08:00:01Z', 'today'],
    ['2026-11-24T08:00:00Z', 'yesterday'],
    ['2026-11-22T08:00:00Z', '3 days ago'],
    ['2026-09-27T08:00:00Z', '59 days ago'],
    ['2026-09-26T08:00:00Z', '2 months ago'],
  ])('%s is %s', (at, words) => expect(age(at)).toBe(words))

  it('are grouped by day in the sequence given', () => {
    const items = ['2026-11-25T08:00:00Z', '2026-11-24T10:00:00Z', '2026-11-25T07:00:00Z', '2026-11-24T09:00:00Z']
    expect(byDay(items, (item) => item)).toEqual([
      ['2026-11-25', [items[0], items[2]]],
      ['2026-11-24', [items[1], items[3]]],
    ])
    expect(byDay([], String)).toEqual([])
  })
})
