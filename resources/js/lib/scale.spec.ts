import { describe, expect, it } from 'vitest'
import { around, levelPath, marksIn, moved, msOf, percentOf, placed, rateOf, secondsOf, stacked, timeWords, usOf, wordAt, zoomed } from './scale'

describe('stretches of time', () => {
  const inside = { from: 0, to: 1000 }

  it('never leave the one they lie in', () => {
    expect(moved({ from: 100, to: 200 }, -500, inside)).toEqual({ from: 0, to: 100 })
    expect(moved({ from: 100, to: 200 }, 5000, inside)).toEqual({ from: 900, to: 1000 })
    expect(zoomed({ from: 900, to: 1000 }, 4, inside, 1)).toEqual({ from: 600, to: 1000 })
    expect(zoomed({ from: 400, to: 600 }, 100, inside, 1)).toEqual(inside)
    expect(zoomed({ from: 400, to: 600 }, 0.001, inside, 10)).toEqual({ from: 495, to: 505 })
  })

  it('are told in the unit that suits them, with marks at whole steps', () => {
    expect([0.85, 12.5, 3200, 1.4e6].map(timeWords)).toEqual(['850 ns', '12.5 µs', '3.2 ms', '1.4 s'])
    expect(marksIn({ from: 3, to: 61 })).toEqual([10, 20, 30, 40, 50, 60])
  })

  it('are drawn as a level that alternates', () => {
    expect(levelPath([10, 20], 1, (us) => Math.max(0, us), 30, 4, 40)).toBe('M0.0 4H10.0V40H20.0V4H30.0')
  })
})

describe('a value on a drawing', () => {
  it('stands where a straight line puts it, upside down too, and may be kept inside', () => {
    const x = placed({ from: 1000, to: 2000 }, { from: 10, to: 110 })
    expect([x(1000), x(1500), x(2000), x(2100)]).toEqual([10, 60, 110, 120])
    const y = placed({ from: -125, to: 125 }, { from: 126, to: 6 }, true)
    expect([y(-125), y(0), y(125), y(300)]).toEqual([126, 66, 6, 6])
  })

  it('has room round what is looked at', () => {
    expect(around(100, 50, 0.1)).toEqual({ from: 95, to: 155 })
    expect(stacked([1500, 1000])).toEqual([0, 1500, 2500])
  })

  it('is told in the unit that a screen shows', () => {
    expect([usOf(1.5), msOf(1500), secondsOf(2500), rateOf(20), percentOf(0.25)]).toEqual([1500, 1.5, 2.5, 50, 25])
  })
})

describe('a word under a drawing', () => {
  it('stands under its place, and never hangs over an edge by more than half of itself', () => {
    expect(wordAt(500, 1000, '1.5 s')).toBe('clamp(2.5ch + 3px, 50%, 100% - 2.5ch - 3px)')
    expect(wordAt(0, 1000, '0')).toContain('clamp(0.5ch + 3px, 0%')
  })
})
