import { mount } from '@vue/test-utils'
import jsqr from 'jsqr'
import { describe, expect, it } from 'vitest'
import QrCode from './QrCode.vue'

/** What a camera would see: the drawing as pixels, four for each module. */
function seen(svg: Element): { data: Uint8ClampedArray; side: number } {
  const modules = Number(svg.getAttribute('viewBox')?.split(' ')[2])
  const side = modules * 4
  const data = new Uint8ClampedArray(side * side * 4).fill(255)
  for (const [, x, y] of (svg.querySelector('path')?.getAttribute('d') ?? '').matchAll(/M(\d+) (\d+)h1v1h-1z/g))
    for (let row = 0; row < 4; row++)
      for (let column = 0; column < 4; column++)
        data.fill(0, ((Number(y) * 4 + row) * side + Number(x) * 4 + column) * 4, ((Number(y) * 4 + row) * side + Number(x) * 4 + column) * 4 + 3)
  return { data, side }
}

describe('the code on paper', () => {
  it.each(['http://127.0.0.1:8080/rigs/avocet', `http://bench.local/rigs/${'long-name-'.repeat(15)}`])('is read back as %s', (text) => {
    const svg = mount(QrCode, { props: { text, label: 'opens it' } }).element as Element
    const { data, side } = seen(svg)
    expect(jsqr(data, side, side)?.data).toBe(text)
    expect(svg.getAttribute('aria-label')).toBe('opens it')
  })
})
