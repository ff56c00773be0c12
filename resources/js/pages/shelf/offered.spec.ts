import { describe, expect, it } from 'vitest'
import type { NamedThing } from '@/api/shelf'
import { offered } from './offered'

const entries = [
  { kind: 'family', target: 'weft', name: 'weft', line: [], aliases: ['grey link'] },
  { kind: 'variant', target: 'weft/weft-8', name: 'weft-8', line: [], aliases: ['link eight'] },
  { kind: 'variant', target: 'tarn/tarn-b', name: 'tarn-b', line: [], aliases: [] },
  { kind: 'format', target: 'ppm', name: 'Pulse train', line: [], aliases: ['sum wire'] },
] as unknown as NamedThing[]

describe('names that a field offers', () => {
  it('are those of its kind, with what manuals call them', () => {
    expect(offered(entries, 'family', undefined)).toEqual([{ value: 'weft', aliases: ['grey link'] }])
    expect(offered(entries, undefined, undefined)).toEqual([])
  })
  it('are variants of the family beside, or of all where none stands there', () => {
    expect(offered(entries, 'variant', 'tarn')).toEqual([{ value: 'tarn-b', aliases: [] }])
    expect(offered(entries, 'variant', '').map((one) => one.value)).toEqual(['weft-8', 'tarn-b'])
    expect(offered(entries, 'variant', 'sisal')).toEqual([])
  })
})
