import { describe, expect, it } from 'vitest'
import { figure, numberFrom, numbersFrom, pulseFrom, sizeOf } from './numberText'
import { fromPulse, toPulse } from './units'

const map = { percent: { centre: 0, per_us: 100 / 512 }, raw: { centre: 992, per_us: 1 / 0.625, format: 'sixteen' } }

describe('numbers as people type them', () => {
  it.each([
    ['1085', 1000, 1085],
    [' 1085,5 ', null, 1085.5],
    ['+3', 1500, 1503],
    ['-12', 1500, 1488],
    ['−12', 1500, 1488],
  ])('reads %s beside %s as %s', (text, before, value) => expect(numberFrom(text, before)).toBe(value))

  it.each([
    ['+3', null],
    ['', 1500],
    ['NaN', 1500],
    ['1e9', 1500],
    ['1085 us', 1500],
    ['--3', 1500],
    ['Infinity', 1],
  ])('does not guess at "%s"', (text, before) => expect(numberFrom(text, before)).toBeNull())

  it('takes +9 for a value in a signed field', () => expect(numberFrom('+9', 4, true)).toBe(9))

  it('reads percent on the handset scale whatever unit is shown', () => {
    expect(pulseFrom('100%', null, 'us', map)).toBeCloseTo(2012)
    expect(pulseFrom('-50 %', 1700, 'raw', map)).toBeCloseTo(1244)
    expect(pulseFrom('172', null, 'raw', map)).toBeCloseTo(987.5)
    expect(pulseFrom('+3', 1500, 'us', map)).toBe(1503)
  })

  it('comes back from every unit where it went in', () => {
    for (const unit of ['us', 'pct', 'raw'] as const) {
      for (let us = 800; us <= 2200; us += 37.5) expect(toPulse(fromPulse(us, unit, map), unit, map)).toBeCloseTo(us, 9)
    }
  })

  it('prints without dust', () => {
    expect(figure(0.1 + 0.2)).toBe('0.3')
    expect(figure(-4)).toBe('−4')
    expect(figure(97.69999999999999)).toBe('97.7')
  })
})

describe('several numbers in one field', () => {
  it('are parted by blanks, semicolons or slashes, and may be signed', () => {
    expect(numbersFrom(' -100 0; 37,5/+100 ')).toEqual([-100, 0, 37.5, 100])
    expect(numbersFrom('-100 half 100')).toBeNull()
  })
})

describe('a size of a file', () => {
  it.each([
    [999, '999 bytes'],
    [1000, '1 kB'],
    [3449, '3.4 kB'],
    [12_300_000, '12.3 MB'],
  ])('%d is %s', (bytes, words) => expect(sizeOf(bytes)).toBe(words))
})
