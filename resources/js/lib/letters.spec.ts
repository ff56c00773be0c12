import { describe, expect, it } from 'vitest'
import { lettersOf, NAME_OF, STICKS } from './letters'

describe('letters of the sticks', () => {
  it('are read as they are typed, and what is none of them stays for the bench to name', () => {
    expect(lettersOf('t r-E, a')).toEqual(['T', 'R', 'E', 'A'])
    expect(lettersOf('tx')).toEqual(['T', 'X'])
  })

  it('are four, each with its name', () => {
    expect(STICKS.map((stick) => stick.letter).join('')).toBe('TREA')
    expect(NAME_OF).toEqual({ T: 'throttle', R: 'rudder', E: 'elevator', A: 'aileron' })
  })
})
