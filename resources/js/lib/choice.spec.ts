import { describe, expect, it } from 'vitest'
import { asChoices, choicesOf, likeness } from './choice'

describe('what is typed of a list', () => {
  it('goes best with what is called just so, then with what begins so, then with what has it somewhere', () => {
    const labels = ['not known', 'yes', 'no', 'a note']
    expect(labels.map((label) => likeness('No ', label))).toEqual([2, 0, 3, 1])
  })
})

describe('choices', () => {
  it('are made of words or things, with none of them first where that can be meant', () => {
    expect(asChoices(['a'])).toEqual([{ value: 'a', label: 'a' }])
    expect(choicesOf([{ id: 7, name: 'Wren' }], 'id', 'name', 'choose')).toEqual([
      { value: '', label: 'choose' },
      { value: '7', label: 'Wren' },
    ])
  })
})
