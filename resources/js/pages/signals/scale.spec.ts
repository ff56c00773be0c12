import { describe, expect, it } from 'vitest'
import { levelPath, marksIn, moved, timeWords, zoomed } from './scale'

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
