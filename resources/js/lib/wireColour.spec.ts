import { describe, expect, it } from 'vitest'
import { wireColour } from './wireColour'

describe('colours of wires', () => {
  it('are read out of the words somebody used, the first one first', () => {
    expect(wireColour('Orange')).toBe(wireColour('dark orange'))
    expect(wireColour('white with red stripe')).toBe(wireColour('white'))
    expect(wireColour('grey')).toBe(wireColour('gray'))
    expect(wireColour('purple')).toBe(wireColour('violet'))
  })
  it('are not made up', () => {
    expect(wireColour('')).toBeNull()
    expect(wireColour('the thick one')).toBeNull()
  })
  it('differ from one another', () => {
    const words = ['black', 'brown', 'red', 'orange', 'yellow', 'green', 'blue', 'violet', 'grey', 'white', 'pink']
    expect(new Set(words.map(wireColour)).size).toBe(words.length)
  })
})
